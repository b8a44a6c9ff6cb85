import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { LONG, accessible, coveredBy, roomFacts, takeBack, ONCE } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer();

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const count = (page: Page) => page.getByTestId('plank-count');
async function lay(page: Page, room: string) {
  await page.goto(`${running.url}/rooms/${room}/lay`);
  await expect(count(page)).toHaveText(/^\d+ (planks|staves), /, LONG);
}

test('from a floor that may be laid to the line to snap and the piece to cut', async ({ page }) => {
  await lay(page, 'demo-boot-room');
  await expect(page.getByText('Everything is ready: laying may begin.')).toBeVisible();
  await expect(count(page)).toHaveText(/^\d+ planks, (proved least|not under \d+)$/);
  await accessible(page);
  await button(page, 'Snap the first line').click();
  const chalk = page.getByTestId('chalk-lines');
  await expect(chalk).toContainText('along the first row');
  await expect(chalk.getByText(/from W1, at the end on your left/)).toBeVisible();
  await accessible(page);
  await button(page, 'Cut list').click();
  // Five rows lie already: the sixth begins where one left off.
  await expect(page.getByTestId('piece')).toContainText(/row 6 of \d+/);
  await accessible(page);
  await button(page, 'Table of rows').click();
  await expect(page.getByRole('list', { name: 'Rows' }).getByRole('listitem').first()).toHaveText(/^Row 1: /);
  await button(page, 'Cut list').last().click();
  await expect(page.getByRole('list', { name: 'Cuts' }).getByRole('listitem').first()).toBeVisible();
});

test('a row is laid and taken back; a piece measured on site is as long as it was found', async ({ page }) => {
  await lay(page, 'demo-boot-room');
  await button(page, 'Cut').click();
  const rows = async () => (await roomFacts(running.url, 'demo-boot-room')).laidRows;
  const before = await rows();
  await button(page, 'Row 6 is laid').click();
  await expect(page.getByTestId('piece')).toContainText(/row 7 of \d+/, LONG);
  await expect.poll(async () => (await rows()).filter(({ isLaid }) => isLaid).length).toBe(6);
  await takeBack(page);
  await expect.poll(async () => (await rows()).filter(({ isLaid }) => isLaid).length).toBe(5);
  await expect(page.getByTestId('piece')).toContainText(/row 6 of \d+/, LONG);
  await button(page, 'Row 6 is laid').click();
  await expect(page.getByTestId('piece')).toContainText(/row 7 of \d+/, LONG);
  await button(page, 'It measures differently').click();
  const field = page.getByRole('textbox', { name: /^Last piece of row 7/ });
  await field.fill('9000');
  await field.press('Enter');
  await expect(page.getByText(/9.000 mm is out of range: a piece of this plank is 5 mm to 1.220 mm/)).toBeVisible();
  await field.fill('412');
  await field.press('Enter');
  await expect
    .poll(async () => (await rows()).find(({ row }) => row === 7))
    .toMatchObject({ endMm: 412, isLaid: false, firstMm: before[0]!.firstMm });
});

test('boxes have a clock, a first box that is looked at, and batches the maker is asked about', async ({ page }) => {
  await lay(page, 'demo-parlour');
  await button(page, 'Boxes').click();
  const boxes = page.getByTestId('boxes');
  await expect(boxes.getByTestId('stage-verdict')).toHaveText('Measure');
  const form = page.getByTestId('box-form');
  const record = async (batch: string, more: () => Promise<void> = async () => undefined) => {
    await form.getByRole('textbox', { name: /^Batch number/ }).fill(batch);
    await more();
    await form.getByRole('button', { name: 'Record the boxes' }).click();
    await expect(boxes.getByTestId('box-clock').filter({ hasText: batch })).toBeVisible();
  };
  // Without a batch it is asked back, and what was entered stays.
  await form.getByRole('button', { name: 'Record the boxes' }).click();
  await expect(form.getByRole('textbox', { name: /^Batch number/ })).toHaveAttribute('aria-invalid', 'true');
  await record('K 2051', async () => {
    await form.getByRole('button', { name: 'Off the concrete, on battens' }).click();
  });
  await expect(boxes.getByTestId('stage-verdict')).toHaveText('Work');
  await expect(boxes.getByText(/^The clock stands still: they lie on concrete/)).toBeVisible();
  await button(page, /^They lie right now/).click();
  await expect(boxes.getByText(/The clock stands still/)).toHaveCount(0);
  await record('K 2052');
  await expect(page.getByRole('radiogroup', { name: /two batches in one room/ })).toBeVisible();
  await page.getByRole('radio', { name: 'They may not lie together' }).click();
  await expect(boxes.getByTestId('stage-verdict')).toHaveText('Work');
  await button(page, 'First box of batch K 2051').click();
  const check = page.getByTestId('check-form');
  await check.getByRole('button', { name: 'Record what was found' }).click();
  await expect(check.getByText(/Say of locks, straightness and colour/)).toBeVisible();
  for (const good of await check.getByRole('radio', { name: 'Good', exact: true }).all()) await good.click();
  await check.getByRole('textbox', { name: /^Figures of the print/ }).fill('8');
  await check.getByRole('button', { name: 'Record what was found' }).click();
  await expect
    .poll(async () => (await roomFacts(running.url, 'demo-parlour')).boxChecks)
    .toMatchObject([{ batch: 'K 2051', locks: 'good', prints: 8 }]);
  await accessible(page);
});

test('adhesive is tried in every zone before bays are spread by the clock', async ({ page }) => {
  await lay(page, 'demo-cloakroom');
  await button(page, 'Glue').click();
  await expect(page.getByTestId('glue-zone')).toHaveCount(3);
  await expect(page.getByText('The bays are shown once a strip has held in every zone.')).toBeVisible();
  for (const place of ['place 1', 'place 2']) {
    const zone = page.getByTestId('glue-zone').filter({ hasText: place });
    await zone.getByRole('button', { name: /^Begin a patch test/ }).click();
    await zone.getByRole('button', { name: /^Tacky now, after \d+ min/ }).click();
    await zone.getByRole('button', { name: /^The strip held/ }).click();
    await expect(zone.getByText(/^It held; tacky after \d+ min/)).toBeVisible();
  }
  const bay = page.getByTestId('bay');
  await expect(bay).toContainText(/Bay 1 of \d+: rows 1 to \d+/);
  await accessible(page);
  await button(page, 'Spread bay 1 now').click();
  await expect(bay.getByText(/since it was begun/)).toBeVisible();
  await button(page, 'Bay 1 is laid').click();
  await expect(bay.getByText(/Roll bay 1 both ways within \d+ min/)).toBeVisible();
  await button(page, 'Bay 1 is rolled both ways').click();
  await expect(bay).toContainText(/Bay 2 of \d+/);
  // The screen is ahead of the server: what was rolled has arrived there before long.
  await expect
    .poll(async () => (await roomFacts(running.url, 'demo-cloakroom')).glueBays[0]?.rolledAt ?? null)
    .not.toBeNull();
});

test('the set-out goes to the saw as drawings and as a list', ONCE, async ({ page }) => {
  await lay(page, 'demo-parlour');
  await button(page, 'Paper').click();
  const saved = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), button(page, name).click()]);
    return readFileSync((await download.path())!, 'utf8');
  };
  expect(await saved('Cut list CSV')).toMatch(/^piece,row,kind,length_mm,left_width_mm,.*\n1,1,/);
  expect(await saved('SVG drawing')).toContain('<svg xmlns="http://www.w3.org/2000/svg"');
  expect(await saved('DXF drawing')).toContain('PLANKS');
  await accessible(page);
});

test('another start wall, a first row by hand, a bond: each is another plan, and can be taken back', async ({
  page,
}) => {
  await lay(page, 'demo-landing');
  const chosen = async () => (await roomFacts(running.url, 'demo-landing')).setOuts.at(-1);
  await button(page, 'Start wall').click();
  await page.getByRole('radiogroup', { name: 'Start at' }).getByRole('radio', { name: 'W2' }).click();
  await expect(page.getByText('From W2: the wall you chose.')).toBeVisible(LONG);
  await expect.poll(async () => (await chosen())?.startWall).toBe(1);
  await button(page, 'First row').click();
  await page.getByRole('radio', { name: 'Set by hand' }).click();
  const width = page.getByRole('textbox', { name: /^Width of the first row/ });
  await width.fill('2000');
  await width.press('Enter');
  await expect(page.getByText(/2.000 is out of range|2000 is out of range/)).toBeVisible();
  await width.fill('100');
  await width.press('Enter');
  await expect(page.getByText(/First row (.*, )?100 mm/)).toBeVisible(LONG);
  await button(page, 'Pattern').click();
  await page.getByRole('radio', { name: 'Half bond' }).click();
  await expect(count(page)).toHaveText(/by area not under/, LONG);
  await accessible(page);
  await takeBack(page);
  await expect.poll(async () => (await chosen())?.pattern).toBe('stagger');
});

test('a kitchen runs on into the hall: the hall says where its rows stand', async ({ page }) => {
  await lay(page, 'demo-kitchen');
  await expect(page.getByText('Laid in one with Hall.')).toBeVisible();
  await page.goto(`${running.url}/rooms/demo-hall/lay`);
  await expect(page.getByTestId('laid-from')).toContainText('laid in one with Kitchen', LONG);
  await button(page, 'Open Kitchen').click();
  await page.waitForURL(/demo-kitchen\/lay$/);
});

test('herringbone is counted by hand in the reading room', async ({ page }) => {
  await lay(page, 'demo-reading-room');
  await expect(page.getByText(/^\d+ left and \d+ right/)).toBeVisible();
  await button(page, 'Pattern').click();
  const border = page.getByRole('radiogroup', { name: 'Border of straight rows' });
  await border.getByRole('radio', { name: '2' }).click();
  await expect(page.getByText(/The border of 2 rows takes \d+ staves more/)).toBeVisible(LONG);
  await accessible(page);
  await button(page, 'Cut').click();
  await expect(page.getByTestId('staves')).toContainText(/\d+ left, \d+ right/);
  await expect(page.getByTestId('staves')).toContainText(/Border of 2 rows/);
  await accessible(page);
  await takeBack(page);
  await expect
    .poll(async () => (await roomFacts(running.url, 'demo-reading-room')).setOuts.at(-1)?.borderRows ?? 0)
    .toBe(0);
});

test('planks of several lengths: a copy of a card gains them, and rows are made of what its boxes hold', async ({
  page,
}) => {
  await page.goto(`${running.url}/cards`);
  await page.getByRole('button', { name: 'Copy. Laminate, floating' }).click();
  await page.waitForURL(/\/cards\/(?!shipped)/);
  const cardId = page.url().split('/').at(-1)!;
  await button(page, 'How its planks are laid').click();
  await button(page, 'Add a length').click();
  const inBox = page.getByRole('textbox', { name: /^Length 1, in a box/ });
  await inBox.fill('99');
  await inBox.press('Enter');
  await expect(page.getByText(/99 is out of range: 1/)).toBeVisible();
  await inBox.fill('4');
  await inBox.press('Enter');
  await button(page, 'Add a length').click();
  const second = page.getByRole('textbox', { name: /^Length 2(?!, in)/ });
  await second.fill('800');
  await second.press('Enter');
  await accessible(page);
  await expect
    .poll(async () => {
      const book = (await (await fetch(`${running.url}/api/book`)).json()) as {
        cards: { id: string; mixedLengths: object[] }[];
      };
      return book.cards.find(({ id }) => id === cardId)?.mixedLengths;
    })
    .toEqual([
      { lengthMm: 1285, inBox: 4 },
      { lengthMm: 800, inBox: 2 },
    ]);
  await coveredBy(running.url, 'demo-landing', cardId);
  await page.goto(`${running.url}/rooms/demo-landing/lay`);
  await expect(count(page)).toHaveText(/^\d+ planks, (in the fewest boxes|by area not under \d+ box)/, LONG);
  await expect(page.getByText(/^Of each length: \d+ of 1.285 mm, \d+ of 800 mm\./)).toBeVisible();
  await accessible(page);
  await button(page, 'Cut').click();
  await expect(button(page, 'It measures differently')).toHaveCount(0);
  await coveredBy(running.url, 'demo-landing', 'shipped-laminate');
});

test('windows give the light: the wall with most of them, until another is named', async ({ page }) => {
  await lay(page, 'demo-landing');
  await button(page, 'Start wall').click();
  await page.getByRole('radiogroup', { name: 'Start at' }).getByRole('radio', { name: 'As proposed' }).click();
  await page.getByRole('radiogroup', { name: 'Add a window in' }).getByRole('radio', { name: 'W1' }).click();
  const width = page.getByRole('textbox', { name: /^Window 1, W1: width/ });
  await width.fill('50');
  await width.press('Enter');
  await expect(page.getByText(/50 mm is out of range|50 is out of range/)).toBeVisible();
  await width.fill('1400');
  await width.press('Enter');
  await expect(page.getByText(/planks then run away from the window/)).toBeVisible(LONG);
  await expect
    .poll(async () => (await roomFacts(running.url, 'demo-landing')).setOuts.at(-1)?.windows)
    .toEqual([{ wall: 0, widthMm: 1400 }]);
  await accessible(page);
  await button(page, 'Take window 1 out').click();
  await expect(width).toHaveCount(0);
});

test('boxes are counted over all rooms of the job that take the covering', async ({ page }) => {
  await coveredBy(running.url, 'demo-landing', 'shipped-click-vinyl');
  await lay(page, 'demo-landing');
  await button(page, 'Boxes').click();
  const fold = button(page, /^Over all rooms of the job/);
  await expect(fold).toBeVisible(LONG);
  await fold.click();
  await expect(page.getByTestId('job-boxes')).toContainText(/boxes of one batch: \d+ planks and \d+ spare/);
  await expect(page.getByTestId('job-boxes')).toContainText(/Landing: \d+ planks/);
  await accessible(page);
});

test('what is set aside while it is laid is reckoned with in the rooms to come', ONCE, async ({ page }) => {
  await coveredBy(running.url, 'demo-landing', 'shipped-laminate');
  await lay(page, 'demo-landing');
  await button(page, 'Boxes').click();
  const form = page.getByTestId('box-form');
  await form.getByRole('textbox', { name: /^Batch number/ }).fill('K 77');
  await form.getByRole('button', { name: 'Record the boxes' }).click();
  await expect(page.getByTestId('box-clock')).toBeVisible();
  await button(page, /^Damaged planks/).click();
  await expect(page.getByTestId('spare-seen')).toHaveCount(0);
  await page.getByRole('textbox', { name: /^Planks set aside/ }).fill('3');
  await button(page, 'Set them aside').click();
  await expect(page.getByText(/^3 planks of batch K 77/)).toBeVisible();
  await button(page, 'Cut').click();
  // The next row is in hand once the one before is known to lie.
  for (let row = 1; row <= 7; row++) {
    await expect(page.getByTestId('piece')).toContainText(new RegExp(`row ${row} of`), LONG);
    await button(page, `Row ${row} is laid`).click();
  }
  await expect(page.getByTestId('piece')).toContainText(/row 8 of/, LONG);
  await button(page, 'Boxes').click();
  await expect(page.getByTestId('spare-seen')).toContainText(/Laid so far: \d+ planks, and 3 set aside, \d+ %/, LONG);
  await button(page, /^Reckon with \d+ % in this job/).click();
  await expect(page.getByTestId('spare-seen')).not.toContainText('reckoned at 3 %');
  await expect(button(page, /^Reckon with/)).toHaveCount(0);
  await accessible(page);
});
