import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { expect, test, type Download, type Page } from '@playwright/test';
import { LONG, accessible, ONCE } from './app.ts';
import { shareServer } from './share-server.ts';

/** The smallest picture there is: one grey point. */
const POINT = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNoAAAAggCBd81ytgAAAABJRU5ErkJggg==',
  'base64',
);

const running = shareServer();

const press = (page: Page, name: RegExp) => page.getByRole('button', { name }).first().click();
const bytesOf = async (download: Download): Promise<Buffer> => readFile((await download.path())!);
async function saved(page: Page, name: RegExp): Promise<Download> {
  const download = page.waitForEvent('download', LONG);
  await press(page, name);
  return download;
}
async function openRecord(page: Page, job = 'demo-fennimore-hall'): Promise<void> {
  await page.goto(`${running.url}/jobs/${job}/record`);
  await expect(page.getByTestId('hold-points')).toBeVisible(LONG);
}

test('before the planks cover a room it says what is to be photographed; a picture taken is counted, and what is missing is told', async ({
  page,
}) => {
  await openRecord(page);
  await accessible(page);
  await press(page, /^Wash house: before the planks/);
  const wanted = page.getByRole('list', { name: 'Photographs wanted' });
  await expect(wanted).toContainText('0 of 1 held');
  // No underlay comes between: the tests are seen now or never.
  await expect(wanted).toContainText('its display, and where it stands');
  const chooser = page.waitForEvent('filechooser');
  const floor = wanted.getByRole('listitem').filter({ hasText: 'The floor as the planks will cover it' });
  await floor.getByRole('button', { name: /^Photograph it/ }).click();
  await (await chooser).setFiles({ name: 'before.png', mimeType: 'image/png', buffer: POINT });
  await expect(floor).toContainText('1 held');
  await accessible(page);
  // Covered with something open: a reason is asked for, then it is kept.
  const done = page.getByRole('button', { name: /^Planks begun/ });
  await page.getByRole('textbox', { name: 'Who covers it' }).fill('K.');
  await done.click();
  await expect(page.getByText(/^Say why it is covered although/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Why with something missing' }).fill('the client moves in');
  await done.click();
  await press(page, /^Covered, and still to come/);
  await expect(page.getByText('covered, not sealed')).toBeVisible();
  const book = async () =>
    (await (await fetch(`${running.url}/api/book`)).json()) as { coverUps: { reason: string; missing: string[] }[] };
  await expect.poll(async () => (await book()).coverUps.map(({ reason }) => reason)).toEqual(['the client moves in']);
  expect((await book()).coverUps[0]!.missing.length).toBeGreaterThan(0);
});

test(
  'the report comes as PDF from the server, and as one page made here without a signal',
  ONCE,
  async ({ page, context }) => {
    await openRecord(page);
    await press(page, /^Report/);
    const pdf = await saved(page, /^Make the report \(PDF\)/);
    expect(pdf.suggestedFilename()).toBe('fennimore-hall-report-metric.pdf');
    expect((await bytesOf(pdf)).subarray(0, 5).toString()).toBe('%PDF-');
    await accessible(page);
    await context.setOffline(true);
    const here = await saved(page, /^Make a lighter one here/);
    const html = (await bytesOf(here)).toString('utf8');
    expect(html).toContain('May the floor be laid?');
    expect(html).toContain('Reading room');
    expect(html).not.toMatch(/<script|https?:/);
    await context.setOffline(false);
  },
);

test(
  'a record is sealed, its message is there to send, and its bundle is the one the seal is of',
  ONCE,
  async ({ page }) => {
    await openRecord(page);
    await press(page, /^Seals/);
    await press(page, /^Seal the record as it stands/);
    const card = page.getByTestId('seal').first();
    await expect(card).toBeVisible(LONG);
    const seal = /[0-9a-f]{64}/.exec((await card.textContent())!)![0];
    await expect(card.getByRole('img', { name: 'The seal as a square code' })).toBeVisible();
    await accessible(page);
    const zip = await bytesOf(await saved(page, /^Save the bundle/));
    expect(zip.subarray(0, 2).toString()).toBe('PK');
    // The manifest lies in it as it is: its digest is the seal.
    const kept = Buffer.from(
      await (await fetch(`${running.url}/api/jobs/demo-fennimore-hall/seals/${seal}`)).arrayBuffer(),
    );
    expect(createHash('sha256').update(kept).digest('hex')).toBe(createHash('sha256').update(zip).digest('hex'));
  },
);

test(
  'without a signal a seal is refused in words, and nothing is lost of what was entered',
  ONCE,
  async ({ page, context }) => {
    await openRecord(page);
    await press(page, /^Who is told/);
    await page.getByRole('textbox', { name: 'Name' }).fill('A. Client');
    await page.getByRole('textbox', { name: 'Mail address or number' }).fill('client@example.invalid');
    await press(page, /^Add\./);
    await expect(page.getByText('A. Client, client: client@example.invalid')).toBeVisible();
    // While something is still on its way that is the reason that is told.
    await expect(page.getByRole('status').filter({ hasText: /^all sent$/ })).toBeVisible();
    await context.setOffline(true);
    await press(page, /^Seals/);
    await press(page, /^Seal the record as it stands/);
    await expect(page.getByRole('alert').filter({ hasText: /signal|does not answer/ })).toBeVisible();
    await context.setOffline(false);
  },
);

test('the client approves the job by name, days and price worked out on the page; the hand-over is signed', async ({
  page,
}) => {
  await openRecord(page);
  await press(page, /^What the client decides/);
  // Made of days and price: worked out here, once they are asked for.
  await press(page, /^Work out days and price/);
  const decision = page.getByTestId('decision').first();
  await expect(decision).toContainText('This waits for your decision.', LONG);
  await decision.getByRole('button', { name: /^Approve/ }).click();
  await expect(decision.getByText('Empty: this is needed')).toBeVisible();
  // What may go up unasked is told before the answer and kept with it.
  await expect(decision).toContainText('You are asked again if the price goes up, or the day moves back.');
  await press(page, /^What may go up unasked/);
  const unasked = page.getByRole('textbox', { name: 'The price may go up unasked by' });
  await unasked.fill('-1');
  await unasked.blur();
  await expect(page.getByText('-1 is out of range: 0 to 10000 is taken')).toBeVisible();
  await unasked.fill('200');
  await unasked.blur();
  await expect(decision).toContainText('goes up by more than £200.00, or');
  await decision.getByRole('textbox', { name: 'Who decides' }).fill('A. Client');
  await expect(decision.getByRole('button', { name: /^Approve/ })).toBeEnabled(LONG);
  await decision.getByRole('button', { name: /^Approve/ }).click();
  await expect(decision).toContainText(/Approved by A\. Client/, LONG);
  await unasked.fill('0');
  await unasked.blur();
  await expect(page.getByText('This job’s own; the default is 0')).toHaveCount(0);
  await expect(decision).toContainText('goes up by more than £200.00, or');
  await accessible(page);
  const html = (await bytesOf(await saved(page, /^Save the client’s page/))).toString('utf8');
  expect(html).toContain('Approved by A. Client');
  await press(page, /^What the client decides/);
  await press(page, /^Paper for the floor/);
  expect((await bytesOf(await saved(page, /^Day sheet/))).toString('utf8')).toMatch(/<figure class="code"><svg/);
  await press(page, /^Paper for the floor/);
  await press(page, /^Hand over\b/);
  await page
    .getByRole('button', { name: /^Hand over$/ })
    .last()
    .click();
  await expect(page.getByText('Empty: this is needed')).toBeVisible();
  await page.getByRole('textbox', { name: 'Who takes it over' }).fill('B. Keeper');
  await page.getByRole('textbox', { name: 'Who takes it over' }).blur();
  // What was asked for and is there is asked for no more.
  await expect(page.getByText('Empty: this is needed')).toHaveCount(0);
  const pad = page.getByRole('img', { name: 'Box to sign in' });
  await pad.scrollIntoViewIfNeeded();
  const box = (await pad.boundingBox())!;
  await page.mouse.move(box.x + 20, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 120, box.y + 30, { steps: 6 });
  await page.mouse.move(box.x + 180, box.y + 80, { steps: 6 });
  await page.mouse.up();
  await page
    .getByRole('button', { name: /^Hand over$/ })
    .last()
    .click();
  await expect(page.getByText(/^Taken over by B\. Keeper/)).toBeVisible();
  await accessible(page);
  const book = async () =>
    (await (await fetch(`${running.url}/api/book`)).json()) as { handOvers: { signature: string }[] };
  await expect.poll(async () => (await book()).handOvers[0]?.signature ?? '').toMatch(/^M\d+ \d+L/);
});

test('paper for the floor is one page to print, with a code that leads back', ONCE, async ({ page }) => {
  await openRecord(page, 'demo-sluice-house');
  await press(page, /^Paper for the floor/);
  const sheet = (await bytesOf(await saved(page, /^Station sheet/))).toString('utf8');
  expect(sheet).toContain('Stations: Parlour');
  expect(sheet).toMatch(/<figure class="code"><svg/);
  const ramps = (await bytesOf(await saved(page, /^Ramp card/))).toString('utf8');
  expect(ramps).toMatch(/Ramps/);
  // What is made of days and price waits for them.
  await expect(page.getByRole('button', { name: 'Day sheet' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Work out days and price' })).toBeVisible();
});

test(
  'a room whose card was removed is named, and keeps nothing of the job from being worked out',
  ONCE,
  async ({ page }) => {
    const book = (await (await fetch(`${running.url}/api/book`)).json()) as { rooms: Record<string, unknown>[] };
    const room = book.rooms.find(({ id }) => id === 'demo-stack-room')!;
    const { id, version, writeId: _w, updatedAt: _u, deletedAt: _d, order: _o, made: _m, first: _f, ...body } = room;
    const put = (cardId: unknown, baseVersion: number) =>
      fetch(`${running.url}/api/rooms/${String(id)}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...body, cardId, baseVersion, writeId: `gone-${baseVersion}`, deleted: false }),
      });
    expect((await put('card-that-is-gone', Number(version))).status).toBe(200);
    await openRecord(page);
    await expect(page.getByText(/^Stack room: the card of the covering was removed/)).toBeVisible();
    await accessible(page);
    await press(page, /^Report/);
    const report = (await bytesOf(await saved(page, /^Make a lighter one here/))).toString('utf8');
    expect(report).toContain('Nothing is said of Stack room');
    expect((await put(room['cardId'], Number(version) + 1)).status).toBe(200);
  },
);
