import { nextRank } from './next-rank.ts';

const NOON = Date.UTC(2026, 10, 27, 12);

test('what is added stands after all that is there, small ranks and late ones alike', () => {
  for (const ranks of [[], [0], [1, 2, 3], [5e6], [-4, 0.5]]) {
    const rank = nextRank(
      ranks.map((rank) => ({ rank })),
      NOON,
    );
    expect(ranks.every((before) => before < rank)).toBe(true);
  }
});

test('what is added before the list is here stands after what it holds all the same', () => {
  const first = nextRank([], NOON);
  expect(nextRank([], NOON + 60_000)).toBeGreaterThan(first);
  expect(first).toBeGreaterThan(1000);
  // Many within one minute do not run ahead of the clock: one made seconds later without the list stands after them all.
  const made: { rank: number }[] = [];
  for (let n = 0; n < 8; n++) made.push({ rank: nextRank(made, NOON + n) });
  expect(nextRank([], NOON + 2000)).toBeGreaterThan(made.at(-1)!.rank);
});
