import fc from 'fast-check';
import { CORNERS } from './invented-heights.ts';
import { buildUpMm } from './build-up.ts';
import { leafOf, placesAt } from './at-opening.ts';
import { beyondAt, beyondToRead, stepAlong, type BeyondLevel } from './step-along.ts';
import { placesAlong } from './step-profile.ts';

const DOOR = { wall: 1, fromMm: 500, widthMm: 800 };

test('places at an opening lie on its wall, and 50 mm inside the room', () => {
  const [first, last] = placesAt(CORNERS, DOOR, [0, 800]);
  expect(first).toEqual({
    alongMm: 0,
    onWall: { xMm: 4000, yMm: 500 },
    inside: { xMm: 3950, yMm: 500 },
  });
  expect(last!.inside).toEqual({ xMm: 3950, yMm: 1300 });
});

test.each([
  ['start', 'in', [4000, 500], [3200, 500]],
  ['end', 'in', [4000, 1300], [3200, 1300]],
  ['start', 'out', [4000, 500], [4800, 500]],
  ['end', 'out', [4000, 1300], [4800, 1300]],
] as const)('hung at its %s, swung %s, a leaf ends where its drawing does', (hinge, swing, at, open) => {
  const leaf = leafOf(CORNERS, { ...DOOR, hinge, swing }, { hingeMm: 20, latchMm: 19 });
  expect(leaf.hinge).toEqual({ xMm: at[0], yMm: at[1] });
  const angle = ((leaf.closedDeg + leaf.openDeg) * Math.PI) / 180;
  expect(leaf.hinge.xMm + 800 * Math.cos(angle)).toBeCloseTo(open[0], 6);
  expect(leaf.hinge.yMm + 800 * Math.sin(angle)).toBeCloseTo(open[1], 6);
});

const read = (alongMm: number, levelMm: number): BeyondLevel => ({ alongMm, levelMm, offMm: 1 });

test('both ends are read beyond, and the middle of a wide opening', () => {
  expect(beyondToRead(800, [])).toEqual([0, 800]);
  expect(beyondToRead(1600, [read(20, 5)])).toEqual([800, 1600]);
  expect(beyondToRead(800, [read(0, 5), read(780, 5)])).toEqual([]);
});

test('between readings beyond the level runs straight; one reading stands for all', () => {
  expect(beyondAt([read(0, 4), read(800, 8)], 200)).toBe(5);
  expect(beyondAt([read(100, 4)], 700)).toBe(4);
  expect(beyondAt([], 0)).toBeNull();
});

test('one reading is provisional, none is none, and unlevelled places are left out', () => {
  const here = placesAlong(800).map((alongMm) => ({ alongMm, levelMm: { new: 17, used: 16.8 } }));
  const one = stepAlong(800, here, [read(0, 12)])!;
  expect(one.profiles.new.worstMm).toBe(5);
  expect(one.profiles.used.worstMm).toBeCloseTo(4.8, 9);
  expect(one.toRead).toEqual([800]);
  // Half a millimetre by staff here, one by tape there.
  expect(one.offMm).toBeCloseTo(Math.sqrt(1.25), 9);
  expect(stepAlong(800, here, [])).toBeNull();
  expect(
    stepAlong(
      800,
      here.map(({ alongMm }) => ({ alongMm, levelMm: null })),
      [read(0, 12)],
    ),
  ).toBeNull();
});

test('a build-up raised by so much raises every step by as much', () => {
  const mm = fc.double({ min: -20, max: 20, noNaN: true });
  const laid = { panelMm: 0, filmMm: 0, underlay: null, coveringMm: 8, coveringKgM2: 7 };
  fc.assert(
    fc.property(mm, mm, fc.double({ min: 0, max: 18, noNaN: true }), (baseMm, beyondMm, byMm) => {
      const stepWith = (panelMm: number) => {
        const up = (age: 'new' | 'used') => baseMm + buildUpMm({ ...laid, panelMm }, age);
        const here = placesAlong(900).map((alongMm) => ({ alongMm, levelMm: { new: up('new'), used: up('used') } }));
        return stepAlong(900, here, [read(0, beyondMm), read(900, beyondMm + 1)])!.profiles;
      };
      const [bare, raised] = [stepWith(0), stepWith(byMm)];
      for (const age of ['new', 'used'] as const)
        raised[age].at.forEach(({ stepMm }, k) => expect(stepMm - bare[age].at[k]!.stepMm).toBeCloseTo(byMm, 6));
    }),
  );
});
