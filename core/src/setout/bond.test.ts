import { regionOf } from '../room/index.ts';
import { mayBond, planBond } from './bond.ts';
import { boxAt, CLICK_1290 } from './invented-floors.ts';
import { jointsOf } from './joints.ts';
import { plainWay } from './plain-way.ts';
import { rowStrips } from './rows.ts';

const strips = rowStrips(regionOf(boxAt(0, 0, 3980, 2980)), 192, 110);

test('a half bond shifts every joint by half a plank from row to row, and takes the offset with no short end', () => {
  const plan = planBond(strips, CLICK_1290, 'half')!;
  const joints = plan.divisions.map((division, k) => jointsOf(strips[k]!, division, 1290));
  for (let k = 1; k < joints.length; k++)
    for (const at of joints[k]!)
      expect(Math.min(...joints[k - 1]!.map((other) => Math.abs(at - other)))).toBeCloseTo(645, 6);
  // 110 over three planks: of start and end one is over 300 in every row only where both rows leave 1400 between them.
  expect(plan.shortEnds).toEqual([]);
  expect(plan.planks).toBeGreaterThanOrEqual(50);
});

test('a third of a plank has to be as much as the stagger', () => {
  expect(mayBond(CLICK_1290, 'third')).toBe(true);
  expect(mayBond({ ...CLICK_1290, lengthMm: 840 }, 'third')).toBe(false);
  expect(planBond(strips, { ...CLICK_1290, lengthMm: 840 }, 'third')).toBeNull();
});

test('the plain way: each off-cut begins the next row, else a fresh plank does', () => {
  const one = plainWay(strips, CLICK_1290, false);
  expect(one.divisions).toHaveLength(16);
  expect(one.planks).toBeGreaterThanOrEqual(50);
  // Twice the rows of one length: 3980 leaves 1400 for start and end, so that few off-cuts fit on.
  expect(plainWay(strips, CLICK_1290, true).planks).toBeGreaterThanOrEqual(one.planks - 2);
});
