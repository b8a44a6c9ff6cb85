import { expect, test, type Page } from '@playwright/test';
import { accessible, roomFacts, sheetBox } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer();

const touch = async (page: Page, xShare: number, yShare: number) => {
  const box = await sheetBox(page);
  const at = await page.evaluate(() => performance.now());
  await page.mouse.click(box.x + box.width * xShare, box.y + box.height * yShare);
  // Two touches in quick succession would be a double tap: the next waits until the page's own clock has passed that.
  await page.waitForFunction((since) => performance.now() - since > 350, at);
};

test('the walk goes line by line, and nothing found is on record', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-hall/sound`);
  await expect(page.getByTestId('walk')).toContainText('Walk joist line 10');
  await accessible(page);
  await page.getByRole('button', { name: 'Nothing found', exact: true }).click();
  await expect(page.getByTestId('walk')).toContainText('Walk joist line 11');
  await expect
    .poll(async () => (await roomFacts(running.url, 'demo-hall')).checks.find((c) => c.key === 'joist/10')?.found)
    .toBe(false);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByTestId('walk')).toContainText('Walk joist line 10');
});

test('a crack is drawn as a line; its width decides; the mark is done with a tick', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-boot-room/sound`);
  await expect(page.getByTestId('stage-verdict')).toHaveText('Lay');
  await page.getByRole('button', { name: 'Marks (0)' }).click();
  await page.getByRole('button', { name: 'Crack', exact: true }).click();
  await touch(page, 0.42, 0.45);
  await touch(page, 0.55, 0.55);
  await page.getByRole('button', { name: 'That is all of it (2 corners)' }).click();
  const card = page.getByTestId('mark-crack');
  await expect(card).toContainText('Still to measure: width of the crack');
  await card.getByRole('textbox', { name: 'Width or size across, mm' }).fill('2');
  await card.getByRole('textbox', { name: 'Width or size across, mm' }).blur();
  await expect(card.getByRole('button', { name: 'Stitches' })).toBeVisible();
  await expect(page.getByTestId('stage-verdict')).toHaveText('Work');
  await accessible(page);
  const [mark] = (await roomFacts(running.url, 'demo-boot-room')).marks;
  expect(mark).toMatchObject({ kind: 'crack', shape: 'line', sizeMm: 2 });
  expect(mark!.points).toHaveLength(2);
  await card.getByRole('radio', { name: /Yes, or it is/ }).click();
  await expect(card).toContainText('That is for a structural engineer to decide.');
  await card.getByRole('radio', { name: 'No', exact: true }).click();
  await card.getByRole('button', { name: 'Done. Crack' }).click();
  await expect(page.getByTestId('stage-verdict')).toHaveText('Lay');
});

test('the hall’s squeaks and rot say what is needed, in the room’s units', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-hall/sound`);
  await page.getByRole('button', { name: 'Marks (3)' }).click();
  await expect(page.getByTestId('mark-squeak')).toContainText('Screw every 6 in');
  await page.getByTestId('mark-squeak').getByRole('button', { name: 'Screws' }).click();
  await expect(page.getByTestId('mark-squeak')).toContainText('joists');
  await expect(page.getByTestId('mark-rot')).toContainText('Find the leak first');
  await expect(page.getByTestId('mark-board-ridge')).toContainText('Sand or plane');
});

test('over a floor that may hold asbestos nothing is screwed down: it says why and who decides, and takes no tick', async ({
  page,
}) => {
  await page.goto(`${running.url}/rooms/demo-kitchen/sound`);
  await page.getByRole('button', { name: /^Marks \(\d+\)$/ }).click();
  await page.getByRole('button', { name: 'Loose or squeaking', exact: true }).first().click();
  for (const [x, y] of [
    [0.42, 0.4],
    [0.56, 0.4],
    [0.56, 0.58],
  ] as const)
    await touch(page, x, y);
  await page.getByRole('button', { name: 'That is all of it (3 corners)' }).click();
  const card = page.getByTestId('mark-squeak');
  await expect(card).toContainText(/suspect for asbestos.*to decide/);
  await expect(card).not.toContainText('Screw every');
  await expect(card.getByRole('button', { name: /^Screws/ })).toHaveCount(0);
  await expect(card.getByRole('button', { name: /^Done\./ })).toBeDisabled();
  await expect(page.getByTestId('stage-verdict')).toHaveText('Stop');
  await accessible(page);
});

test('severe rot stays stopped until what the engineer has decided is written down; half of it is asked back', async ({
  page,
}) => {
  await page.goto(`${running.url}/rooms/demo-landing/sound`);
  await page.getByRole('button', { name: /^Marks \(\d+\)$/ }).click();
  await page.getByRole('button', { name: 'Other kinds' }).click();
  await page.getByRole('button', { name: 'Soft, deflecting', exact: true }).click();
  for (const [x, y] of [
    [0.42, 0.4],
    [0.56, 0.4],
    [0.56, 0.58],
  ] as const)
    await touch(page, x, y);
  await page.getByRole('button', { name: 'That is all of it (3 corners)' }).click();
  const card = page.getByTestId('mark-soft');
  await card.getByRole('radio', { name: 'Severe', exact: true }).click();
  await expect(card).toContainText('That is for a structural engineer to decide.');
  await expect(card.getByRole('button', { name: /^Done\./ })).toBeDisabled();
  await card.getByRole('button', { name: /^What a structural engineer has decided/ }).click();
  await card.getByRole('textbox', { name: 'Decided by' }).fill('M. Osei, structural engineer');
  await card.getByRole('button', { name: 'Keep this decision' }).click();
  await expect(card.getByText('Empty: this is needed')).toHaveCount(2);
  await expect(card.getByRole('textbox', { name: 'Decided by' })).toHaveValue('M. Osei, structural engineer');
  await accessible(page);
  await card.getByRole('textbox', { name: 'Letter, report or drawing' }).fill('Letter 14');
  await card.getByRole('textbox', { name: 'What may be done' }).fill('Sister both joists, then panel over.');
  await card.getByRole('button', { name: 'Keep this decision' }).click();
  await expect(card).toContainText('M. Osei, structural engineer');
  await expect(card).toContainText('Sister both joists, then panel over.');
  await card.getByRole('button', { name: /^Done\./ }).click();
  await expect(card).toContainText(': done');
  await card.getByRole('button', { name: /^Take this decision back/ }).click();
  // Without the decision the tick opens nothing.
  await expect(card).not.toContainText(': done');
  await expect(page.getByTestId('stage-verdict')).toHaveText('Stop');
});
