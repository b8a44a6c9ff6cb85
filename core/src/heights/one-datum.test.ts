import fc from 'fast-check';
import { oneDatum, type DatumTie } from './one-datum.ts';

const tie = (a: string, b: string, aMm: number, bMm: number, offMm = 0.7): DatumTie => ({
  id: `${a}${b}`,
  roomIds: [a, b],
  levelsMm: [aMm, bMm],
  offMm,
});

test('rooms tied in a row come to one datum; what nothing ties stands apart', () => {
  // The same place is 12 in the hall and 4 in the kitchen: the kitchen’s zero lies 8 higher.
  const { offsetMm, groups, worst } = oneDatum(
    ['hall', 'kitchen', 'larder', 'attic'],
    [tie('hall', 'kitchen', 12, 4), tie('kitchen', 'larder', -3, -1)],
  );
  expect(offsetMm.get('kitchen')).toBe(8);
  expect(offsetMm.get('larder')).toBe(6);
  expect(groups).toEqual([['hall', 'kitchen', 'larder'], ['attic']]);
  expect(worst).toBeNull();
});

test('a loop that does not close by 3 mm is spread over its ties, a millimetre each where they are as sure', () => {
  const { offsetMm, worst } = oneDatum(
    ['a', 'b', 'c'],
    [tie('a', 'b', 0, 0), tie('b', 'c', 0, 0), tie('a', 'c', 3, 0)],
  );
  expect(offsetMm.get('b')).toBeCloseTo(1, 6);
  expect(offsetMm.get('c')).toBeCloseTo(2, 6);
  expect(worst!.apartMm).toBeCloseTo(1, 6);
});

test('of two ties the surer counts for more', () => {
  // Weights 4 and 1: (4 x 0 + 1 x 5)/5.
  const { offsetMm, worst } = oneDatum(
    ['a', 'b'],
    [tie('a', 'b', 0, 0, 0.5), { ...tie('a', 'b', 5, 0, 1), id: 'eye' }],
  );
  expect(offsetMm.get('b')).toBeCloseTo(1, 9);
  expect(worst).toEqual({ tieId: 'eye', apartMm: expect.closeTo(4, 9) });
});

test('ties without error give back the datums they were made with, whatever their order', () => {
  const rooms = ['a', 'b', 'c', 'd', 'e'];
  const some = fc.record({
    zeros: fc.array(fc.integer({ min: -200, max: 200 }), { minLength: 5, maxLength: 5 }),
    pairs: fc.uniqueArray(fc.tuple(fc.nat(4), fc.nat(4)), {
      minLength: 4,
      maxLength: 10,
      selector: ([a, b]) => `${a}${b}`,
    }),
    at: fc.integer({ min: -50, max: 50 }),
  });
  fc.assert(
    fc.property(some, ({ zeros, pairs, at }) => {
      const ties = pairs
        .filter(([a, b]) => a !== b)
        .map(([a, b]) => tie(rooms[a]!, rooms[b]!, at - zeros[a]!, at - zeros[b]!));
      const { offsetMm, groups } = oneDatum(rooms, ties);
      for (const group of groups)
        for (const id of group) {
          const zero = (of: string) => zeros[rooms.indexOf(of)]!;
          expect(offsetMm.get(id)! - offsetMm.get(group[0]!)!).toBeCloseTo(zero(id) - zero(group[0]!), 6);
        }
    }),
  );
});
