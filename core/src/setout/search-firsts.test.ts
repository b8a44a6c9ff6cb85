import { CLICK_1290, inventedRows } from './invented-floors.ts';
import { rowStrips } from './rows.ts';
import { searchFirsts, type FirstRowTried, type FirstsAsk } from './search-firsts.ts';

const tried = (seed: number, widths: readonly number[]): FirstRowTried[] =>
  widths.map((firstMm) => ({
    firstMm,
    lastMm: 100,
    strips: rowStrips(inventedRows(seed), CLICK_1290.widthMm, firstMm),
    held: new Map(),
    least: 1,
    rippedM: 0,
  }));
const ask = (part: Partial<FirstsAsk> = {}): FirstsAsk => ({
  plank: CLICK_1290,
  zones: [],
  firsts: 3,
  rounds: [300, 600],
  ...part,
});

test('the same ask is answered the same way, and more rounds never end with more planks or more broken rules', () => {
  for (const seed of [2, 5, 9]) {
    const of = tried(seed, [80, 120, 160]);
    const once = searchFirsts(of, ask())!;
    expect(searchFirsts(of, ask())).toEqual(once);
    const short = searchFirsts(of, ask({ rounds: [300] }))!;
    expect(once.rows.breaches.length).toBeLessThanOrEqual(short.rows.breaches.length);
    if (once.rows.breaches.length === short.rows.breaches.length)
      expect(once.rows.planks).toBeLessThanOrEqual(short.rows.planks);
  }
});

test('what is found at a first row’s own bound ends the search: no other is searched that could not take fewer', () => {
  const of = tried(2, [80, 120, 160]);
  const first = searchFirsts(of, ask({ firsts: 1, rounds: [3000] }))!;
  expect(first.rows.breaches).toEqual([]);
  const { planks } = first.rows;
  let told = 0;
  const again = searchFirsts(
    of.map((one) => ({ ...one, least: planks })),
    ask({ rounds: [3000, 3000], tell: (share) => (told = Math.max(told, share)) }),
  )!;
  expect(again.rows.planks).toBe(planks);
  expect(told).toBeLessThan(0.5);
});

test('a dearer bound puts the first row that could take fewest first, and is asked with what lies', () => {
  const of = tried(5, [80, 160]);
  const asked: number[] = [];
  const boundOf: FirstsAsk['boundOf'] = (strips, held) => {
    asked.push(held.size);
    return strips === of[1]!.strips ? 1 : 1000;
  };
  const found = searchFirsts(of, ask({ firsts: 1, rounds: [200], boundOf }))!;
  expect(found.of.firstMm).toBe(160);
  expect(asked).toEqual([0, 0]);
});

test('stopped before anything is found, one first row is searched still; nothing to try is no plan', () => {
  expect(searchFirsts(tried(2, [80, 120]), ask({ shouldStop: () => true }))).not.toBeNull();
  expect(searchFirsts([], ask())).toBeNull();
});
