import { gridOver, heightsFrom, heldEdges, rectanglePlan } from './invented.ts';
import { triedOn } from './tried.ts';
import type { EdgeWalk } from './facts.ts';

const showing = (mm: number, n: number): EdgeWalk => ({
  ...heldEdges()[0]!,
  id: `e${n}`,
  takenAt: `z${n}`,
  gaps: [{ atMm: 1000, gapMm: mm }],
});
const floorOf = (wideMm: number, deepMm: number) => {
  const judged = gridOver(rectanglePlan(wideMm, deepMm), 50);
  return { judged, surfaceMm: heightsFrom(judged, () => 0) };
};
const RULE = { gapMm: 3, edgeMm: 2000 };
const on = (
  walks: EdgeWalk[],
  { rule = RULE, readings = [] as { takenAt: string }[], floor = floorOf(4000, 3000) } = {},
) => triedOn({ walks, ...floor }, readings, rule);
const tried = (...mm: number[]) => on(mm.map(showing));

// Worked in the definitions: 1.9, 2.2, 2.5 is enough; 2.8 asks for two more.
test('three edges well inside are enough; one within 0.3 mm of the rule asks for two more, and again', () => {
  expect(tried(1.9, 2.2)).toEqual({ laid: 2, wanted: 3, worstMm: 2.2 });
  expect(tried(1.9, 2.2, 2.5)).toEqual({ laid: 3, wanted: 3, worstMm: 2.5 });
  expect(tried(1.9, 2.2, 2.8)).toEqual({ laid: 3, wanted: 5, worstMm: 2.8 });
  expect(tried(1.9, 2.2, 2.8, 1, 1)).toMatchObject({ laid: 5, wanted: 5 });
  expect(tried(1.9, 2.2, 2.8, 1, 2.9)).toMatchObject({ laid: 5, wanted: 7 });
  expect(tried(2.8, 2.8, 2.8, 2.8, 2.8, 2.8, 2.8, 2.8, 2.8)).toMatchObject({ laid: 9, wanted: 9 });
});

test('only edges laid where they were asked for count, and only while what they were asked by is most of what is read', () => {
  const own = heldEdges().map((walk) => ({ ...walk, asked: false }));
  expect(on(own).laid).toBe(0);
  const readings = Array.from({ length: 20 }, (_, i) => ({ takenAt: i < 18 ? 'a' : 'zz' }));
  expect(on(heldEdges(), { readings }).laid).toBe(3);
  expect(on(heldEdges(), { readings: [...readings, { takenAt: 'zz' }] }).laid).toBe(0);
});

test.each<[string, Partial<EdgeWalk>]>([
  ['a plank, which may be bowed', { tool: 'plank' }],
  ['an edge under which nothing was read', { gaps: [] }],
  ['an edge half as long as the rule’s', { toXMm: 1300 }],
])('%s tries nothing', (_, part) => {
  expect(on(heldEdges().map((walk) => ({ ...walk, ...part }))).laid).toBe(0);
});

test('edges laid for one rule try no rule with a longer edge; where no whole edge fits, what fits does', () => {
  expect(on(heldEdges(), { rule: { gapMm: 3, edgeMm: 3000 } }).laid).toBe(0);
  expect(on(heldEdges(), { rule: { gapMm: 3, edgeMm: 1830 } }).laid).toBe(3);
  const short = heldEdges().map((walk) => ({ ...walk, toXMm: 1300 }));
  expect(on(short, { floor: floorOf(1300, 900) }).laid).toBe(3);
});
