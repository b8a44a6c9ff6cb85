import { expect, test } from '@playwright/test';
import { accessible, facts, layToBreak, newRoom, ONCE } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer(false);

test('a whole room in feet and inches: outline, benchmark, run, close, verdict', ONCE, async ({ page }) => {
  const keyInches = async (inches: string, sixteenths: number, take = 'Take') => {
    for (const digit of inches) await page.getByRole('button', { name: digit, exact: true }).click();
    if (sixteenths > 0) await page.getByRole('button', { name: `${sixteenths} sixteenths`, exact: true }).click();
    await page.getByRole('button', { name: take, exact: true }).click();
  };
  await page.goto(`${running.url}/settings`);
  await page.getByRole('radio', { name: 'Feet and inches' }).click();
  const room = await newRoom(page, running.url, 'Pantry', `4' 6"`, `3' 3 1/2"`);
  await expect(page.getByText(/ft² · 4 walls/)).toBeVisible();
  await page.getByRole('button', { name: /^Flat: / }).click();
  await page.getByRole('button', { name: 'Staff and laser' }).click();
  await keyInches('52', 3);
  await expect(page.getByText('Read station 1 of 9')).toBeVisible();
  await accessible(page);
  for (let n = 1; n <= 9; n++) {
    await expect(page.getByText(`Read station ${n} of 9`)).toBeVisible();
    await keyInches('52', 8 + (n % 2));
  }
  await page.getByRole('button', { name: 'Close the set-up' }).click();
  await keyInches('52', 3, 'Close');
  await page.getByRole('button', { name: 'See the verdict' }).click();
  await layToBreak(page);
  await expect(page.getByTestId('verdict')).toHaveText('Lay');
  expect(await page.getByTestId('findings').textContent()).not.toMatch(/\d ?mm\b/);
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  const stored = await facts(running.url, room);
  expect(stored.readings).toHaveLength(9);
  expect(stored.setups[0]!.openRodMm).toBeCloseTo(52.1875 * 25.4, 6);
});
