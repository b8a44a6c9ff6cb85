import fc from 'fast-check';
import { placed } from './placed.ts';

const sorted = <T extends { id: string; rank: number }>(list: readonly T[]) =>
  [...list].sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));

/** Lists in their order, some of whose ranks are the same or as near to one another as numbers can be. */
const aList = fc
  .array(fc.oneof(fc.integer({ min: 0, max: 3 }), fc.double({ min: 0, max: 1e-300, noNaN: true })), {
    minLength: 2,
    maxLength: 8,
  })
  .map((ranks) => sorted(ranks.map((rank, i) => ({ id: `id-${i}`, rank }))));

test('whatever is put wherever, the list then stands in that order, and what is not moved keeps its order', () => {
  fc.assert(
    fc.property(aList, fc.nat(), fc.nat(), (list, from, to) => {
      const [one, place] = [list[from % list.length]!, to % list.length];
      const others = list.filter((other) => other !== one);
      const wanted = [...others.slice(0, place), one, ...others.slice(place)].map(({ id }) => id);
      const written = placed(list, one.id, place);
      const after = list.map((other) => written.find(({ id }) => id === other.id) ?? other);
      expect(sorted(after).map(({ id }) => id)).toEqual(wanted);
    }),
  );
});

test('as a rule one fact is written; put where it stands, none', () => {
  const list = [0, 1, 2, 3].map((rank) => ({ id: `id-${rank}`, rank }));
  expect(placed(list, 'id-3', 1)).toEqual([{ id: 'id-3', rank: 0.5 }]);
  expect(placed(list, 'id-0', 3)).toEqual([{ id: 'id-0', rank: 4 }]);
  expect(placed(list, 'id-2', 2)).toEqual([]);
});
