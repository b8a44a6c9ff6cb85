import { readOut } from '@maquette/words';
import { figuresOf } from '../figures/index.ts';
import {
  BLANK_SHAPE,
  contains,
  newFixture,
  planOf,
  rectangleWalls,
  UNKNOWN_BASE,
  type RoomFacts,
} from '../room/index.ts';
import { checks } from './facts.ts';
import { MARK_KINDS, newMark, treatmentOf, walkOf, type MarkKind, type Mark, type Underfoot } from './index.ts';

const room = (part: Partial<RoomFacts> = {}): RoomFacts => ({
  id: 'room-1',
  jobId: 'job-1',
  name: 'Test',
  rank: 0,
  ...BLANK_SHAPE,
  walls: rectangleWalls(4000, 3000),
  baseKind: 'panels-on-joists',
  base: { ...UNKNOWN_BASE, joistDeg: 0, joistSpacingMm: 400 },
  cardId: 'shipped-laminate',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
  ...part,
});
const slab = room({ baseKind: 'slab-on-ground', base: { ...UNKNOWN_BASE, slabMm: 100 } });
const figure = figuresOf([]);
/** Nothing suspect lies there, and no heating. */
const OPEN: Underfoot = {
  hazards: {
    job: { country: 'GB', asbestosFrom: null, leadFrom: null },
    samples: [],
    answers: [],
    baseKind: 'panels-on-joists',
    base: { ...UNKNOWN_BASE, heating: 'none' },
  },
  layers: [],
};
const box = (w: number, d: number) => [
  { xMm: 1000, yMm: 1000 },
  { xMm: 1000 + w, yMm: 1000 },
  { xMm: 1000 + w, yMm: 1000 + d },
  { xMm: 1000, yMm: 1000 + d },
];
const mark = (kind: MarkKind, part: Partial<Mark> = {}) => newMark('m', kind, { xMm: 1200, yMm: 1200 }, part);
const area = (kind: MarkKind, w: number, d: number, part: Partial<Mark> = {}) =>
  mark(kind, { shape: 'area', points: box(w, d), ...part });
const line = (kind: MarkKind, mm: number, part: Partial<Mark> = {}) =>
  mark(kind, {
    shape: 'line',
    points: [
      { xMm: 0, yMm: 500 },
      { xMm: mm, yMm: 500 },
    ],
    ...part,
  });
const quantities = (m: Mark, on = room()) =>
  Object.fromEntries(treatmentOf(m, on, figure, OPEN).quantities.map((q) => [readOut(q.words), q.value]));

test.each(MARK_KINDS)('%s: something is said to be done, and what is missing is asked for, never assumed', (kind) => {
  const treatment = treatmentOf(mark(kind), room(), figure, OPEN);
  expect(readOut(treatment.words).length).toBeGreaterThan(10);
  for (const q of treatment.quantities) expect(Number.isFinite(q.value)).toBe(true);
});

test('screws are counted from joists and length: 1.2 m along, 0.9 m across, joists at 400', () => {
  // Joists under 900 mm at 400: 3. Screws on each over 1200 mm every 150: 9.
  expect(quantities(area('squeak', 1200, 900))).toEqual({ Screws: 27 });
  const across = room({ base: { ...UNKNOWN_BASE, joistDeg: 90, joistSpacingMm: 400 } });
  // Joists the other way: under 1200 mm 4, over 900 mm 7 each.
  expect(quantities(area('squeak', 1200, 900), across)).toEqual({ Screws: 28 });
});

// Boards of 140 mm over 1200 along: 9. Three joists, two screws in each board on each: 54, at both edges.
test('floorboards take two screws for each board on each joist', () => {
  expect(quantities(area('squeak', 1200, 900), room({ baseKind: 'floorboards-on-joists' }))).toEqual({ Screws: 54 });
});

// Along 1.3 m every 150: nine fall on it, 100 mm are left, more than half a pitch: a tenth. 1.25 m leave 50: nine.
test.each([
  [1300, 30],
  [1250, 27],
  [1274.6, 27],
  [1275.6, 30],
])('a rest of more than half a pitch takes one more screw: %f mm along, %i in all', (along, screws) => {
  expect(quantities(area('squeak', along, 900))).toEqual({ Screws: screws });
});

// From 1000 to 1900 mm: of joists from 100 on at 400 that is 1300 and 1700, of joists from 300 on 1100, 1500 and 1900.
test.each([
  [0, 100, 2],
  [0, 300, 3],
  [90, 300, 3],
  [90, 350, 2],
])('joists at %i degrees, the first at %i mm: %i of them lie under the place', (joistDeg, joistFirstMm, joists) => {
  const on = room({ base: { ...UNKNOWN_BASE, joistDeg, joistSpacingMm: 400, joistFirstMm } });
  expect(quantities(area('squeak', 900, 900), on)).toEqual({ Screws: joists * 7 });
  // The same room begun elsewhere on the sheet, with the mark in the same place of it.
  const moved = { ...on, start: { xMm: 1300, yMm: -700, headingDeg: 0 } };
  const shifted = area('squeak', 900, 900);
  const points = shifted.points.map((p) => ({ xMm: p.xMm + 1300, yMm: p.yMm - 700 }));
  expect(quantities({ ...shifted, points }, moved)).toEqual({ Screws: joists * 7 });
});

test('rot is cut back to the joists that are there, where it is known where they lie', () => {
  // From 1000 to 1500 mm, joists at 750, 1150 and 1550: two bays, where an unknown place would be reckoned three.
  const on = room({ base: { ...UNKNOWN_BASE, joistDeg: 0, joistSpacingMm: 400, joistFirstMm: 350 } });
  expect(quantities(area('rot', 600, 500), on)['Blocks']).toBe(4);
});

test('rot is cut back to joist centres and blocked', () => {
  // 500 mm across joists at 400: 3 bays of 400; 600 along and 150 into sound wood at both ends.
  const found = quantities(area('rot', 600, 500));
  expect(found['Board or panel']).toBeCloseTo(3 * 0.4 * 0.9, 6);
  expect(found['Blocks']).toBe(6);
});

test('a stitched crack: length, resin, stitches', () => {
  const found = quantities(line('crack', 2400, { sizeMm: 2, stepMm: 0 }), slab);
  expect(found).toEqual({ Crack: 2.4, Resin: 0.6, Stitches: 13 });
  expect(readOut(treatmentOf(line('crack', 2400, { sizeMm: 0.4, stepMm: 0 }), slab, figure, OPEN).words)).toMatch(
    /Hairline/,
  );
});

test('mortar for a hole is area times depth times density', () => {
  // 0.5 x 0.4 m, 30 mm, 2 kg/l: 12 kg.
  expect(quantities(area('hole', 500, 400, { depthMm: 30 }), slab)['Repair mortar']).toBeCloseTo(12, 9);
});

test.each([
  ['a crack that moves', line('crack', 1000, { sizeMm: 1, moving: true }), slab],
  ['a crack with a step', line('crack', 1000, { sizeMm: 1, stepMm: 3 }), slab],
  ['severe softness', mark('soft', { severity: 'severe' }), room()],
  ['severe rot', area('rot', 400, 400, { severity: 'severe' }), room()],
  ['more than 2 mm under a person', mark('hole', { moveMm: 2.5 }), room()],
  ['water', mark('damp'), slab],
  ['white salts', mark('efflorescence'), slab],
] as const)('%s stops, and somebody else decides', (_, m, on) => {
  expect(readOut(treatmentOf(m, on, figure, OPEN))).toMatchObject({ verdict: 'stop', decides: expect.any(String) });
});

test('the walk follows the joists, stays on the floor, and remembers that nothing was found', () => {
  const column = { ...newFixture('c', 'column', { xMm: 2000, yMm: 1500 }, 0), widthMm: 600, depthMm: 600 };
  const where = room({ fixtures: [column] });
  const plan = planOf(where);
  const steps = walkOf(where, plan, [], 500, OPEN);
  const joists = steps.filter((s) => s.kind === 'joist');
  // 3000 mm across at 400 from 200, the last clear of the wall at 2600: seven joists; those through the column are walked in two stretches.
  expect(new Set(joists.map((s) => s.from.yMm)).size).toBe(7);
  expect(joists.length).toBeGreaterThan(7);
  for (const s of steps) for (const p of [s.from, s.to]) expect(contains(plan.corners, p.xMm, p.yMm)).toBe(true);
  const check = { id: 'k', key: steps[0]!.key, found: false, takenAt: '2026-05-01T08:00:00Z', note: '' };
  expect(walkOf(where, plan, [check], 500, OPEN)[0]!.done).toEqual(check);
  expect(new Set(steps.map((s) => s.key)).size).toBe(steps.length);
});

test('a slab is tapped in rows, scratched and tried with a drop', () => {
  const kinds = walkOf(slab, planOf(slab), [], 500, OPEN).map((s) => s.kind);
  expect(kinds.filter((k) => k === 'tap')).toHaveLength(6);
  expect(kinds.filter((k) => k === 'scratch')).toHaveLength(3);
  expect(kinds.filter((k) => k === 'drop')).toHaveLength(3);
});

test('what has been gone over stands in the log by the name it has in the walk, never by its key', () => {
  const said = (over: string) =>
    readOut(
      checks.logged!.line({ key: over, found: false, takenAt: '2026-05-04T10:00:00.000Z', note: '' } as never)!.what,
    );
  for (const step of [...walkOf(room(), planOf(room()), [], 600, OPEN), ...walkOf(slab, planOf(slab), [], 600, OPEN)]) {
    const [, n] = step.key.split('/');
    expect(said(step.key)).not.toContain('/');
    expect(said(step.key)).toContain(n);
  }
  expect(said('constructor/1')).toBe('Gone over: constructor/1');
});
