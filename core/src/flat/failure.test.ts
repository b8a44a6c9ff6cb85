import { cellAt, failureChance, judgeFlat, smallestSeen, stationsOf, typicalSpacing } from './index.ts';
import { factsAt, rectanglePlan } from './invented.ts';

const plan = rectanglePlan(3000, 2400);
const rule = { gapMm: 3, edgeMm: 2000 };
const judged = (spacingMm: number, formula: (x: number, y: number) => number) =>
  judgeFlat(plan, factsAt(stationsOf(plan, spacingMm, [], [], { xMm: 0, yMm: 0 }), formula), [rule], { spacingMm })!;
const hump = (mm: number) => (x: number, y: number) => mm * Math.exp(-((x - 1.5) ** 2 + (y - 1.2) ** 2) / 0.5);

test('a nearly flat floor read closely fails in no draw; one well over the rule fails in all of them at the hump', () => {
  const flat = failureChance(
    judged(600, (x) => 0.4 * x),
    [rule],
    false,
  )!;
  expect(flat.worstShare).toBe(0);
  expect(flat.worstAt).toBeNull();
  const over = failureChance(judged(600, hump(9)), [rule], false)!;
  expect(over.worstShare).toBe(1);
  expect(over.share[cellAt(over.grid, 1500, 1200)]).toBe(1);
});

test('fewer readings of the same floor leave more doubt', () => {
  const wavy = (x: number, y: number) => 1.9 * Math.sin(2.6 * x) * Math.cos(2.3 * y);
  const [close, wide] = [450, 1200].map((spacing) => failureChance(judged(spacing, wavy), [rule], false)!);
  const doubt = ({ share }: { share: Float64Array }) => share.reduce((sum, s) => sum + Math.min(s, 1 - s), 0);
  expect(doubt(wide!)).toBeGreaterThan(doubt(close!));
});

test('the same readings give the same shares, and a stop is obeyed', () => {
  const state = judged(800, hump(3.2));
  const again = failureChance(state, [rule], false)!;
  expect([...failureChance(state, [rule], false)!.share]).toEqual([...again.share]);
  expect(failureChance(state, [rule], false, { shouldStop: () => true })).toBeNull();
});

// Near its limit the hump is over the rule in some draws and inside it in others: the share says how near.
test('at the limit the share lies between never and always', () => {
  const shares = [2.2, 3.4, 5].map((mm) => failureChance(judged(600, hump(mm)), [rule], false)!.worstShare);
  expect(shares[0]!).toBeLessThan(shares[2]!);
  expect(shares[1]!).toBeLessThanOrEqual(shares[2]!);
  expect(shares[2]).toBe(1);
});

test('on a grid of 600 mm the spacing is 600, and what is narrower than 1.2 m may lie unseen', () => {
  const x = Float64Array.from({ length: 12 }, (_, i) => (i % 4) * 600);
  const y = Float64Array.from({ length: 12 }, (_, i) => Math.floor(i / 4) * 600);
  expect(typicalSpacing({ x, y })).toBe(600);
  expect(smallestSeen({ x, y })).toBe(1200);
  expect(smallestSeen({ x: x.slice(0, 1), y: y.slice(0, 1) })).toBeNull();
});
