import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { closed, drawing, line, word } from '../../core/src/formats/invented-drawing.ts';
import { accessible, ONCE } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer(false);

async function newJob(page: Page, name: string): Promise<string> {
  await page.goto(running.url);
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('textbox', { name: 'What the job is called' }).fill(name);
  await page.getByRole('button', { name: 'Add the job' }).click();
  await page.waitForURL(/\/jobs\//);
  return /jobs\/([^/]+)/.exec(page.url())![1]!;
}

async function choose(page: Page, name: string, text: string): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^From a drawing or table/ }).click();
  await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) });
}

interface RoomOfJob {
  jobId: string;
  name: string;
  walls: { lengthMm: number; turnDeg: number; drawn?: boolean | null }[];
}
const roomsOf = async (jobId: string) =>
  ((await (await fetch(`${running.url}/api/book`)).json()) as { rooms: RoomOfJob[] }).rooms.filter(
    (room) => room.jobId === jobId,
  );

/** A storey of two rooms that share a wall, drawn by single lines in feet, with a bench that is no room. */
const STOREY = drawing([
  ...line('WALLS', 0, 0, 20, 0),
  ...line('WALLS', 20, 0, 20, 12),
  ...line('WALLS', 20, 12, 0, 12),
  ...line('WALLS', 0, 12, 0, 0),
  ...line('WALLS', 8, 0, 8, 12),
  ...word('WALLS', 3, 6, 'Boat store'),
  ...word('WALLS', 13, 6, 'Net loft'),
  ...closed('BENCH', [
    [1, 1],
    [7, 1],
    [7, 3],
    [1, 3],
  ]),
]);

test('a drawing of a storey becomes its rooms, in the unit that makes the sizes right, and keeps their places', async ({
  page,
}) => {
  const jobId = await newJob(page, 'Wharf house');
  await choose(page, 'wharf.dxf', STOREY);
  const found = page.getByTestId('drawn-rooms');
  await expect(found).toContainText('wharf.dxf: 3 outlines found');
  await expect(found).toContainText('The drawing names no unit');
  // Twenty by twelve metres is a likely house too: whoever knows better says so.
  await found.getByRole('radio', { name: 'ft', exact: true }).click();
  await expect(found.getByRole('checkbox', { name: /Net loft/ })).toHaveAccessibleName(/3 658 mm by 3 658 mm|3\s658/);
  await expect(found.getByRole('checkbox', { name: /Boat store/ })).toBeChecked();
  await expect(found.getByRole('checkbox', { name: /BENCH/ })).not.toBeChecked();
  await accessible(page);
  await found.getByRole('button', { name: 'Take 2 rooms' }).click();
  await expect(page.getByText(/^2 rooms taken from wharf\.dxf/)).toBeVisible();
  await expect
    .poll(async () => (await roomsOf(jobId)).map(({ name }) => name).sort())
    .toEqual(['Boat store', 'Net loft']);
  const walls = (await roomsOf(jobId)).find(({ name }) => name === 'Boat store')!.walls;
  expect(walls.map(({ lengthMm }) => lengthMm).sort()).toEqual([2438.4, 2438.4, 3657.6, 3657.6]);
  expect(walls.every(({ drawn }) => drawn)).toBe(true);
  // On the storey they stand beside one another as drawn, not apart as rooms nobody has tied.
  await page.getByRole('button', { name: /^Doors and heights/ }).click();
  await page.getByRole('button', { name: 'Storey', exact: true }).click();
  await expect(page.getByTestId('storey')).toBeVisible();
  const lofts = page.getByRole('img', { name: /^The storey: Boat store, Net loft|^The storey: Net loft, Boat store/ });
  await expect(lofts).toBeVisible();
});

test(
  'walls leave as a table and come back wall for wall; a fault costs its room, a held name is not taken twice',
  ONCE,
  async ({ page }) => {
    const jobId = await newJob(page, 'Lock office');
    const good =
      'room,wall,length_mm,turn\nPorch,hearth,4200,90\nPorch,,2000,90\nPorch,,1200,-90\nPorch,,1000,90\nPorch,,3000,90\nPorch,,3000,90\n';
    await choose(page, 'walls.csv', `${good}Hall,,4000,90\nHall,,three metres,90\nHall,,4000,90\nHall,,3000,90\n`);
    const found = page.getByTestId('drawn-rooms');
    await expect(found).toContainText('walls.csv: 1 outline found');
    await expect(found).toContainText(/Line 9 is not taken: .*three metres/);
    await expect(found).toContainText('“Hall” cannot be taken without its faulty line');
    await found.getByRole('button', { name: 'Take 1 room' }).click();
    await expect.poll(async () => (await roomsOf(jobId)).length).toBe(1);

    await page.getByRole('button', { name: 'Tables for a spreadsheet' }).click();
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: /^Walls \(6\)/ }).click();
    const table = readFileSync(await (await saved).path(), 'utf8');
    await choose(page, 'again.csv', table);
    await expect(found.getByRole('checkbox', { name: /Porch.*The job has a room of this name/ })).not.toBeChecked();
    await found.getByRole('button', { name: 'Leave the file' }).click();

    const other = await newJob(page, 'Lock office again');
    await choose(page, 'again.csv', table);
    await found.getByRole('button', { name: 'Take 1 room' }).click();
    await expect.poll(async () => (await roomsOf(other)).length).toBe(1);
    expect((await roomsOf(other))[0]!.walls).toEqual((await roomsOf(jobId))[0]!.walls);
    // One step back takes them all back.
    await page.getByRole('button', { name: /^Undo/ }).first().click();
    await expect.poll(async () => (await roomsOf(other)).length).toBe(0);
  },
);

test('what is no drawing is said, and the form above keeps what was typed', ONCE, async ({ page }) => {
  await newJob(page, 'Weir cottage');
  await page.getByRole('textbox', { name: 'What the room is called' }).fill('Sluice loft');
  await choose(page, 'plan.dxf', 'AutoCAD Binary DXF\r\n\x1a');
  await expect(page.getByTestId('drawn-rooms')).toContainText('save the drawing as DXF in text');
  await choose(page, 'photo.json', '{"type": "Feat');
  await expect(page.getByTestId('drawn-rooms')).toContainText('photo.json cannot be read');
  await expect(page.getByTestId('drawn-rooms').getByRole('button', { name: /^Take/ })).toHaveAccessibleName(
    /No room is ticked/,
  );
  await expect(page.getByRole('textbox', { name: 'What the room is called' })).toHaveValue('Sluice loft');
});
