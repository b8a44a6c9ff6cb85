import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test, type Page } from '@playwright/test';
import { accessible, key, newRoom, ONCE, roomFacts, sheetBox, takeBack } from './app.ts';
import { shareServer } from './share-server.ts';

const LANDING = join(dirname(fileURLToPath(import.meta.url)), '../fixtures/landing-scan.ply');

const running = shareServer();

async function chooseScan(page: Page, file: string): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^(Choose the file|Bring in another scan)$/ }).click();
  await (await chooser).setFiles(file);
}

test('a scan comes in as it is, is laid on the room, and is held by staffs before it says a word', async ({ page }) => {
  const room = await newRoom(page, running.url, 'Landing', '4200', '2600');
  await page.goto(`${running.url}/rooms/${room}/flat`);
  await page.getByRole('button', { name: 'Scan', exact: true }).click();
  await accessible(page);
  await chooseScan(page, LANDING);
  const laying = page.getByTestId('laying');
  await expect(laying).toContainText('131,370 points');
  await accessible(page);

  // Pulled off the walls by hand, it snaps back to them; nothing is stored before it is taken.
  const sheet = await sheetBox(page);
  const [x, y] = [sheet.x + sheet.width / 2, sheet.y + sheet.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 25, y + 10, { steps: 4 });
  await page.mouse.up();
  await page.getByRole('button', { name: /^↺ 1°/ }).click();
  await page.getByRole('button', { name: 'Snap to the walls' }).click();
  expect((await roomFacts(running.url, room)).scans).toEqual([]);
  await page.getByRole('button', { name: 'It lies right' }).click();
  const held = page.getByTestId('held-scan');
  await expect(held).toContainText(/9\d % of the floor is scanned/);
  await expect(held).toContainText('0 of 3 staff readings');
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  const [scan] = (await roomFacts(running.url, room)).scans;
  expect(Math.hypot(scan!.xMm - 1980, scan!.yMm - 1300)).toBeLessThan(150);

  // It shows a ridge, but does not say so before it is held.
  await page.getByRole('button', { name: 'Verdict', exact: true }).click();
  await expect(page.getByTestId('verdict')).toHaveText('Measure');
  await expect(page.getByText(/Read 3 more stations on the scan/)).toBeVisible();
  await page.getByRole('button', { name: 'Scan', exact: true }).click();
  await page.getByRole('button', { name: 'Read stations on it' }).click();
  await expect(page.getByText('Read the benchmark', { exact: true })).toBeVisible();
  await key(page, '1300');
  const station = page.getByText(/^Read station \d+ of \d+$/);
  await expect(station).toBeVisible();
  const count = Number(/of (\d+)/.exec((await station.textContent())!)![1]);
  expect(count).toBeLessThan(14);
  for (let n = 0; n < count; n++) {
    const last = n === count - 1;
    const before = last ? '' : (await station.textContent())!;
    await key(page, '1305');
    if (!last) await expect(station).not.toHaveText(before);
  }
  await page.getByRole('button', { name: 'Close the set-up' }).click();
  await key(page, '1300', 'Close');
  await page.getByRole('button', { name: 'Scan', exact: true }).click();
  await expect(held).toContainText(/Held by \d+ staff readings/);
  await page.getByRole('button', { name: 'Verdict', exact: true }).click();
  await expect(page.getByTestId('verdict')).toHaveText('Work');

  // Laid again it keeps its heights and moves.
  await page.getByRole('button', { name: 'Scan', exact: true }).click();
  await page.getByRole('button', { name: 'Lay it again' }).click();
  await page.getByRole('button', { name: /^→/ }).click();
  await page.getByRole('button', { name: 'It lies right' }).click();
  await expect(held).toBeVisible();
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  const [moved] = (await roomFacts(running.url, room)).scans;
  expect(moved!.xMm - scan!.xMm).toBeCloseTo(20, 1);
  expect(moved!.heightsTenthMm).toEqual(scan!.heightsTenthMm);

  // Taken out, it is gone from the judgement; undo brings it back.
  await page.getByRole('button', { name: 'Scan', exact: true }).click();
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(held).toHaveCount(0);
  await takeBack(page);
  await expect(held).toBeVisible();
});

test('a file that is no scan, or is cut off, is told in words; an XYZ file is read', ONCE, async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-scan-'));
  const file = (name: string, content: string | Buffer) => {
    writeFileSync(join(folder, name), content);
    return join(folder, name);
  };
  await page.goto(`${running.url}/rooms/demo-boot-room/flat`);
  await page.getByRole('button', { name: 'Scan', exact: true }).click();
  await chooseScan(page, file('notes.xyz', 'call the client about the door\n'));
  await expect(page.getByRole('alert')).toContainText('No line with three numbers');
  await chooseScan(page, file('half.ply', readFileSync(LANDING).subarray(0, 900_000)));
  await expect(page.getByRole('alert')).toContainText('declares 131370 points and');
  const lines: string[] = [];
  for (let x = 0; x < 2900; x += 10)
    for (let y = 0; y < 2300; y += 10) lines.push(`${x / 1000} ${y / 1000} ${((x * 7 + y * 3) % 5) / 10_000}`);
  await chooseScan(page, file('boot.xyz', lines.join('\n')));
  await expect(page.getByTestId('laying')).toContainText('66,700 points');
  await page.getByRole('button', { name: 'Leave the file' }).click();
  await expect(page.getByRole('button', { name: 'Choose the file' })).toBeVisible();
});

test('the demo’s landing is judged from its scan: what it stands on, how level it is, what is least known', async ({
  page,
}) => {
  await page.goto(`${running.url}/rooms/demo-landing/flat`);
  await expect(page.getByTestId('verdict')).toHaveText('Work');
  await page.getByRole('button', { name: 'What the map stands on' }).click();
  await expect(page.getByText(/^scan over 9\d %, \d staff readings\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Level, told apart from flat' }).click();
  await expect(page.getByText(/^Stair edge in W2: leans/)).toBeVisible();
  await expect(page.getByTestId('flatness-number')).toContainText(/Floor-flatness number \d+/);
  await expect(page.getByTestId('unmeasured')).toContainText('Largest unmeasured area');
  await accessible(page);
  await page.getByRole('button', { name: 'Set the next station there' }).click();
  await expect(page.getByText(/^Read station \d+ of \d+$/)).toBeVisible();
  await takeBack(page);
});

test('joists ask for a line across them, which one key sets out', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-hall/flat`);
  await page.getByRole('button', { name: 'Verdict', exact: true }).click();
  await expect(page.getByText(/crowns over its joists can read flat/)).toBeVisible();
  await page.getByRole('button', { name: 'Set out the line across the joists' }).click();
  await expect(page.getByText(/^Read station \d+ of \d+$/)).toBeVisible();
  await takeBack(page);
});
