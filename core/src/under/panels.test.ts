import fc from 'fast-check';
import { regionAreaM2, regionOf, without, type Region } from '../room/index.ts';
import { cutPanels, KERF_MM } from './panel-cuts.ts';
import { planPanels } from './panel-plan.ts';
import { layPanels, USUAL_PANEL_RULES, type BaseSeams, type PanelMake, type PanelPiece } from './panel-rows.ts';

const SHEET: PanelMake = { lengthMm: 2440, widthMm: 1220, gapMm: 1.5 };
const NO_SEAMS: BaseSeams = { alongMm: [], acrossMm: [] };
const box = (x: number, y: number, a: number, b: number) =>
  [
    [x, y],
    [x + a, y],
    [x + a, y + b],
    [x, y + b],
  ].map(([xMm, yMm]) => ({ xMm: xMm!, yMm: yMm! }));
const field = (a: number, b: number): Region => regionOf(box(0, 0, a, b));
const areaM2 = (pieces: readonly PanelPiece[]) =>
  pieces.reduce((sum, { lengthMm, widthMm }) => sum + lengthMm * widthMm, 0) / 1e6;

test('a field of 3.6 x 2.4 m takes three sheets, which is what its area takes, with ends apart', () => {
  const plan = planPanels(field(3600, 2400), SHEET, NO_SEAMS);
  expect(plan.sheets).toHaveLength(3);
  expect(plan.leastSheets).toBe(3);
  expect(plan.layout.breaks).toEqual([]);
});

test('ends nearer than they may be, and pieces too small, are named with their places', () => {
  const { breaks } = layPanels(field(4000, 2400), SHEET, { startMm: 0, jointsMm: [1800, 1900] }, NO_SEAMS);
  expect(breaks).toMatchObject([{ rule: 'ends', row: 0, atMm: 1800, shortMm: 200 }]);
  const small = layPanels(field(2500, 1200), SHEET, { startMm: 0, jointsMm: [2440] }, NO_SEAMS).breaks;
  expect(small).toMatchObject([{ rule: 'small', row: 0 }]);
});

test('a long seam over one of the base is moved away from it where the first row may be cut', () => {
  const base = { alongMm: [1220], acrossMm: [] };
  const plain = layPanels(field(2400, 2400), SHEET, { startMm: 0, jointsMm: [] }, base).breaks;
  expect(plain).toMatchObject([{ rule: 'long-seam', shortMm: expect.closeTo(199.25, 2) }]);
  expect(plain[0]!.overMm).toBeCloseTo(2400, 6);
  const plan = planPanels(field(2400, 2400), SHEET, base);
  expect(plan.layout.breaks).toEqual([]);
});

test('where no layout keeps every seam clear it is told how little is not kept', () => {
  // Boards every 150 mm: no seam of a panel is 200 from all of them.
  const base = { alongMm: Array.from({ length: 20 }, (_, k) => 75 + 150 * k), acrossMm: [] };
  const plan = planPanels(field(2400, 2400), SHEET, base, { trials: 200 });
  expect(plan.layout.breaks.some(({ rule }) => rule === 'long-seam')).toBe(true);
});

test('sheets are ripped and cut from edge to edge, with a kerf between pieces', () => {
  const piece = (lengthMm: number, widthMm: number): PanelPiece => ({
    row: 0,
    fromMm: 0,
    lengthMm,
    acrossMm: 0,
    widthMm,
    outline: [],
  });
  expect(cutPanels([piece(1159.25, 1220), piece(1276.25, 1220)], SHEET)).toHaveLength(1);
  expect(cutPanels([piece(1219, 1220), piece(1219, 1220)], SHEET)).toHaveLength(2);
  expect(cutPanels([piece(2440, 608), piece(2440, 608)], SHEET)).toHaveLength(1);
});

test('property: pieces cover the field once and lie inside it, every one is cut from a sheet that holds it, never worse than plain', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 900, max: 5200 }),
      fc.integer({ min: 900, max: 4200 }),
      fc.integer({ min: 200, max: 800 }),
      (a, b, island) => {
        const hearth = regionOf(box(a - island, 0, island, Math.min(island, b / 2)));
        const floor = without(field(a, b), hearth);
        const plan = planPanels(floor, SHEET, NO_SEAMS, { trials: 60 });
        const { pieces } = plan.layout;
        // Boxes count the notch of a piece as well; without the gaps they come to the field.
        const gaps = (SHEET.gapMm * (a + b) * 4) / 1e6;
        expect(areaM2(pieces)).toBeGreaterThan(regionAreaM2(floor) - gaps);
        for (const one of pieces) {
          expect(one.fromMm).toBeGreaterThanOrEqual(-1e-6);
          expect(one.fromMm + one.lengthMm).toBeLessThanOrEqual(a + 1e-6);
          expect(one.acrossMm + one.widthMm).toBeLessThanOrEqual(b + 1e-6);
          expect(one.lengthMm).toBeLessThanOrEqual(SHEET.lengthMm + 1e-6);
          expect(one.widthMm).toBeLessThanOrEqual(SHEET.widthMm + 1e-6);
        }
        pieces.forEach((one, k) =>
          pieces.slice(k + 1).forEach((other) => {
            const apart = (x: number, l: number, y: number, m: number) => x + l <= y + 1e-6 || y + m <= x + 1e-6;
            expect(
              apart(one.fromMm, one.lengthMm, other.fromMm, other.lengthMm) ||
                apart(one.acrossMm, one.widthMm, other.acrossMm, other.widthMm),
            ).toBe(true);
          }),
        );
        for (const { shelves, usedMm } of plan.sheets) {
          expect(usedMm).toBeLessThanOrEqual(SHEET.widthMm + 1e-6);
          for (const shelf of shelves) {
            const cut = shelf.pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
            expect(cut + KERF_MM * (shelf.pieces.length - 1)).toBeLessThanOrEqual(SHEET.lengthMm + 1e-6);
            for (const { widthMm } of shelf.pieces) expect(widthMm).toBeLessThanOrEqual(shelf.widthMm + 1e-6);
          }
        }
        expect(plan.sheets.flatMap((one) => one.shelves.flatMap((shelf) => shelf.pieces))).toHaveLength(pieces.length);
        expect(plan.sheets.length).toBeGreaterThanOrEqual(plan.leastSheets);
        const plain = layPanels(
          floor,
          SHEET,
          { startMm: 0, jointsMm: Array.from({ length: 6 }, (_, k) => (k % 2 === 0 ? 2440 : 1220)) },
          NO_SEAMS,
          USUAL_PANEL_RULES,
        );
        expect(plan.layout.weight).toBeLessThanOrEqual(plain.weight + 1e-9);
      },
    ),
    { numRuns: 25 },
  );
});

test('on small fields no layout of the whole lattice breaks fewer rules or takes fewer sheets', () => {
  const make = { lengthMm: 1200, widthMm: 600, gapMm: 0 };
  const LATTICE = 100;
  const rules = { fromSeamMm: 200, endsApartMm: 300, leastPieceMm: 100 };
  const places = (mm: number) => Array.from({ length: mm / LATTICE }, (_, k) => k * LATTICE);
  for (const [a, b, seamAt] of [
    [1800, 900, 650],
    [2000, 1000, 300],
    [1500, 1100, 500],
  ] as const) {
    const floor = field(a, b);
    const base = { alongMm: [seamAt], acrossMm: [{ atMm: 600, fromMm: 0, toMm: b }] };
    let best = Infinity;
    for (const startMm of places(make.widthMm))
      for (const first of places(make.lengthMm))
        for (const second of places(make.lengthMm))
          for (const third of startMm + b > 2 * make.widthMm ? places(make.lengthMm) : [0]) {
            const layout = layPanels(floor, make, { startMm, jointsMm: [first, second, third] }, base, rules);
            best = Math.min(best, layout.weight * 1e3 + cutPanels(layout.pieces, make).length);
          }
    const found = planPanels(floor, make, base, { rules });
    // The search may stand between the places of the lattice: it is never worse than all of them.
    expect(found.layout.weight * 1e3 + found.sheets.length).toBeLessThanOrEqual(best + 1e-6);
  }
});

test('property: no two ends and no two seams are nearer than asked unless the place is listed', () => {
  const make = { lengthMm: 1220, widthMm: 610, gapMm: 1.5 };
  /** Joints of each row, found from the pieces alone: where one ends and the next begins a gap further on. */
  const jointsBy = (pieces: readonly PanelPiece[]) => {
    const rows = new Map<number, number[]>();
    for (const one of pieces)
      for (const next of pieces)
        if (next.row === one.row && Math.abs(next.fromMm - one.fromMm - one.lengthMm - make.gapMm) < 1e-6)
          rows.set(one.row, [...(rows.get(one.row) ?? []), next.fromMm - make.gapMm / 2]);
    return rows;
  };
  fc.assert(
    fc.property(
      fc.integer({ min: 1300, max: 4200 }),
      fc.integer({ min: 900, max: 3600 }),
      fc.integer({ min: 100, max: 1100 }),
      fc.integer({ min: 1, max: 99 }),
      (a, b, seamMm, seed) => {
        const base = { alongMm: [seamMm, seamMm + 1200], acrossMm: [{ atMm: seamMm, fromMm: 0, toMm: b }] };
        const { layout } = planPanels(field(a, b), make, base, { trials: 40, seed });
        const listed = (rule: string, row: number) => layout.breaks.some((one) => one.rule === rule && one.row === row);
        const rows = jointsBy(layout.pieces);
        for (const [row, joints] of rows)
          for (const joint of joints) {
            for (const other of rows.get(row + 1) ?? [])
              if (Math.abs(other - joint) < USUAL_PANEL_RULES.endsApartMm - 1e-6)
                expect(listed('ends', row)).toBe(true);
            if (Math.abs(joint - seamMm) < USUAL_PANEL_RULES.fromSeamMm - 1e-6)
              expect(listed('end-seam', row)).toBe(true);
          }
        for (const { lengthMm, widthMm, row } of layout.pieces)
          if (Math.min(lengthMm, widthMm) < USUAL_PANEL_RULES.leastPieceMm - 1e-6)
            expect(listed('small', row)).toBe(true);
      },
    ),
    { numRuns: 40 },
  );
});

test('a joint a hair from the wall is none: the panel after it is no longer than a sheet', () => {
  for (const jointMm of [0, 0.3, 0.5, 0.7, 2441.2]) {
    const { pieces } = layPanels(field(4000, 1220), SHEET, { startMm: 0, jointsMm: [jointMm] }, NO_SEAMS);
    expect(Math.max(...pieces.map(({ lengthMm }) => lengthMm))).toBeLessThanOrEqual(SHEET.lengthMm + 1e-6);
  }
});
