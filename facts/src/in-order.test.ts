import fc from 'fast-check';
import type { Place } from './made.ts';
import { inOrder } from './in-order.ts';

interface Fact {
  id: number;
  place: Place;
}
const ordered = (facts: readonly Fact[]) => inOrder(facts, ({ place }) => place).map(({ id }) => id);
const fact = (id: number, order: number, device: string | null, sequence: number): Fact => ({
  id,
  place: { order, device, sequence },
});

test('the server’s count tells the order; one that reached it late stands where its device made it', () => {
  // Phone a made 1 and 2; 1 failed and went again after phone b's 3 and its own 2.
  expect(ordered([fact(1, 12, 'a', 1), fact(2, 10, 'a', 2), fact(3, 11, 'b', 7)])).toEqual([1, 3, 2]);
  expect(ordered([fact(5, 2, null, 0), fact(4, 1, null, 0)])).toEqual([4, 5]);
});

test('what waits comes last, as it was made', () => {
  const none = Number.MAX_SAFE_INTEGER;
  expect(ordered([fact(3, none, 'a', 9), fact(2, none, 'a', 8), fact(1, 40, 'b', 50)])).toEqual([1, 2, 3]);
});

test('of every set of places: each device’s own order holds, whatever order the facts are listed in', () => {
  const facts = fc.uniqueArray(fc.nat(500), { minLength: 2, maxLength: 30 }).chain((orders) =>
    fc.tuple(
      ...orders.map((order, id) =>
        fc.record({
          id: fc.constant(id),
          place: fc.record({
            order: fc.constant(order),
            device: fc.constantFrom('a', 'b', null),
            sequence: fc.constant((order * 7919) % 503),
          }),
        }),
      ),
    ),
  );
  fc.assert(
    fc.property(facts, fc.infiniteStream(fc.nat()), (list, random) => {
      const out = ordered(list);
      for (const device of ['a', 'b']) {
        const own = out.map((id) => list[id]!.place).filter((place) => place.device === device);
        expect(own.map(({ sequence }) => sequence)).toEqual(own.map(({ sequence }) => sequence).sort((x, y) => x - y));
      }
      const shuffled = list
        .map((one) => ({ one, by: random.next().value }))
        .sort((a, b) => a.by - b.by)
        .map(({ one }) => one);
      expect(ordered(shuffled)).toEqual(out);
    }),
  );
});
