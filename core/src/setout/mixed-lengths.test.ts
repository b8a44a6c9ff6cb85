import { regionOf } from '../room/index.ts';
import { boxAt, CLICK_1290, inventedRows } from './invented-floors.ts';
import { planMixed, type MixedPlan } from './mixed-lengths.ts';
import type { LaidPlank } from './plank.ts';
import { rowStrips, type RowStrip } from './rows.ts';

const MIX = [
  { lengthMm: 2000, inBox: 2 },
  { lengthMm: 1500, inBox: 2 },
  { lengthMm: 1000, inBox: 2 },
  { lengthMm: 700, inBox: 2 },
];
const PLANK: LaidPlank = { ...CLICK_1290, lengthMm: 2000 };
const planned = (strips: readonly RowStrip[], mix = MIX, plank = PLANK): MixedPlan | null =>
  planMixed({ strips, plank, mix, carried: 8, drawn: 20 });

test.each([1, 2, 3, 4, 5, 6])('property: invented floor %i is laid from boxes that keep their mix', (seed) => {
  const strips = rowStrips(inventedRows(seed), PLANK.widthMm, 150);
  const { cuts, boxes, leastBoxes, used, breaches } = planned(strips)!;
  strips.forEach((strip, k) => {
    const own = cuts.pieces.filter((piece) => piece.strip === k);
    expect(own[0]!.fromMm).toBeCloseTo(strip.fromMm, 6);
    expect(own.at(-1)!.toMm).toBeCloseTo(strip.toMm, 6);
    own.forEach((piece, i) => {
      if (i > 0) expect(piece.fromMm).toBeCloseTo(own[i - 1]!.toMm, 6);
      // Between the first piece of a row and its last nothing is cut.
      if (i > 0 && i < own.length - 1) expect(piece.kind).toBe('whole');
      if (own.length > 1) expect(piece.toMm - piece.fromMm).toBeGreaterThanOrEqual(PLANK.leastEndMm - 1e-6);
    });
  });
  for (const { pieces, lengthMm } of cuts.planks) {
    const own = pieces.map((number) => cuts.pieces[number - 1]!);
    const cutMm = own.reduce((sum, piece) => sum + piece.cutMm, 0) + PLANK.kerfMm * (own.length - 1);
    expect(cutMm).toBeLessThanOrEqual(lengthMm + 1e-6);
    // An end first, then the start that is cut from what it left.
    expect(own.length).toBeLessThanOrEqual(2);
  }
  for (const [k, { lengthMm, planks, bought }] of used.entries()) {
    expect(bought).toBe(boxes * MIX[k]!.inBox);
    expect(planks).toBeLessThanOrEqual(bought);
    expect(cuts.planks.filter((one) => one.lengthMm === lengthMm)).toHaveLength(planks);
  }
  expect(boxes).toBeGreaterThanOrEqual(leastBoxes);
  const told = new Set(breaches.map(({ strip, atMm }) => `${strip}/${atMm.toFixed(3)}`));
  const joints = strips.map((_, k) =>
    cuts.pieces
      .filter(({ strip }) => strip === k)
      .slice(1)
      .map(({ fromMm }) => fromMm),
  );
  strips.forEach((strip, a) =>
    strips.forEach((other, b) => {
      const beside = Math.min(strip.toMm, other.toMm) > Math.max(strip.fromMm, other.fromMm);
      if (strip.row - other.row !== 1 || !beside) return;
      for (const at of joints[a]!)
        if (joints[b]!.some((under) => Math.abs(at - under) < PLANK.staggerMm - 1e-6))
          expect(told.has(`${a}/${at.toFixed(3)}`)).toBe(true);
    }),
  );
});

test('a row of three metres from boxes of two planks of 1.5 m: one box, and nothing is cut', () => {
  const strips = rowStrips(regionOf(boxAt(0, 0, 3000, 192)), 192, 192);
  const found = planned(strips, [{ lengthMm: 1500, inBox: 2 }])!;
  expect(found.boxes).toBe(1);
  expect(found.cuts.pieces.map(({ kind }) => kind)).toEqual(['whole', 'whole']);
  expect(found.cuts.planks.map(({ restMm }) => restMm)).toEqual([0, 0]);
});

test('thirty square metres: hardly more than the rip along two walls is cut away', () => {
  const strips = rowStrips(regionOf(boxAt(0, 0, 6000, 5000)), 192, 150);
  const { cuts, breaches } = planned(strips)!;
  const boughtM = cuts.planks.reduce((sum, { lengthMm }) => sum + lengthMm, 0) / 1000;
  // 27 rows of six metres; the rest is what no row takes.
  expect(boughtM / (27 * 6)).toBeLessThan(1.025);
  expect(breaches).toEqual([]);
});

test('no mix, no rows: no plan; and joints that can only be too near are told', () => {
  const strips = rowStrips(regionOf(boxAt(0, 0, 3000, 384)), 192, 192);
  expect(planned(strips, [])).toBeNull();
  expect(planned([])).toBeNull();
  const told = planned(strips, [{ lengthMm: 1500, inBox: 4 }], { ...PLANK, staggerMm: 700, leastEndMm: 1400 })!;
  expect(told.breaches.map(({ rule }) => rule)).toContain('stagger');
});
