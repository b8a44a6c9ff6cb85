import fc from 'fast-check';
import { cutJoined, cutWhole, JOINT_APART_MM, JOINT_FROM_END_MM, nested } from './roll-cuts.ts';
import { L_FLOOR } from './invented-floors.ts';
import { planRolls, type FloorToRoll } from './roll-plan.ts';
import { stripsOf, type RollMake, type Strip } from './strips.ts';

const roll: RollMake = { widthMm: 1000, lengthMm: 10_000, lapMm: 0, edgeMm: 0 };
const rectangle = (id: string, a: number, b: number, planks: 'x' | 'y' = 'x'): FloorToRoll => ({
  id,
  outline: [
    { xMm: 0, yMm: 0 },
    { xMm: a, yMm: 0 },
    { xMm: a, yMm: b },
    { xMm: 0, yMm: b },
  ],
  islands: [],
  planks,
});
let made = 0;
const strip = (lengthMm: number, widthMm = 1000): Strip => ({
  floorId: `f${made++}`,
  fromMm: 0,
  widthMm,
  startMm: 0,
  lengthMm,
});

test('the L of the worked example takes three rolls along and across', () => {
  expect(cutWhole(stripsOf(L_FLOOR, roll, { direction: 'x' }).strips, roll).rolls).toHaveLength(3);
  expect(cutWhole(stripsOf(L_FLOOR, roll, { direction: 'y', from: 'high' }).strips, roll).rolls).toHaveLength(3);
});

test('narrow strips are cut side by side, and a strip longer than a roll is a whole one and the rest', () => {
  expect(nested([strip(5000, 400), strip(3000, 500), strip(4000, 900)], 1000).map((group) => group.length)).toEqual([
    2, 1,
  ]);
  const long = cutWhole([strip(12_500)], roll);
  expect(long.rolls.map(({ usedMm }) => usedMm).sort((a, b) => a - b)).toEqual([2500, 10_000]);
  expect(long.joints.map(({ atMm }) => atMm)).toEqual([10_000]);
});

test('joining uses rests up: three strips of 6.6 m take two rolls, by hand three without', () => {
  const strips = [strip(6600), strip(6600), strip(6600)];
  expect(cutWhole(strips, roll).rolls).toHaveLength(3);
  const joined = cutJoined(strips, roll);
  expect(joined.rolls).toHaveLength(2);
  expect(joined.joints.length).toBeGreaterThan(0);
});

const floors = fc.array(fc.tuple(fc.integer({ min: 900, max: 6500 }), fc.integer({ min: 900, max: 5200 })), {
  minLength: 1,
  maxLength: 4,
});

test('property: every strip is cut whole, no roll gives more than it holds, joints keep their distances', () => {
  fc.assert(
    fc.property(floors, fc.boolean(), (sizes, isJoined) => {
      const rooms = sizes.map(([a, b], k) => rectangle(`r${k}`, a, b));
      const strips = rooms.flatMap((room) => stripsOf(room, roll, { direction: 'y' }).strips);
      const plan = isJoined ? cutJoined(strips, roll) : cutWhole(strips, roll);
      for (const { pieces, usedMm } of plan.rolls) {
        expect(usedMm).toBeLessThanOrEqual(roll.lengthMm + 1e-6);
        expect(pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0)).toBeCloseTo(usedMm, 6);
      }
      const pieces = plan.rolls.flatMap((one) => one.pieces);
      for (const one of strips) {
        const own = pieces.filter(({ strips: of }) => of.includes(one)).sort((a, b) => a.fromMm - b.fromMm);
        let at = 0;
        for (const { fromMm, lengthMm } of own) {
          expect(fromMm).toBeCloseTo(at, 6);
          at += lengthMm;
        }
        expect(at).toBeGreaterThanOrEqual(one.lengthMm - 1e-6);
      }
      if (!isJoined) return;
      for (const { strip: of, atMm } of plan.joints) {
        expect(atMm).toBeGreaterThanOrEqual(JOINT_FROM_END_MM - 1e-6);
        expect(of.lengthMm - atMm).toBeGreaterThanOrEqual(JOINT_FROM_END_MM - 1e-6);
        for (const other of plan.joints) {
          const beside =
            other.strip !== of &&
            other.strip.floorId === of.floorId &&
            Math.abs(other.strip.fromMm - of.fromMm) <= of.widthMm + 1;
          if (beside)
            expect(Math.abs(of.startMm + atMm - other.strip.startMm - other.atMm)).toBeGreaterThanOrEqual(
              JOINT_APART_MM - 1e-6,
            );
        }
      }
      expect(plan.rolls.length).toBeLessThanOrEqual(cutWhole(strips, roll).rolls.length);
    }),
    { numRuns: 40 },
  );
});

test('property: over a whole job never more rolls than each room by itself from its first wall, and never fewer than its area takes', () => {
  fc.assert(
    fc.property(floors, (sizes) => {
      const rooms = sizes.map(([a, b], k) => rectangle(`r${k}`, a, b));
      const job = planRolls(rooms, roll);
      const plain = rooms.reduce(
        (sum, room) => sum + cutWhole(stripsOf(room, roll, { direction: 'y' }).strips, roll).rolls.length,
        0,
      );
      expect(job.plan.rolls.length).toBeLessThanOrEqual(plain);
      expect(job.plan.rolls.length).toBeGreaterThanOrEqual(job.leastRolls);
    }),
    { numRuns: 20 },
  );
});
