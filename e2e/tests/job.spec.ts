import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { expect, test, type Page } from '@playwright/test';
import { LONG, accessible, roomFacts } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer();

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
async function open(page: Page, which: 'days' | 'buy' | 'price', job = 'demo-fennimore-hall') {
  await page.goto(`${running.url}/jobs/${job}/${which}`);
  const first = { days: 'promise', buy: 'bill-total', price: 'price-total' }[which];
  await expect(page.getByTestId(first)).toBeVisible(LONG);
  await expect(page.getByTestId('working')).toHaveCount(0, LONG);
}

async function jobFacts(kind: string): Promise<{ id: string; deletedAt: string | null }[]> {
  const book = (await (await fetch(`${running.url}/api/book`)).json()) as Record<
    string,
    { id: string; deletedAt: string | null }[]
  >;
  return book[kind]!.filter(({ deletedAt }) => deletedAt === null);
}

/** What a key saves. */
async function saved(page: Page, press: () => Promise<void>): Promise<string> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  return readFileSync((await download.path())!, 'utf8');
}

test('when can I lay, what do I fetch, what do I charge: three pages of a judged job', async ({ page }) => {
  await open(page, 'days');
  await expect(page.getByTestId('promise')).toContainText(/Planks in the last room from.*Promise/);
  await expect(page.getByTestId('promise')).toContainText(/It cannot be earlier|could be gained/);
  await expect(page.getByTestId('bars')).toBeVisible();
  await accessible(page);
  await page.getByRole('navigation', { name: 'Pages of this job' }).getByRole('button', { name: /^Buy/ }).click();
  await expect(page.getByTestId('next-run')).toContainText(/Before \w{3} \d+/);
  await expect(page.getByTestId('bill-total')).toContainText(/Cost £[\d\s]+\.\d\d/);
  await accessible(page);
  await page
    .getByRole('navigation', { name: 'Pages of this job' })
    .getByRole('button', { name: /^Price/ })
    .click();
  await expect(page.getByTestId('price-total')).toContainText(/Price with tax£[\d\s]+\.\d\d/);
  await accessible(page);
});

test('a task ticked among the days is ticked in its stage; held back, what moves is told, and Undo takes it back', async ({
  page,
}) => {
  await open(page, 'days');
  const tick = page.getByRole('checkbox', { name: /^Gas, water and electricity isolated is done, Cloakroom$/ });
  await tick.first().click();
  await expect
    .poll(async () => (await roomFacts(running.url, 'demo-cloakroom')).ticks.map(({ key }) => key))
    .toContain('clear/services');
  await expect(tick.first()).toBeChecked(LONG);
  await expect(page.getByTestId('working')).toHaveCount(0, LONG);
  await page
    .getByRole('button', { name: /Skirting off, Cloakroom\. Why then$/ })
    .first()
    .click();
  const card = page.getByTestId('task-card');
  await expect(card).toContainText(/Cloakroom: Skirting off/);
  await card.getByRole('textbox', { name: 'Not before' }).fill('soon');
  await card.getByRole('textbox', { name: 'Not before' }).blur();
  await expect(card.getByText(/soon/)).toBeVisible();
  await card.getByRole('button', { name: /^A day later/ }).click();
  await expect(page.getByTestId('moved')).toContainText(/Planks in the last room/, LONG);
  await accessible(page);
  await card.getByRole('button', { name: 'Keep it so' }).click();
  await expect.poll(async () => (await jobFacts('taskHolds')).length).toBe(1);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(async () => (await jobFacts('taskHolds')).length).toBe(0);
});

test('a bar pulled along asks what would move, and nothing is held until it is kept', async ({ page }) => {
  await open(page, 'days');
  await page.getByRole('button', { name: 'Days', exact: true, pressed: false }).click();
  await expect(page.getByTestId('bars')).toHaveAttribute('aria-busy', 'false');
  const label = page.getByTestId('bars').getByText('Lay 63 planks');
  // The bar lies under its words: well inside, whatever stands above it today.
  await label.evaluate((words) => words.scrollIntoView({ block: 'center', inline: 'center' }));
  const at = (await label.boundingBox())!;
  await page.mouse.move(at.x + 6, at.y + at.height + 8);
  await page.mouse.down();
  await page.mouse.move(at.x + 60, at.y + at.height + 8, { steps: 6 });
  await page.mouse.move(at.x + 150, at.y + at.height + 8, { steps: 6 });
  await page.mouse.up();
  const card = page.getByTestId('task-card');
  await expect(card).toBeVisible();
  await expect(page.getByTestId('moved')).toContainText(/Planks in the last room/, LONG);
  expect(await jobFacts('taskHolds')).toEqual([]);
  await card.getByRole('button', { name: 'Close' }).click();
  await expect(card).toHaveCount(0);
});

test('hours that are none are asked back beside their day, and the others stay; a day off moves the work', async ({
  page,
}) => {
  await open(page, 'days');
  await button(page, /^Working hours and holidays/).click();
  const monday = page.getByRole('textbox', { name: 'Monday', exact: true });
  await monday.fill('8-25');
  await monday.blur();
  await expect(page.getByText(/“8-25” is not taken: hours are written/)).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Tuesday', exact: true })).toHaveValue('08:00-12:00, 12:30-15:30');
  await monday.fill('9:00-12:00');
  await monday.blur();
  await expect.poll(async () => (await jobFacts('siteWeeks')).length).toBe(1);
  await button(page, 'Add the day').click();
  await expect(page.getByText('Empty: a day such as 2026-10-08 is taken')).toBeVisible();
  await page.getByRole('textbox', { name: 'Day', exact: true }).fill('2027-01-04');
  await button(page, 'Add the day').click();
  await expect.poll(async () => (await jobFacts('siteDays')).length).toBe(1);
  await accessible(page);
});

test('the days go into a calendar that another reader understands, and a plan that is kept is held against', async ({
  page,
}) => {
  await open(page, 'days');
  const text = await saved(page, () => button(page, /^To the calendar/).click());
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
  expect(events.length).toBeGreaterThan(10);
  const uids = events.map((event) => String(event.getFirstPropertyValue('uid')));
  expect(new Set(uids).size).toBe(uids.length);
  await button(page, /^Keep this plan/).click();
  await expect(page.getByText(/^Kept\./)).toBeVisible();
  await expect.poll(async () => (await jobFacts('keptPlans')).length).toBe(1);
  await expect(page.getByText(/^As in the plan you kept/)).toBeVisible(LONG);
});

test('cases stand side by side with their dates and money', async ({ page }) => {
  await open(page, 'days');
  await button(page, /^What if/).click();
  await button(page, 'Compare the cases').click();
  const asItIs = page.getByTestId('what-ifs').getByRole('listitem').first();
  await expect(asItIs).toContainText('As it is', LONG);
  // The job as it is has one date, above and among the cases.
  const promised = /Promise\s*(\w{3} \d+ \w{3}( \d{4})?)/.exec((await page.getByTestId('promise').textContent())!)![1]!;
  await expect(asItIs).toContainText(`Promise ${promised}`);
  await expect(page.getByTestId('what-ifs')).toContainText('One person more');
  await expect(page.getByTestId('what-ifs')).not.toContainText('Saturday mornings too Planks later');
  await accessible(page);
});

test('an own price changes the bill and its line; the bill and the price book go out, and prices come in', async ({
  page,
}) => {
  await open(page, 'buy');
  const csv = await saved(page, () => button(page, /^Save the bill/).click());
  expect(csv.split('\r\n')[0]).toContain('id,what,kind,unit,need,withWaste,packs');
  const sum = Number(/,sum,.*?(\d+\.\d\d)/.exec(csv)![1]);
  const shown = (await page.getByTestId('bill-total').textContent())!.replace(/[^\d.£]/g, '');
  expect(shown).toContain(`£${sum.toFixed(2)}`);
  await page.getByRole('button', { name: /^Engineered wood staves, to buy/ }).click();
  await button(page, /^Own price/).click();
  const price = page.getByRole('textbox', { name: 'A pack costs' });
  await price.fill('-3');
  await price.blur();
  await expect(page.getByText(/-3 is out of range: 0 to 100/)).toBeVisible();
  await price.fill('80');
  await price.blur();
  await expect.poll(async () => (await jobFacts('prices')).length).toBe(1);
  await expect(page.getByTestId('working')).toHaveCount(0, LONG);
  await button(page, /^Price book/).click();
  const book = await saved(page, () => button(page, /^Save the price book/).click());
  expect(book).toContain('card/demo-wood-staves');
  // The same book with one good price changed and one that is none: the bad line is named, the good one is taken.
  const [header, line] = book.trim().split('\r\n') as [string, string];
  const [good, bad] = [line.replace(',80,', ',72.5,'), line.replace(/^[^,]*/, '').replace(',80,', ',-4,')];
  const bring = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, /^Bring in prices/).click();
    await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await bring('prices.csv', [header, good, bad].join('\r\n'));
  await expect(page.getByText(/Line 3 is not taken: price: -4 /)).toBeVisible();
  await button(page, 'Take it').click();
  await expect(page.getByText(/1 price taken from prices.csv/)).toBeVisible();
  await expect
    .poll(async () => (await jobFacts('prices')).map((one) => (one as unknown as { price: number }).price))
    .toEqual([72.5]);
  await bring('notes.csv', 'What,ever\r\n1,2');
  await expect(page.getByText(/^notes.csv was not taken\. The first column is called “What”/)).toBeVisible();
  await expect(page.getByTestId('working')).toHaveCount(0, LONG);
  await accessible(page);
});

test('what may come is priced apart; it comes, is decided, and the quotation stands as it was given', async ({
  page,
}) => {
  await open(page, 'price');
  await button(page, /^What may come/).click();
  await expect(page.getByText(/Stack room: Ground beneath the boards/)).toBeVisible();
  await accessible(page);
  await button(page, /^It has come/).click();
  const change = page.getByTestId('change');
  await expect(change).toContainText('waits for a decision', LONG);
  await expect(change).toContainText(/Planks promised .*; before /);
  await change.getByRole('textbox', { name: 'Who decides' }).fill('A. Warden');
  await change.getByRole('button', { name: /^Approved/ }).click();
  await expect(button(page, /^Changes/)).toBeVisible();
  await expect
    .poll(
      async () =>
        (await jobFacts('surprises')).filter((one) => (one as unknown as { state: string }).state === 'approved')
          .length,
    )
    .toBe(1);
  await expect(page.getByTestId('working')).toHaveCount(0, LONG);
  const text = await saved(page, () => button(page, /^Give the quotation/).click());
  expect(text).toMatch(/Quotation 1: Fennimore Hall/);
  expect(text).toMatch(/With tax\s+£[\d\s]+\.\d\d/);
  await expect(page.getByText(/^Quotation 1 of .*as it stands now\.$/)).toBeVisible(LONG);
  await accessible(page);
});

test('what is due stands together over all jobs, and leads to its place', async ({ page }) => {
  // Two jobs are worked out for the first time, one after another.
  test.slow();
  await page.goto(running.url);
  await button(page, /^What is due/).click();
  await expect(page.getByTestId('agenda-demo-sluice-house').getByText('Today')).toBeVisible(LONG);
  await expect(page.getByTestId('agenda-demo-fennimore-hall').getByText('Today')).toBeVisible(LONG);
  await accessible(page);
  await button(page, 'Open the days of Fennimore Hall').click();
  await page.waitForURL(/demo-fennimore-hall\/days$/);
});
