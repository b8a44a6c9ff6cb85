import { newOpening } from '../room/index.ts';
import {
  judgeOpening,
  usualOpeningRules,
  type FinishedAt,
  type HungLeaf,
  type OpeningFacts,
} from './opening-judged.ts';
import { CORNERS } from './invented-heights.ts';
import type { BeyondLevel } from './step-along.ts';

const RULES = { ...usualOpeningRules({ gapMm: 3, edgeMm: 2000 }), capMm: 0 };
/** A floor that lies level at 17 mm within the room, 16.8 once it is lived on. */
const LEVEL: FinishedAt = (x, y) => (x > 0 && x < 4000 && y > 0 && y < 3000 ? { new: 17, used: 16.8 } : null);
const beyond = (startMm: number, endMm: number): BeyondLevel[] => [
  { alongMm: 0, levelMm: startMm, offMm: 0.5 },
  { alongMm: 800, levelMm: endMm, offMm: 0.5 },
];
const LEAF: HungLeaf = {
  kind: 'solid',
  dropSeal: false,
  cutBeforeMm: 0,
  hingeMm: 24,
  latchMm: 23,
  opensDeg: 90,
  airMm: null,
  rugMm: 0,
};
const door = (more: Partial<OpeningFacts> = {}): OpeningFacts => ({
  opening: { ...newOpening('d', 0, 500, 800), beyond: 'tile' },
  beyond: beyond(17, 17),
  leaf: LEAF,
  goesOn: false,
  grooveMm: null,
  buildUpMm: 17,
  ...more,
});

test('nothing read beyond: it says what to read, in order, and nothing of a bar', () => {
  const judged = judgeOpening(
    CORNERS,
    door({ beyond: [], leaf: { ...LEAF, hingeMm: null, latchMm: null } }),
    LEVEL,
    RULES,
  );
  expect(judged.bar.kind).toBe('measure');
  expect(judged.leaf).toEqual({ what: 'measure' });
  expect(judged.toRead).toEqual([
    { of: 'beyond', alongMm: 0 },
    { of: 'beyond', alongMm: 800 },
    { of: 'leaf', alongMm: 0 },
    { of: 'leaf', alongMm: 800 },
  ]);
  expect(judged.provisional).toBe(true);
});

test('level with what lies beyond: a flat bar, and a leaf that swings free keeps its wood', () => {
  const judged = judgeOpening(CORNERS, door(), LEVEL, RULES);
  expect(judged).toMatchObject({ bar: { kind: 'flat' }, leaf: { what: 'nothing' }, toRead: [], provisional: false });
  expect(judged.clearance!.leastMm).toBeCloseTo(6, 6);
});

test('a tilted bar has its packing at both ends, thick under the higher floor', () => {
  const judged = judgeOpening(CORNERS, door({ beyond: beyond(14, 12.8), grooveMm: [0, 0] }), LEVEL, RULES);
  expect(judged.bar).toMatchObject({ kind: 'tilted', age: 'new' });
  // Steps of 3 and 4.2 mm: wedges of 16/38 of them.
  expect(judged.packing!.map(({ wedgeMm, thickUnder }) => [wedgeMm, thickUnder])).toEqual([
    [expect.closeTo(1.263, 3), 'here'],
    [expect.closeTo(1.768, 3), 'here'],
  ]);
});

test('a step no bar takes has its ramp; where access rules apply the bar’s top is judged', () => {
  expect(judgeOpening(CORNERS, door({ beyond: beyond(2, 2), leaf: null }), LEVEL, RULES)).toMatchObject({
    bar: { kind: 'reducer' },
    ramp: null,
  });
  const low = judgeOpening(CORNERS, door({ beyond: beyond(0, 0), leaf: null }), LEVEL, RULES);
  expect(low.ramp).toMatchObject({ shape: 'straight', stepMm: 17 });
  const access = { uprightMm: 6, bevelledMm: 13, bevelRatio: 2, rampRatio: 12 };
  const judged = judgeOpening(CORNERS, door({ beyond: beyond(9, 9), leaf: null }), LEVEL, {
    ...RULES,
    capMm: 3,
    access,
  });
  expect(judged.access).toEqual({ shape: 'bevelled', lengthMm: 22 });
});

test('a leaf is cut for the higher floor at its threshold, whichever side that is', () => {
  const judged = judgeOpening(CORNERS, door({ beyond: beyond(20, 20) }), LEVEL, RULES);
  // 23.5 in the middle over 20 leaves less than 5: at the latch 2 mm are missing.
  expect(judged.leaf).toMatchObject({ what: 'trim', parallel: { hingeMm: expect.closeTo(2, 2) } });
});

test('a leaf that swings out hangs over the floor beyond', () => {
  const out = door({ opening: { ...newOpening('d', 0, 500, 800), swing: 'out' }, beyond: beyond(21, 21) });
  expect(judgeOpening(CORNERS, out, LEVEL, RULES).clearance!.leastMm).toBeCloseTo(2, 6);
  expect(judgeOpening(CORNERS, { ...out, beyond: [] }, LEVEL, RULES).leaf).toEqual({ what: 'measure' });
});

test('a fire leaf over a floor that sinks is stopped by its gap, though nothing is cut', () => {
  const fire = { ...LEAF, kind: 'fire' as const, hingeMm: 20, latchMm: 20 };
  expect(judgeOpening(CORNERS, door({ leaf: fire }), LEVEL, RULES).leaf).toMatchObject({ what: 'nothing' });
  const sunk: FinishedAt = (x, y) => LEVEL(x, y) && { new: 17, used: 16.2 };
  expect(judgeOpening(CORNERS, door({ leaf: fire, beyond: beyond(16, 16) }), sunk, RULES).leaf).toMatchObject({
    what: 'stop',
    why: 'fire-gap',
    byMm: expect.closeTo(0.8, 6),
  });
});

test('a step within what its readings may be off of a limit is provisional', () => {
  expect(judgeOpening(CORNERS, door({ beyond: beyond(11.3, 11.3), leaf: null }), LEVEL, RULES).provisional).toBe(true);
  expect(judgeOpening(CORNERS, door({ beyond: beyond(12.5, 12.5), leaf: null }), LEVEL, RULES).provisional).toBe(false);
});

test('a bar’s cap and a rug stand under the leaf; a floor that runs through has none', () => {
  const least = (more: Partial<OpeningFacts>, rules = { ...RULES, capMm: 3 }) =>
    judgeOpening(CORNERS, door(more), LEVEL, rules).clearance!.leastMm;
  expect(least({})).toBeCloseTo(3, 6);
  expect(least({ goesOn: true })).toBeCloseTo(6, 6);
  expect(least({ leaf: { ...LEAF, rugMm: 4 } }, RULES)).toBeCloseTo(2, 6);
});

test('air asked for under this leaf is taken off its underside', () => {
  const verdict = (airMm: number | null) =>
    judgeOpening(CORNERS, door({ leaf: { ...LEAF, airMm } }), LEVEL, RULES).leaf;
  expect(verdict(null)).toEqual({ what: 'nothing' });
  expect(verdict(10)).toMatchObject({ what: 'trim', parallel: { hingeMm: expect.closeTo(4, 6) } });
});

test('what the next room lays counts by its age; the floor of an outside door stays under the water bar', () => {
  const addsMm = { new: 10, used: 9.5 };
  const judged = judgeOpening(
    CORNERS,
    door({ beyond: beyond(7, 7).map((level) => ({ ...level, addsMm })), leaf: null }),
    LEVEL,
    RULES,
  );
  expect(judged.step!.profiles.new.worstMm).toBeCloseTo(0, 9);
  expect(judged.step!.profiles.used.worstMm).toBeCloseTo(0.3, 9);
  const outside = (sillMm: number | null) =>
    judgeOpening(CORNERS, door({ opening: { ...door().opening, beyond: 'outside' }, sillMm }), LEVEL, RULES);
  expect(outside(null).toRead).toContainEqual({ of: 'sill', alongMm: 400 });
  expect(outside(30).underSillMm).toBeCloseTo(13, 9);
});
