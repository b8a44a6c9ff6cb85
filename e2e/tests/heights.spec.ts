import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { LONG, accessible, key, roomFacts, takeBack, ONCE } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer();

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const heights = (page: Page, room: string) => page.goto(`${running.url}/rooms/${room}/heights`);
const ledger = async (page: Page) => {
  await page.goto(`${running.url}/jobs/demo-sluice-house/heights`);
  // Room after room is judged, on whatever machine this is.
  await expect(page.getByTestId('ledger-row')).toHaveCount(7, LONG);
  await expect(page.getByText(/^Working out/)).toHaveCount(0, LONG);
};

test('from a known floor: what goes in the doorway, and will the door still open', async ({ page }) => {
  await heights(page, 'demo-reading-room');
  await expect(page.getByText('Floor beyond the door in W1')).toBeVisible();
  await accessible(page);
  // Three places beyond, for the door is wide; then the leaf at both ends, and what leaf it is.
  for (const [where, rod] of [
    ['at the hinge', '1374'],
    ['in the middle', '1374'],
    ['at the latch', '1373.5'],
    ['at the hinge', '1358'],
    ['at the latch', '1358'],
  ]) {
    await expect(page.getByText(new RegExp(`^${where}`))).toBeVisible();
    const before = (await roomFacts(running.url, 'demo-reading-room')).levels.length;
    await key(page, rod!);
    await expect.poll(async () => (await roomFacts(running.url, 'demo-reading-room')).levels.length).toBe(before + 1);
  }
  // Whoever is faster than the device keeps what was chosen is left on the tab that was gone to meanwhile.
  await button(page, 'Solid wood').waitFor();
  await page.evaluate(() => {
    for (const name of ['Solid wood', 'Openings'])
      [...document.querySelectorAll<HTMLElement>('[role=button]')].find((one) => one.textContent === name)!.click();
  });
  await expect.poll(async () => (await roomFacts(running.url, 'demo-reading-room')).leaves.length).toBeGreaterThan(0);
  await expect(button(page, 'Openings')).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByTestId('bar')).not.toHaveText('Not known yet');
  await expect(page.getByTestId('step')).toContainText(/\d mm/);
  await expect(page.getByTestId('section').getByRole('img')).toHaveAccessibleName(
    /The new floor here at .* beyond at /,
  );
  await button(page, 'Why this bar?').click();
  await expect(page.getByText(/^The step it was chosen by: /)).toBeVisible();
  await expect(page.getByTestId('clearance').or(button(page, 'The leaf'))).toBeVisible();
  await button(page, 'Leaf in its swing').click();
  await accessible(page);
});

test(
  'by tape below the floor that lies here now: kept with what it lay on, listed, and taken back',
  ONCE,
  async ({ page }) => {
    await heights(page, 'demo-kitchen');
    await button(page, 'Below').click();
    const before = (await roomFacts(running.url, 'demo-kitchen')).levels.length;
    await key(page, '7');
    const levels = async () => (await roomFacts(running.url, 'demo-kitchen')).levels;
    await expect.poll(async () => (await levels()).length).toBe(before + 1);
    // Vinyl of 2 mm on a panel of 6 lies there: that is kept with the figure, whatever is taken up later.
    expect((await levels()).find(({ overMm }) => overMm === -7)).toMatchObject({
      readBy: 'tape',
      lyingMm: 8,
      datumMm: null,
    });
    await button(page, 'Levels read').click();
    await expect(page.getByText(/7 mm below what lay there/)).toBeVisible();
    await takeBack(page);
    await expect.poll(async () => (await levels()).length).toBe(before);
  },
);

test('a fire door stops whatever is asked of it; a machine in its bay waits for its floor; risers are told before and after', async ({
  page,
}) => {
  await heights(page, 'demo-landing');
  await button(page, 'Openings').click();
  await expect(page.getByTestId('bar')).toHaveText('Gripper and carpet bar');
  await expect(page.getByTestId('criteria')).toContainText('a fire leaf comes too near the floor');
  await expect(page.getByText(/^Do not cut it, and do not sink the floor under it/)).toBeVisible();
  await button(page, 'Rest').click();
  await expect(page.getByTestId('stair')).toContainText('Risers differ by 7 mm today');
  await accessible(page);
  await heights(page, 'demo-kitchen');
  await button(page, 'Rest').click();
  await expect(page.getByTestId('rest')).toContainText(/Once the floor lies it leaves by the .*, \d/);
});

test(
  'what goes down is stated once: a figure past its range is asked back beside it, and every step moves by what is added',
  ONCE,
  async ({ page }) => {
    await heights(page, 'demo-boot-room');
    await button(page, 'Build-up').click();
    await expect(page.getByTestId('adds')).toHaveText('5.2 mm new, 5.2 mm once lived on');
    const panel = page.getByRole('textbox', { name: 'Panel on the surface that stays' });
    await panel.fill('90');
    await panel.press('Enter');
    await expect(page.getByText(/^90 is out of range: 0 mm to 40 mm/)).toBeVisible();
    await panel.fill('6');
    await panel.press('Enter');
    await expect(page.getByTestId('adds')).toHaveText('11.2 mm new, 11.2 mm once lived on');
    await button(page, 'Openings').click();
    await expect(page.getByTestId('bar')).toHaveText('Reducer');
    await takeBack(page);
    await expect(page.getByTestId('bar')).toHaveText('Flat bar');
  },
);

test(
  'what nothing waits for is read where somebody asks: a guard that comes to stand too low stops, a board that stays is looked at',
  ONCE,
  async ({ page }) => {
    await heights(page, 'demo-boot-room');
    await button(page, 'Rest').click();
    await button(page, 'Guards and low sills').click();
    await button(page, 'Read one at W2').click();
    await expect(page.getByText('Top of the guard at wall W2')).toBeVisible();
    await button(page, 'By tape').first().click();
    await key(page, '850');
    // Back where it was asked for, with what it makes.
    await expect(page.getByText(/^W2: 84\d.* over the new floor, 900 mm asked\. Have it made higher/)).toBeVisible();
    await accessible(page);
    await button(page, 'Openings').click();
    await expect(page.getByTestId('criteria')).toContainText('The guard at the wall W2 would stand 84');
    await button(page, 'Rest').click();
    await takeBack(page);
    await expect(page.getByText(/^W2: /)).toHaveCount(0);

    await button(page, 'Skirting').click();
    const wall = page.getByTestId('skirting-W2');
    await wall.getByRole('radio', { name: 'Stays on the wall' }).click();
    await expect(wall).toContainText('Whether it may stay is known once its bottom and the floor are read.');
    await wall.getByRole('button', { name: 'Read the bottom of the board on W2' }).click();
    await expect(page.getByText('Bottom of the skirting on wall W2')).toBeVisible();
    await button(page, 'By tape').first().click();
    await key(page, '3');
    await expect(wall).toContainText(/comes .* above its bottom: take it off, or cut it along its bottom/);
    await wall.getByRole('radio', { name: 'New board' }).click();
    await expect(page.getByText(/^\d+ lengths of skirting board, 2\.4 m each\.$/)).toBeVisible();
    await wall.getByRole('button', { name: /^Where W2 is not straight/ }).click();
    const into = wall.getByRole('textbox', { name: 'Into the room from the string' });
    await into.fill('90');
    await wall.getByRole('button', { name: 'Add the place on W2' }).click();
    await expect(
      wall.getByText(/^90 is out of range: -60 mm to 60 mm|^90 is out of range: −60 mm to 60 mm/),
    ).toBeVisible();
    await into.fill('6');
    await wall.getByRole('textbox', { name: 'Along W2, from its start' }).fill('1000');
    await wall.getByRole('button', { name: 'Add the place on W2' }).click();
    await expect(wall.getByText('1 m: 6 mm into the room')).toBeVisible();
    await accessible(page);
  },
);

test(
  'the finished floor is drawn all over the room; a ramp on the lower side goes into the levelling of the room beyond',
  ONCE,
  async ({ page }) => {
    await heights(page, 'demo-boot-room');
    await button(page, 'Build-up').click();
    await expect(
      page.getByRole('img', { name: /^Boot room: the finished floor, up to .* over its mean/ }),
    ).toBeVisible();
    const panel = page.getByRole('textbox', { name: 'Panel on the surface that stays' });
    await panel.fill('30');
    await panel.press('Enter');
    await button(page, 'Openings').click();
    await expect(page.getByTestId('bar')).toHaveText('Made ramp');
    const rises = async () => (await roomFacts(running.url, 'demo-kitchen')).rises.length;
    const before = await rises();
    await button(page, /^Put it into the levelling of Kitchen/).click();
    await expect(button(page, /^It is in the levelling of Kitchen/)).toBeVisible();
    await expect.poll(rises).toBe(before + 1);
  },
);

test('the ledger has every opening of the job once, marks what changes, and is saved as a table and as sections', async ({
  page,
}) => {
  await ledger(page);
  const parlour = page.getByRole('link', { name: /^Parlour, door in W1, to Hall: Flat bar/ });
  await expect(parlour).toBeVisible();
  await accessible(page);
  await button(page, 'Mark what changes from here on').click();
  await parlour.click();
  await page.waitForURL(/demo-parlour\/heights$/);
  await button(page, 'Build-up').click();
  const panel = page.getByRole('textbox', { name: 'Panel on the surface that stays' });
  await panel.fill('6');
  await panel.press('Enter');
  await expect(page.getByTestId('adds')).toContainText('12.7 mm new');
  await ledger(page);
  await expect(page.getByTestId('changed')).toHaveText('1 opening changed since the ledger was last taken as seen.');
  await expect(page.getByRole('link', { name: /^Parlour, door in W1, to Hall: .*Changed$/ })).toBeVisible();
  const saved = async (name: string) => {
    const [file] = await Promise.all([page.waitForEvent('download'), button(page, name).click()]);
    return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') };
  };
  const table = await saved('Save as CSV');
  expect(table.name).toBe('sluice-house-openings.csv');
  expect(table.text.trim().split('\r\n')).toHaveLength(8);
  expect(table.text).toContain('Parlour,Hall,door in W1,800');
  const drawing = await saved('Sections as DXF');
  expect(drawing.name).toBe('sluice-house-sections.dxf');
  expect(drawing.text).toContain('Parlour, door in W1, to Hall');
});

test('the ledger stands over the floors as their chosen levelling leaves them, on asking', ONCE, async ({ page }) => {
  await ledger(page);
  const step = page.getByRole('link', { name: /^Landing, stair edge in W2/ });
  const before = await step.getAttribute('aria-label');
  await button(page, 'With the planned levelling').click();
  await expect(page.getByText('Over each floor as the levelling chosen for it leaves it.')).toBeVisible();
  await expect(page.getByText(/^Working out/)).toHaveCount(0, LONG);
  await expect(page.getByTestId('ledger-row')).toHaveCount(7);
  // The landing is levelled beside its stair: the last riser is another.
  expect(await step.getAttribute('aria-label')).not.toBe(before);
  await button(page, 'As the floors lie today').click();
  await expect(step).toHaveAttribute('aria-label', before!);
});

test('rooms lie in place on the storey by the openings they share, and one is moved and put back', async ({ page }) => {
  await ledger(page);
  await button(page, 'Storey').click();
  await expect(page.getByTestId('storey').getByRole('img')).toHaveAccessibleName(
    /Parlour, Boot room, Hall, Kitchen, Wash house, Landing/,
  );
  await expect(page.getByTestId('groups')).toHaveText(/^Landing: no opening of this storey leads there/);
  await expect(page.getByText(/come together .* apart/)).toHaveCount(0);
  await accessible(page);
  await page.getByRole('radio', { name: 'Boot room' }).click();
  for (let n = 0; n < 3; n++) {
    await button(page, 'Left').click();
    await expect.poll(async () => (await roomFacts(running.url, 'demo-boot-room')).poses.length).toBe(1);
  }
  await expect(
    page.getByText(/^Kitchen and Boot room come together|^Boot room and Kitchen come together/),
  ).toBeVisible();
  await button(page, 'Boot room back to where its openings put it').click();
  await expect(page.getByText(/come together .* apart/)).toHaveCount(0);
});

test('the fewest steps over the job are worked out, proved, taken as facts and taken back', async ({ page }) => {
  await ledger(page);
  await button(page, 'Fewest steps').click();
  await button(page, 'Work it out').click();
  const least = page.getByTestId('least');
  await expect(least.getByText('Not read yet, and left out: Kitchen, Wash house.')).toBeVisible(LONG);
  await expect(least.getByText(/^Proved: nothing/)).toHaveCount(3);
  await accessible(page);
  const hall = async () => (await roomFacts(running.url, 'demo-hall')).buildUps;
  expect(await hall()).toEqual([]);
  await least.getByRole('button', { name: 'Take this one' }).first().click();
  await expect(least.getByRole('button', { name: 'Taken for the job' })).toBeVisible();
  await expect.poll(async () => (await hall()).length).toBe(1);
  await button(page, /^Undo/).click();
  await expect.poll(async () => (await hall()).length).toBe(0);
});

test(
  'another covering is tried where the client would take it, and becomes the room’s when it is taken',
  ONCE,
  async ({ page }) => {
    await ledger(page);
    await button(page, 'Fewest steps').click();
    await button(page, /^Other coverings that may be laid/).click();
    const vinyl = button(page, /^Click vinyl, rigid core, /);
    await vinyl.click();
    await button(page, 'Work it out').click();
    const least = page.getByTestId('least');
    await expect(least.getByText(/^Proved: nothing/)).toHaveCount(3, LONG);
    await accessible(page);
    const ids = ['demo-hall', 'demo-parlour', 'demo-boot-room'];
    const cards = async () => {
      const { rooms } = (await (await fetch(`${running.url}/api/book`)).json()) as {
        rooms: { id: string; cardId: string }[];
      };
      return ids.map((id) => rooms.find((room) => room.id === id)!.cardId);
    };
    const before = await cards();
    await least.getByRole('button', { name: 'Take this one' }).first().click();
    await expect(least.getByRole('button', { name: 'Taken for the job' })).toBeVisible();
    await expect.poll(cards).not.toEqual(before);
    await button(page, /^Undo/).click();
    await expect.poll(cards).toEqual(before);
  },
);
