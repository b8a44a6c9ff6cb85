import { expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { bodyOf } from '@maquette/facts';
import { accessible, key, newRoom, roomFacts, serve, takeBack, type Running, ONCE } from './app.ts';

let running: Running;
test.beforeEach(async () => {
  running = await serve(false);
});
test.afterEach(() => running.close());

interface Stored {
  id: string;
  version: number;
}
let count = 0;
/** What another device writes, straight to the server. */
async function elsewhere(path: string, fact: Stored | null, part: object, deleted = false): Promise<number> {
  const made = { device: 'device-of-ben', by: 'Ben', sequence: ++count, at: null, skewMs: null };
  const write = { baseVersion: fact?.version ?? 0, writeId: `ben-${count}`, deleted, made };
  const answer = await fetch(`${running.url}/api/${path}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...(fact ? bodyOf(fact) : {}), ...part, ...write }),
  });
  return answer.status;
}
const roomOf = async (id: string) => {
  const book = (await (await fetch(`${running.url}/api/book`)).json()) as { rooms: (Stored & { walls: object[] })[] };
  return book.rooms.find((room) => room.id === id)!;
};

/** Ann's phone, in a room of her own making. */
async function annIn(browser: Browser, page: Page): Promise<string> {
  await page.goto(`${running.url}/settings`);
  // What checks a field comes a moment after the screen.
  await page.waitForLoadState('networkidle');
  await page.getByRole('textbox', { name: /^Your name/ }).fill('Ann');
  await page.getByRole('textbox', { name: /^Your name/ }).blur();
  // It is kept once it was checked.
  await page.waitForFunction(() => Object.values(localStorage).includes('Ann'));
  await expect(page.getByText('The clock of this device agrees with the server’s.')).toBeVisible();
  return newRoom(page, running.url, 'Store', '2000', '1600');
}
/** The same with the benchmark and one station read, and sent. */
async function annReads(browser: Browser, page: Page): Promise<string> {
  const id = await annIn(browser, page);
  await page.getByRole('button', { name: /^Flat: / }).click();
  await key(page, '1330');
  await key(page, '1341');
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  return id;
}
const withoutSignal = async (context: BrowserContext, work: () => Promise<void>) => {
  await context.setOffline(true);
  await work();
  await context.setOffline(false);
};

test('a room drawn otherwise on two devices is shown as both, and each part comes from the side that is chosen', async ({
  browser,
  page,
  context,
}) => {
  const id = await annIn(browser, page);
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  await withoutSignal(context, async () => {
    await page.getByRole('textbox', { name: /^W1, along/ }).fill('2100');
    await page.getByRole('textbox', { name: /^W1, along/ }).blur();
    await expect(page.getByTestId('sending')).toHaveText('1 waiting to send');
    const room = await roomOf(id);
    const opening = { id: 'arch-1', kind: 'archway', wall: 2, fromMm: 400, widthMm: 900, hinge: 'start', swing: 'in' };
    const openings = [{ ...opening, beyond: 'unknown', sharedId: null }];
    expect(await elsewhere(`rooms/${id}`, room, { name: 'Tool store', openings })).toBe(200);
  });
  const trouble = page.getByTestId('trouble');
  await expect(trouble.getByText('Room “Store” changed on another device')).toBeVisible();
  await expect(trouble.getByRole('img', { name: /as drawn here, in full lines/ })).toBeVisible();
  await expect(trouble.getByText(/^Written by Ann on this device at .*, by Ben on another device at /)).toBeVisible();
  await accessible(page);
  for (const part of ['Name', 'Outline', 'Opening: archway'])
    await expect(trouble.getByRole('radiogroup', { name: `${part} as it is` })).toBeVisible();
  for (const part of ['Name', 'Opening: archway'])
    await trouble
      .getByRole('radiogroup', { name: `${part} as it is` })
      .getByRole('radio', { name: 'There' })
      .click();
  await trouble.getByRole('button', { name: 'Keep what is chosen' }).click();
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  await expect(trouble).toBeHidden();
  expect(await roomOf(id)).toMatchObject({
    name: 'Tool store',
    walls: [{ lengthMm: 2100 }, {}, {}, {}],
    openings: [{ id: 'arch-1' }, { kind: 'door' }],
    made: { by: 'Ann' },
  });
});

test(
  'taking theirs shows theirs at once, and is taken back like any step',
  ONCE,
  async ({ browser, page, context }) => {
    const id = await annIn(browser, page);
    await expect(page.getByTestId('sending')).toHaveText('all sent');
    await withoutSignal(context, async () => {
      await page.getByRole('textbox', { name: /^W1, along/ }).fill('2100');
      await page.getByRole('textbox', { name: /^W1, along/ }).blur();
      await expect(page.getByTestId('sending')).toHaveText('1 waiting to send');
      await elsewhere(`rooms/${id}`, await roomOf(id), { name: 'Tool store' });
    });
    await page.getByRole('button', { name: 'Take theirs' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tool store');
    await page.getByRole('button', { name: 'Undo. Room “Store” as it is there' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Store');
    await expect(page.getByTestId('sending')).toHaveText('all sent');
    expect(await roomOf(id)).toMatchObject({ name: 'Store', version: 3, walls: [{ lengthMm: 2100 }, {}, {}, {}] });
  },
);

test('readings in a room that was removed meanwhile are kept, and come back with the room', async ({
  browser,
  page,
  context,
}) => {
  const id = await annReads(browser, page);
  await withoutSignal(context, async () => {
    await key(page, '1342');
    await key(page, '1343');
    await elsewhere(`rooms/${id}`, await roomOf(id), {}, true);
  });
  const trouble = page.getByTestId('trouble');
  await expect(trouble.getByText(/^The room “Store” was removed by Ben on another device at /)).toBeVisible();
  await expect(trouble.getByText(/^2 entries of yours in it are kept on this device only\./)).toBeVisible();
  // Also where the room is no longer to be found.
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No such room');
  await expect(trouble.getByText(/^2 entries of yours/)).toBeVisible();
  await accessible(page);
  const saved = page.waitForEvent('download');
  await trouble.getByRole('button', { name: 'Copy out. Store' }).click();
  expect((await saved).suggestedFilename()).toBe('not-taken.json');
  await trouble.getByRole('button', { name: 'Bring the room back' }).click();
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  await expect(trouble).toBeHidden();
  expect((await roomFacts(running.url, id)).readings.map(({ rodMm }) => rodMm)).toEqual([1341, 1342, 1343]);
  await expect(page.getByText(/Read station 4 of/)).toBeVisible();
});

test('a station that two devices read differently shows both figures, and one is chosen', async ({
  browser,
  page,
  context,
}) => {
  const id = await annReads(browser, page);
  const { readings } = await roomFacts(running.url, id);
  const [first] = readings;
  // Ben's clock is an hour slow: by it his reading would be the older one.
  const takenAt = new Date(Date.parse(first!.takenAt) - 3_600_000).toISOString();
  await elsewhere(`rooms/${id}/readings/of-ben`, null, { ...bodyOf(first!), rodMm: 1345, takenAt });
  await page.reload();
  const card = page.getByRole('alert').filter({ hasText: 'Station 1 was read on two devices' });
  await expect(card.getByText(/^1.341 mm by Ann on this device, /)).toBeVisible();
  await expect(card.getByText(/^1.345 mm by Ben on another device, .*; counts until you choose$/)).toBeVisible();
  await accessible(page);
  await card.getByRole('button', { name: /^1.341 is right/ }).click();
  await expect(card).toBeHidden();
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  expect((await roomFacts(running.url, id)).readings.map(({ rodMm }) => rodMm)).toEqual([1341]);
  await takeBack(page, /^Undo. Station 1 is 1.341/);
  await expect(card).toBeVisible();
});

test('a clock that is off is told, and goes with what is written', ONCE, async ({ page }) => {
  await page.clock.install({ time: Date.now() + 7 * 60_000 });
  await page.clock.resume();
  const id = await newRoom(page, running.url, 'Store', '2000', '1600');
  await expect(page.getByTestId('trouble')).toContainText(
    'The clock of this device is 7 minutes ahead of the server’s.',
  );
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  const room = (await roomOf(id)) as unknown as { made: { skewMs: number } };
  // A busy machine takes a while from the moment it is asked for its time to the moment that time is set.
  expect(Math.abs(room.made.skewMs - 7 * 60_000)).toBeLessThan(30_000);
});
