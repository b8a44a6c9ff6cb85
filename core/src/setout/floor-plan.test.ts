import loadHighs from 'highs';
import { highsModels, type OpenModel } from '../levelling/index.ts';
import { regionAreaM2, regionOf } from '../room/index.ts';
import { areaBound, lengthBound } from './bounds.ts';
import { boxesFor, planFloor, type FloorPlan } from './floor-plan.ts';
import { boxAt, CLICK_1290, inventedRows } from './invented-floors.ts';
import type { LaidPlank } from './plank.ts';
import { priceBound } from './price-bound.ts';
import { rowStrips } from './rows.ts';

let open: OpenModel;
beforeAll(async () => {
  open = highsModels(await loadHighs());
});

const PLAIN: LaidPlank = { ...CLICK_1290, lengthMm: 1219, widthMm: 178, ends: 'plain', leastEndMm: 200 };
const floors = Array.from({ length: 8 }, (_, k) => [k, k % 3 === 2 ? PLAIN : CLICK_1290] as const);
const planned = (seed: number, plank: LaidPlank) =>
  planFloor({ region: inventedRows(seed), plank, firsts: 2, rounds: [1200] })!;

/** Every plank cut anew from the list: what is cut of it lies on it, by its hand, the cuts taken off. */
function recut({ cuts }: FloorPlan, plank: LaidPlank): void {
  const by = new Map(cuts.pieces.map((piece) => [piece.number, piece]));
  const seen = new Set<number>();
  for (const { pieces, ripped } of cuts.planks) {
    const own = pieces.map((number) => by.get(number)!);
    for (const number of [...pieces, ...ripped]) {
      expect(seen.has(number)).toBe(false);
      seen.add(number);
    }
    const used = own.reduce((sum, { cutMm }) => sum + cutMm, 0) + plank.kerfMm * (own.length - 1);
    expect(used).toBeLessThanOrEqual(plank.lengthMm + 1e-6);
    const starts = own.filter(({ kind }) => kind === 'start').length;
    const ends = own.filter(({ kind }) => kind === 'end').length;
    if (plank.ends === 'click') expect(Math.max(starts, ends)).toBeLessThanOrEqual(1);
    expect(starts + ends).toBeLessThanOrEqual(2);
    for (const number of ripped) {
      const piece = by.get(number)!;
      const from = by.get(piece.rippedFrom!)!;
      expect(piece.cutMm).toBeLessThanOrEqual(from.cutMm + 1e-6);
      if (from.kind !== 'whole') expect(piece.kind).toBe(from.kind);
    }
  }
  expect(seen.size).toBe(cuts.pieces.length);
}

describe.each(floors)('property: invented floor %i', (seed, plank) => {
  const plan = planned(seed, plank);

  test('pieces cover every strip once, none too long, none too short beside a joint', () => {
    plan.strips.forEach((strip, k) => {
      const own = plan.cuts.pieces.filter((piece) => piece.strip === k);
      expect(own[0]!.fromMm).toBeCloseTo(strip.fromMm, 6);
      expect(own.at(-1)!.toMm).toBeCloseTo(strip.toMm, 6);
      own.forEach((piece, i) => {
        const longMm = piece.toMm - piece.fromMm;
        if (i > 0) expect(piece.fromMm).toBeCloseTo(own[i - 1]!.toMm, 6);
        expect(longMm).toBeLessThanOrEqual(plank.lengthMm + 1e-6);
        if (own.length > 1) expect(longMm).toBeGreaterThanOrEqual(plank.leastEndMm - 1e-6);
      });
    });
    const laid = plan.strips.reduce((sum, { areaM2 }) => sum + areaM2, 0);
    expect(laid).toBeCloseTo(regionAreaM2(inventedRows(seed)), 2);
  });

  test('every piece comes from a plank that holds it, and the count is that of the planks cut anew', () => {
    recut(plan, plank);
    expect(plan.cuts.planks).toHaveLength(plan.rows.planks);
  });

  test('rules hold or are listed, and no bound is above what was found', () => {
    const joints = plan.strips.map((_, k) =>
      plan.cuts.pieces
        .filter((piece) => piece.strip === k)
        .slice(1)
        .map(({ fromMm }) => fromMm),
    );
    plan.strips.forEach((strip, a) =>
      plan.strips.forEach((other, b) => {
        const beside = Math.min(strip.toMm, other.toMm) > Math.max(strip.fromMm, other.fromMm);
        if (strip.row - other.row !== 1 || !beside) return;
        for (const at of joints[a]!)
          for (const under of joints[b]!)
            if (Math.abs(at - under) < plank.staggerMm - 1e-6)
              expect(plan.rows.breaches.some(({ rule, strip: of }) => rule === 'stagger' && of === a)).toBe(true);
      }),
    );
    expect(areaBound(plan.strips, plank)).toBeLessThanOrEqual(plan.rows.planks);
    expect(lengthBound(plan.strips, plank)).toBeLessThanOrEqual(plan.rows.planks);
    expect(priceBound(plan.strips, plank, open)).toBeLessThanOrEqual(plan.rows.planks);
  });
});

test('a rectangle of 3980 x 2980: sixteen rows, 50 planks at least by prices, and few more found', () => {
  const region = regionOf(boxAt(0, 0, 3980, 2980));
  const strips = rowStrips(region, 192, 110);
  expect([areaBound(strips, CLICK_1290), lengthBound(strips, CLICK_1290)]).toEqual([48, 50]);
  expect(priceBound(strips, CLICK_1290, open)).toBe(50);
  const plan = planFloor({ region, plank: CLICK_1290, firstMm: 110, firsts: 1, rounds: [12_000] })!;
  expect(plan.rows.breaches).toEqual([]);
  expect(plan.rows.planks).toBeLessThanOrEqual(52);
  expect(plan.waste).toBeCloseTo(1 - (3.98 * 2.98) / (plan.rows.planks * 1.29 * 0.192), 9);
});

test('parallel ends at 45 degrees: by longest extents 32 planks of a metre, and 30 do; the bound says no more', () => {
  const region = regionOf([
    { xMm: 0, yMm: 0 },
    { xMm: 2790, yMm: 0 },
    { xMm: 4790, yMm: 2000 },
    { xMm: 2000, yMm: 2000 },
  ]);
  const plank = { ...CLICK_1290, lengthMm: 1000, widthMm: 200, kerfMm: 0, ends: 'plain' as const };
  const strips = rowStrips(region, 200, 200);
  expect(strips.map(({ fromMm, toMm }) => Math.round(toMm - fromMm))).toEqual(Array.from({ length: 10 }, () => 2990));
  expect(lengthBound(strips, plank)).toBe(28);
  expect(priceBound(strips, plank, open)).toBeLessThanOrEqual(30);
});

test('spare is three in a hundred and one plank at least, over all rooms of a batch', () => {
  expect(boxesFor(51, 8)).toBe(7);
  expect(boxesFor(7, 8)).toBe(1);
  expect(boxesFor(200, 8)).toBe(26);
});
