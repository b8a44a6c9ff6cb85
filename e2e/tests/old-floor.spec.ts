import { expect, test, type Page } from '@playwright/test';
import { accessible, key, newRoom, pad, roomFacts, sheetBox } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer();

const wall = async (page: Page, length: string, turn: 'Left' | 'Right') => {
  await key(page, length);
  await page.getByRole('button', { name: turn, exact: true }).click();
};
const fold = (page: Page, name: string) => page.getByRole('button', { name, exact: true });
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });

test('an L-shaped kitchen with two doors, a cabinet, a register and a pipe goes in by the pad alone', async ({
  page,
}) => {
  const id = await newRoom(page, running.url, 'Galley', '3000', '3000');
  await page.getByRole('button', { name: /^Walk the walls/ }).click();
  await wall(page, '4200', 'Left');
  await wall(page, '2400', 'Left');
  await wall(page, '1400', 'Right');
  await wall(page, '1400', 'Left');
  // Two walls are left and follow from the rest: W5 2800, W6 3800.
  await page.getByRole('button', { name: /^Close it with W5 2\s800, W6 3\s800/ }).click();
  await expect(page.getByText('14 m² · 6 walls')).toBeVisible();

  // The door of the first rectangle stays in W1; a second one is put in and moved along its wall.
  await fold(page, 'Doors and openings').click();
  await button(page, 'Add door').click();
  await pad(page, /^From the start of W2/, '1400');
  await pad(page, 'Width', '760');
  await fold(page, 'Doors and openings').click();

  await fold(page, 'Fixtures and islands').click();
  await page.getByRole('button', { name: 'Cabinet. Add one' }).click();
  await pad(page, 'Along W1 to its near edge', '1400');
  await pad(page, 'Width along the wall', '1800');
  await page.getByRole('button', { name: 'Register. Add one' }).click();
  await pad(page, 'Along W1 to its near edge', '3500');
  await page.getByRole('button', { name: 'Pipe. Add one' }).click();
  await page.getByRole('radiogroup', { name: 'Taped from wall' }).getByRole('radio', { name: 'W6' }).click();
  await pad(page, 'Along W6 to its middle', '1500');
  await pad(page, 'Off the wall to its middle', '90');
  await accessible(page);
  // 14 m2 less what stands under the cabinet: 1.8 by 0.6 m.
  await expect(page.getByText('12.9 m² · 6 walls')).toBeVisible();

  await expect
    .poll(async () => (await room(id)).fixtures?.map((f) => [f.kind, Math.round(f.xMm), Math.round(f.yMm)]))
    .toEqual([
      ['cabinet', 2300, 300],
      ['register', 3650, 110],
      ['pipe', 90, 2300],
    ]);
  const { openings } = await room(id);
  expect(openings.map((o) => [o.kind, o.wall, o.fromMm, o.widthMm])).toEqual([
    ['door', 0, 100, 800],
    ['door', 1, 1400, 760],
  ]);
});

async function room(id: string) {
  const book = (await (await fetch(`${running.url}/api/book`)).json()) as {
    rooms: {
      id: string;
      walls: { lengthMm: number; drawn?: boolean }[];
      diagonals: unknown[];
      openings: { kind: string; wall: number; fromMm: number; widthMm: number; sharedId: string | null }[];
      fixtures: { kind: string; xMm: number; yMm: number }[];
    }[];
  };
  return book.rooms.find((r) => r.id === id)!;
}

test('a wall is pulled on the sheet: its neighbours follow, the figures say they are drawn, undo and redo', async ({
  page,
}) => {
  const id = await newRoom(page, running.url, 'Pulled', '4000', '3000');
  await page.locator('[data-testid=sheet] circle').first().waitFor();
  // The page still settles while the room is being sent: what is measured before that has moved by the time it is grasped.
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  const box = await sheetBox(page);
  const handles = await page
    .locator('[data-testid=sheet] circle')
    .evaluateAll((all) => all.map((c) => [Number(c.getAttribute('cx')), Number(c.getAttribute('cy'))]));
  // The rightmost handle is the middle of W2: pulled towards the left the room narrows.
  const [x, y] = handles.sort((a, b) => b[0]! - a[0]!)[0]!;
  await page.mouse.move(box.x + x!, box.y + y!);
  await page.mouse.down();
  await page.mouse.move(box.x + x! - 30, box.y + y!, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByText('Wall W2 moved')).toBeVisible();
  await expect.poll(async () => (await room(id)).walls[0]!.lengthMm).toBeLessThan(3950);
  const moved = await room(id);
  expect(moved.walls.map((w) => w.drawn ?? false)).toEqual([true, false, true, false]);
  expect(moved.walls[1]!.lengthMm).toBe(3000);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(async () => (await room(id)).walls[0]!.lengthMm).toBe(4000);
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect.poll(async () => (await room(id)).walls[0]!.lengthMm).toBe(moved.walls[0]!.lengthMm);
});

test('a diagonal tells how far the room is out of square; a misread one is asked back', async ({ page }) => {
  const id = await newRoom(page, running.url, 'Askew', '4000', '3000');
  await fold(page, 'Diagonals').click();
  const field = page.getByRole('textbox', { name: 'Diagonal 1 to 3' });
  await field.fill('5600');
  await field.blur();
  await expect(page.getByText(/5600 mm, but the walls make it about 5000/)).toBeVisible();
  await field.fill('5030');
  await field.blur();
  // Law of cosines: 90.72 degrees, which is 50 mm over the 4 m wall.
  await expect(page.getByTestId('square')).toContainText(/Out of square by (49|50)\.?\d* mm at corner \d \(0\.7\d° /);
  await expect.poll(async () => (await room(id)).diagonals.length).toBe(1);
});

test('an opening two rooms share is changed in both', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-kitchen/room`);
  await fold(page, 'Doors and openings').click();
  await expect(page.getByText(/Shared with Hall/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Width' }).fill('900');
  await page.getByRole('textbox', { name: 'Width' }).blur();
  const shared = async (id: string) =>
    (await room(id)).openings.find((o) => o.sharedId === 'demo-hall-kitchen')!.widthMm;
  await expect.poll(() => shared('demo-hall')).toBe(900);
  expect(await shared('demo-kitchen')).toBe(900);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(() => shared('demo-hall')).toBe(800);
});

test('a shut gate shows no way to take the layer up; results for every material open it', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-kitchen/strip`);
  await expect(page.getByText('gate shut')).toBeVisible();
  await accessible(page);
  await button(page, 'Decide').click();
  await expect(page.getByTestId('option-remove').first()).toContainText(/suspect for asbestos.*to decide/);
  await expect(
    page
      .getByTestId('option-remove')
      .first()
      .getByRole('button', { name: /Take up/ }),
  ).toBeDisabled();
  await accessible(page);
  await button(page, 'Hazards').click();
  await accessible(page);
  for (const part of ['covering', 'backing', 'adhesive']) {
    await page.getByRole('button', { name: 'Record a laboratory result. Sheet vinyl or lino' }).click();
    await button(page, 'Keep this result').click();
    await expect(page.getByText('Empty: this is needed')).toHaveCount(2);
    await expect(page.getByText('Say what the sheet says: negative or positive.')).toBeVisible();
    await page.getByRole('radio', { name: part, exact: true }).click();
    await page.getByRole('textbox', { name: 'Sample number' }).fill(`26-${part.length}`);
    await page.getByRole('textbox', { name: 'Laboratory' }).fill('Weir Lane Laboratory');
    await page.getByRole('radio', { name: 'Negative: nothing found' }).click();
    await button(page, 'Keep this result').click();
    await expect(page.getByText(`${part}, asbestos: negative: open`)).toBeVisible();
  }
  await expect(page.getByText('Sheet vinyl or lino: gate open')).toBeVisible();
  await button(page, 'Decide').click();
  const panel = page.getByTestId('option-remove').last();
  await panel.getByRole('button', { name: /Take up/ }).click();
  await expect(page.getByText('A layer under it goes, so it goes too.')).toBeVisible();
  await button(page, 'Work').click();
  // Vinyl and panel come up together; the panel's seams need no saw.
  await expect(page.getByTestId('cut-plan')).toContainText(/pieces, heaviest/);
  await expect(page.getByTestId('cut-plan')).toContainText('Saw depth 8.5 mm');
  await expect(page.getByTestId('cut-plan')).toContainText('along known seams');
  await accessible(page);
});

test('a step is ticked with its time, and the verdict follows when the work is done', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-wash-house/strip`);
  await button(page, 'Work').click();
  await expect(page.getByText('Nothing chosen yet')).toBeVisible();
  await button(page, 'Decide').click();
  await page
    .getByTestId('option-remove')
    .getByRole('button', { name: /Take up/ })
    .click();
  await button(page, 'Work').click();
  const toDo = page.getByText(/^\d+ steps? to do$/);
  const before = Number(/\d+/.exec((await toDo.textContent())!)![0]);
  await page.getByRole('checkbox', { name: 'Close and tape the door in W1' }).click();
  await expect(page.getByText(`${before - 1} steps to do`)).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Close and tape the door in W1' })).toBeChecked();
  await expect(page.getByText(/^done \d{4}-\d\d-\d\d \d\d:\d\d$/)).toBeVisible();
  // A rate of this job changes the hours at once.
  const hours = page.getByText(/^\d+(\.\d)? h$/).first();
  const was = await hours.textContent();
  await fold(page, 'Rates, limits and prices of this job').click();
  const rate = page.getByRole('textbox', { name: 'Ceramic tile on a mesh mortar bed, taking up, h/m²' });
  await rate.fill('99');
  await rate.blur();
  await expect(page.getByText('99 is out of range: 0.005 to 10 h/m² is taken')).toBeVisible();
  await rate.fill('2.8');
  await rate.blur();
  await expect(hours).not.toHaveText(was!);
});

test('tile is tapped over its grid on the sheet: touched once full, twice hollow', async ({ page }) => {
  await page.goto(`${running.url}/rooms/demo-wash-house/strip`);
  await button(page, 'Layers').click();
  await page.getByRole('button', { name: /^Ceramic tile on a mesh mortar bed, 42 mm/ }).click();
  await page.getByRole('button', { name: /^Tap over the grid/ }).click();
  const hollow = async () =>
    ((await roomFacts(running.url, 'demo-wash-house'))['taps'] as { sound: string }[]).filter(
      (t) => t.sound === 'hollow',
    ).length;
  const was = await hollow();
  const crosses = await page
    .locator('[data-testid=sheet] svg line')
    .evaluateAll((all) =>
      all
        .filter(
          (l) =>
            Number(l.getAttribute('x2')) - Number(l.getAttribute('x1')) === 10 &&
            l.getAttribute('y1') === l.getAttribute('y2'),
        )
        .map((l) => [(Number(l.getAttribute('x1')) + Number(l.getAttribute('x2'))) / 2, Number(l.getAttribute('y1'))]),
    );
  const box = await sheetBox(page);
  await page.mouse.click(box.x + crosses[0]![0]!, box.y + crosses[0]![1]!);
  await expect.poll(hollow).toBe(was + 1);
});

test('walls come from the meter, a dividing line makes areas, and layers lie in one of them', async ({ page }) => {
  const id = await newRoom(page, running.url, 'Two floors', '5000', '3000');
  await page.getByRole('button', { name: /^Walk the walls/ }).click();
  await button(page, 'Meter').click();
  await expect(page.getByText(/^Meter [\d\s.]+ mm · battery \d+ %/)).toBeVisible();
  await button(page, 'From meter').click();
  await expect(page.getByText(/^W1 (5\s[34]\d\d|[2-4]\s\d\d\d)\. Left is/)).toBeVisible();
  await button(page, 'Key this wall again').click();
  await page.getByRole('button', { name: /^Leave the walk/ }).click();

  await fold(page, 'Dividing lines').click();
  await button(page, 'Line across').click();
  await pad(page, /^line 1 near W1/, '2000');
  await pad(page, /^line 1 at the far side/, '2000');
  await page.getByRole('button', { name: 'What lies on the floor' }).click();
  await expect(page.getByRole('radio', { name: /^A · / })).toBeVisible();
  await button(page, 'Add the top layer').click();
  await button(page, 'Carpet and pad').click();
  await page.getByRole('radio', { name: /^B · / }).click();
  await button(page, 'Add the top layer').click();
  await button(page, 'Ceramic tile, thin bed').click();
  await expect
    .poll(async () =>
      ((await roomFacts(running.url, id))['layers'] as { kind: string; where: { side: string }[] }[]).map((l) => [
        l.kind,
        l.where[0]?.side,
      ]),
    )
    .toEqual([
      ['carpet', 'left'],
      ['tile-thin-bed', 'right'],
    ]);
  await button(page, 'Decide').click();
  await expect(page.getByText('6 m²', { exact: true })).toBeVisible();
  await expect(page.getByText('9 m²', { exact: true })).toBeVisible();
});
