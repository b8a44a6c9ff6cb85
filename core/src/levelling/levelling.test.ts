import { readOut } from '@maquette/words';
import { gapMap } from '../flat/index.ts';
import { gridOver, heightsFrom, randomFloor, rectanglePlan } from '../flat/invented.ts';
import { inventedLevelling, inventedRoom } from './invented-job.ts';
import { certify, needOf, patchesOf, planLevelling, pourToPlane, SHIPPED_COMPOUNDS, smallestFill } from './index.ts';

const rule = { gapMm: 3, edgeMm: 2000 };

test.each([1, 2, 3, 4, 5])('the smallest fill never lowers, and no edge is left over the rule (floor %i)', (seed) => {
  const grid = gridOver(rectanglePlan(3200, 2600), 100);
  const h = heightsFrom(grid, randomFloor(seed, 7));
  const { fillMm, settled } = smallestFill(grid, h, [rule]);
  expect(settled).toBe(true);
  expect(Math.min(...fillMm)).toBeGreaterThanOrEqual(0);
  const certificate = certify(
    grid,
    h.map((z, i) => z + fillMm[i]!),
    rule,
  );
  expect(certificate.worstGapMm).toBeLessThanOrEqual(rule.gapMm);
  expect(certificate.gapHolds).toBe(true);
});

test('a floor inside the rule needs nothing', () => {
  const grid = gridOver(rectanglePlan(3000, 3000), 100);
  const { fillMm } = smallestFill(
    grid,
    heightsFrom(grid, (x, y) => 2 * x + 0.4 * Math.sin(3 * y)),
    [rule],
  );
  expect(Math.max(...fillMm)).toBe(0);
});

// For a single ditch across a narrow room every line sees the same profile, and the least fill is the depth less T.
test('a lone ditch is filled to the allowed gap and no further', () => {
  const grid = gridOver(rectanglePlan(4000, 100), 50);
  const h = heightsFrom(grid, (x) => (Math.abs(x - 2) < 0.03 ? -5 : 0));
  const { fillMm } = smallestFill(grid, h, [rule]);
  const filled = fillMm.filter((f) => f > 0);
  expect(filled.length).toBeGreaterThan(0);
  for (const f of filled) expect(f).toBeCloseTo(2, 2);
});

test('less fill would not do: taking a tenth of a millimetre off any patch breaks the rule', () => {
  const grid = gridOver(rectanglePlan(3000, 2000), 100);
  const h = heightsFrom(grid, (x, y) => -8 * Math.exp(-((x - 1.5) ** 2 + (y - 1) ** 2) / 0.3));
  const { fillMm } = smallestFill(grid, h, [rule]);
  const lower = h.map((z, i) => z + Math.max(0, fillMm[i]! - 0.1));
  expect(certify(grid, lower, rule).gapHolds).toBe(false);
});

test('a ridge that only rocks gets no fill and says that filling is not the cure', () => {
  const ridge = (x: number) => -4 * (x - 2.5) ** 2;
  const { job, state } = inventedLevelling(inventedRoom(5000, 3000), ridge);
  const planned = planLevelling(job, state)!;
  expect(planned.fill.holds).toBe(false);
  expect(planned.fill.rocking!.kind).toBe('crown');
  expect(planned.fill.fillL).toBeLessThan(1);
  expect(planned.nothingToDo).toBe(false);
  const contacts = inventedLevelling(inventedRoom(5000, 3000, { contactsOnly: true }), ridge);
  expect(planLevelling(contacts.job, contacts.state)!.fill.holds).toBe(true);
});

test('patches add up to the fill, are lettered by size and outline the wet cells', () => {
  const grid = gridOver(rectanglePlan(6000, 3000));
  const fillMm = heightsFrom(
    grid,
    (x, y) =>
      Math.max(0, 4 - 20 * ((x - 1) ** 2 + (y - 1) ** 2)) + Math.max(0, 2 - 20 * ((x - 4.5) ** 2 + (y - 2) ** 2)),
  );
  const patches = patchesOf(grid, fillMm);
  expect(patches.map((p) => p.label)).toEqual(['A', 'B']);
  expect(patches[0]!.deepestMm).toBeGreaterThan(patches[1]!.deepestMm);
  const total = fillMm.reduce((a, b) => a + b, 0) * grid.cellAreaM2;
  expect(patches.reduce((sum, p) => sum + p.volumeL, 0)).toBeCloseTo(total, 1);
  // A paraboloid cap of depth d and coefficient 20 has volume pi d^2 / 40 in m2 mm, which is litres.
  expect(patches[0]!.volumeL).toBeCloseTo((Math.PI * 16) / 40, 1);
  for (const p of patches)
    for (const [x, y] of p.outlines[0]!) expect(Math.hypot(x - p.deepestAt[0], y - p.deepestAt[1])).toBeLessThan(600);
});

test('depth classes of a patch add up to it, each within its bounds', () => {
  const grid = gridOver(rectanglePlan(3000, 2000));
  const fill = heightsFrom(grid, (x, y) => Math.max(0, 8 * (1 - Math.hypot(x - 1.5, y - 1))));
  const [patch] = patchesOf(grid, fill);
  const { classes } = patch!;
  expect(classes.map(({ fromMm }) => fromMm)).toEqual([0, 1, 3, 6]);
  expect(classes.reduce((sum, c) => sum + c.areaM2, 0)).toBeCloseTo(patch!.areaM2, 9);
  expect(classes.reduce((sum, c) => sum + c.volumeL, 0)).toBeCloseTo(patch!.volumeL, 9);
  for (const { fromMm, toMm, areaM2, volumeL } of classes) {
    expect(volumeL / areaM2).toBeGreaterThanOrEqual(fromMm);
    expect(volumeL / areaM2).toBeLessThanOrEqual(toMm);
  }
  // A cone of 8 mm over 1 m is 3 mm deep or more within 0.625 m: pi 0.625^2 less what is deeper than 6 mm.
  expect(classes[2]!.areaM2).toBeCloseTo(Math.PI * (0.625 ** 2 - 0.25 ** 2), 1);
});

test('crumbs near a patch join it; a lone one stays, so that no volume is lost', () => {
  const grid = gridOver(rectanglePlan(4000, 2000));
  const fillMm = heightsFrom(grid, (x, y) =>
    x > 1 && x < 2 && y > 0.5 && y < 1.5
      ? 2
      : (x > 2.1 && x < 2.2 && y > 0.9 && y < 1) || (x > 3.5 && x < 3.6 && y > 0.9 && y < 1)
        ? 1
        : 0,
  );
  const patches = patchesOf(grid, fillMm);
  expect(patches).toHaveLength(2);
  expect(patches.reduce((sum, p) => sum + p.volumeL, 0)).toBeCloseTo(
    fillMm.reduce((a, b) => a + b, 0) * grid.cellAreaM2,
    9,
  );
});

test('bags: 7.0 litres of patching at 1.4 kg/(m2 mm) and 5 % waste are 10.3 kg, one bag of 20', () => {
  const need = needOf(SHIPPED_COMPOUNDS[0]!, 7, 0, 4);
  expect(need.massKg).toBeCloseTo(10.29, 9);
  expect(need).toMatchObject({ bags: 1, lifts: 1, unsuited: null });
  expect(needOf(SHIPPED_COMPOUNDS[0]!, 14, 0, 24).bags).toBe(2);
  expect(needOf(SHIPPED_COMPOUNDS[0]!, 14, 0, 24).lifts).toBe(3);
  expect(readOut(needOf(SHIPPED_COMPOUNDS[1]!, 7, 0, 4).unsuited)).toContain('3 mm');
});

test('a pour over an inclined plane takes half the fall times the area, plus the least depth', () => {
  const grid = gridOver(rectanglePlan(4000, 3000));
  const pour = pourToPlane(
    grid,
    heightsFrom(grid, (x) => 2 * x),
    3,
  );
  expect(pour.volumeL).toBeCloseTo(12 * (3 + 3.95), 0);
  expect(pour.deepestMm).toBeCloseTo(3 + 2 * 3.95, 6);
  const ground = pourToPlane(
    grid,
    heightsFrom(grid, (x) => 2 * x),
    3,
    2,
  );
  expect(ground.volumeL).toBeLessThan(pour.volumeL);
  expect(ground.groundVolumeL).toBeCloseTo(3 * 1 * 1, 0);
});

test('after a pour to a plane nothing is left under any edge', () => {
  const grid = gridOver(rectanglePlan(3000, 2000));
  const h = heightsFrom(grid, randomFloor(4));
  const pour = pourToPlane(grid, h, 3);
  const map = gapMap(
    grid,
    h.map(() => pour.levelMm),
    { edgeMm: 2000 },
  );
  expect(map.worstGap?.valueMm ?? 0).toBeLessThan(1e-9);
});

test('a stopped fill says that it has not settled', () => {
  const grid = gridOver(rectanglePlan(3000, 2000), 100);
  expect(smallestFill(grid, heightsFrom(grid, randomFloor(2, 9)), [rule], { shouldStop: () => true }).settled).toBe(
    false,
  );
});
