import { expect, test, type Page } from '@playwright/test';
import { accessible, key, newRoom, ONCE, roomFacts, sheetBox } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer(false);

const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();
const stored = async (id: string) => {
  const book = (await (await fetch(`${running.url}/api/book`)).json()) as {
    rooms: { id: string; assumed: string[]; services: { kind: string; found: string; points: object[] }[] }[];
  };
  return book.rooms.find((room) => room.id === id)!;
};
async function byTape(page: Page, along: string, off: string, place: string) {
  await press(page, 'Place it by tape');
  await page.getByRole('textbox', { name: /^Along W1 from its start/ }).fill(along);
  await page.getByRole('textbox', { name: /^Off W1/ }).fill(off);
  await press(page, place);
}

test('a new room is only taken for granted until its base, its place and what lies on it are confirmed by a touch each', async ({
  page,
}) => {
  const id = await newRoom(page, running.url, 'Scullery', '3000', '2400');
  await expect(page.getByRole('button', { name: 'Room: Measure' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Strip: Measure' })).toBeVisible();
  await accessible(page);
  await press(page, 'Yes, that is the base');
  await press(page, 'On the ground');
  await expect(page.getByText('Where does the floor lie?')).toHaveCount(0);
  await press(page, 'Yes, it is bare');
  await expect(page.getByTestId('assumed')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Room: Lay' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Strip: Lay' })).toBeVisible();
  await expect.poll(async () => (await stored(id)).assumed).toEqual([]);
  // It is a step like any other: undo takes the last one back.
  await press(page, /^Undo/);
  await expect(page.getByTestId('assumed')).toBeVisible();
  // Going on past an empty list says the same.
  await press(page, /^Strip: /);
  await press(page, 'Bare base: is it dry?');
  await expect(page.getByRole('button', { name: 'Strip: Lay' })).toBeVisible();
  await expect.poll(async () => (await stored(id)).assumed).toEqual([]);
});

test('a water pipe is drawn once: a probe is not set over it, and is set clear of it', async ({ page }) => {
  const id = await newRoom(page, running.url, 'Utility', '3000', '2400');
  await press(page, 'Yes, that is the base');
  await press(page, 'On the ground');
  await press(page, 'Pipes, drains and cables');
  await press(page, 'Draw on the sheet');
  const sheet = await sheetBox(page);
  const touch = (x: number, y: number) => page.mouse.click(sheet.x + sheet.width * x, sheet.y + sheet.height * y);
  await touch(0.45, 0.4);
  await expect(page.getByText('1 point: touch where it turns or ends.')).toBeVisible();
  // A key that cannot act is pressed to hear why.
  await page.getByRole('button', { name: /^That is the line/ }).click({ force: true });
  await expect(page.getByText('A line needs two points.')).toBeVisible();
  await touch(0.55, 0.6);
  await press(page, 'That is the line');
  await page.getByRole('radio', { name: 'Water pipe' }).click();
  // Where it runs is taped to the millimetre: across the room, a metre from the door wall.
  for (const [name, mm] of [
    [/^Point 1, along W1/, '0'],
    [/^Point 1, across from W1/, '1000'],
    [/^Point 2, along W1/, '3000'],
    [/^Point 2, across from W1/, '1000'],
  ] as const) {
    const field = page.getByRole('textbox', { name });
    await field.fill(mm);
    await field.blur();
  }
  await expect
    .poll(async () => (await stored(id)).services)
    .toMatchObject([
      {
        kind: 'water',
        found: 'supposed',
        points: [
          { xMm: 0, yMm: 1000 },
          { xMm: 3000, yMm: 1000 },
        ],
      },
    ]);
  await accessible(page);
  await press(page, /^Damp: /);
  await page.getByRole('radio', { name: /^In-slab probe/ }).click();
  await press(page, 'The floor is not heated');
  await press(page, 'Elsewhere');
  await byTape(page, '1500', '1100', 'Place the test here');
  await expect(page.getByTestId('gate')).toContainText('A water pipe may lie 100 mm beside it');
  await expect(page.getByTestId('gate')).toContainText('the plumber');
  expect((await roomFacts(running.url, id)).dampTests).toEqual([]);
  await press(page, 'Elsewhere');
  await byTape(page, '1500', '1800', 'Place the test here');
  await expect.poll(async () => (await roomFacts(running.url, id)).dampTests).toMatchObject([{ xMm: 1500, yMm: 1800 }]);
  await expect(page.getByTestId('gate')).toHaveCount(0);
  await accessible(page);
});

test('a station is placed by two tapes; one outside the room is asked back', async ({ page }) => {
  const id = await newRoom(page, running.url, 'Porch', '1800', '1200');
  await press(page, /^Flat: /);
  await press(page, 'Set out stations');
  await press(page, 'Add a station');
  await byTape(page, '2500', '400', 'Place the station here');
  await expect(page.getByText('That place lies outside the room: check the two tapes, or the wall.')).toBeVisible();
  await page.getByRole('textbox', { name: /^Along W1 from its start/ }).fill('725');
  await press(page, 'Place the station here');
  await expect.poll(async () => (await roomFacts(running.url, id)).stations).toMatchObject([{ xMm: 725, yMm: 400 }]);
});

test('set to speak, each next station is said with its two tapes', ONCE, async ({ page }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(window, {
      said,
      SpeechSynthesisUtterance: class {
        constructor(public text: string) {}
      },
    });
    Object.defineProperty(window, 'speechSynthesis', {
      value: { cancel: () => undefined, speak: ({ text }: { text: string }) => said.push(text) },
    });
  });
  await newRoom(page, running.url, 'Passage', '1400', '1000');
  await page.goto(`${running.url}/settings`);
  await page.getByRole('radiogroup', { name: /aloud/ }).getByRole('radio', { name: 'On' }).click();
  await press(page, 'Site book');
  await page.getByRole('link', { name: /^Passage/ }).click();
  await press(page, /^Flat: /);
  await key(page, '1330');
  await expect(page.getByText('Read station 1 of 9')).toBeVisible();
  await key(page, '1341');
  await expect(page.getByText('Read station 2 of 9')).toBeVisible();
  const said = await page.evaluate(() => (window as unknown as { said: string[] }).said);
  expect(said.filter((words) => words.startsWith('Station 1.'))).toHaveLength(1);
  expect(said.at(-1)).toMatch(/^Station 2\. \d+ centimetres from .+\. \d+ centimetres from /);
});
