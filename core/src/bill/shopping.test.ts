import fc from 'fast-check';
import { shoppingRuns, type ToFetch } from './shopping.ts';

const VAN = { kg: 800, litres: 4500 };
const item = (id: string, packs: number, neededDay: number, part: Partial<ToFetch> = {}): ToFetch => ({
  ...{ id, supplier: 'Weir Timber', packs, kgEach: 25, litresEach: 20, neededDay },
  ...part,
});

test('what is needed soon after rides along, what is needed months later does not', () => {
  const items = [item('compound', 3, 2), item('boxes', 19, 9), item('later', 12, 176)];
  const { runs, least } = shoppingRuns(items, VAN, 14);
  expect(runs.map(({ byDay, load }) => [byDay, load.map(({ id, packs }) => `${packs} ${id}`)])).toEqual([
    [2, ['3 compound', '19 boxes']],
    [176, ['12 later']],
  ]);
  expect(least).toEqual({ 'Weir Timber': 2 });
  expect(shoppingRuns(items.slice(0, 2), VAN, 6).runs.map(({ byDay }) => byDay)).toEqual([2, 9]);
});

test('property: everything is fetched once, for its day, by its supplier, and no van is overloaded but by a single pack', () => {
  const some = fc.record({
    id: fc.uuid(),
    supplier: fc.constantFrom('Weir Timber', ''),
    packs: fc.integer({ min: 0, max: 60 }),
    kgEach: fc.constantFrom(0, 0.4, 22.5, 900),
    litresEach: fc.constantFrom(0, 12, 5000),
    neededDay: fc.integer({ min: 0, max: 200 }),
  });
  fc.assert(
    fc.property(
      fc.uniqueArray(some, { maxLength: 8, selector: ({ id }) => id }),
      fc.integer({ min: 0, max: 60 }),
      (items, early) => {
        const { runs, least } = shoppingRuns(items, VAN, early);
        for (const { id, packs, supplier, neededDay } of items) {
          const own = runs.filter(({ load }) => load.some((one) => one.id === id));
          const fetched = own.flatMap(({ load }) => load).filter((one) => one.id === id);
          expect(fetched.reduce((sum, one) => sum + one.packs, 0)).toBe(packs);
          for (const run of own) {
            expect(run.supplier).toBe(supplier);
            expect(neededDay - run.byDay).toBeGreaterThanOrEqual(0);
            expect(neededDay - run.byDay).toBeLessThanOrEqual(early);
          }
        }
        for (const { kg, litres, load } of runs) {
          const isOnePack = load.length === 1 && load[0]!.packs === 1;
          expect(isOnePack || (kg <= VAN.kg + 1e-6 && litres <= VAN.litres + 1e-6)).toBe(true);
        }
        const isOver = items.some(({ kgEach, litresEach }) => kgEach > VAN.kg || litresEach > VAN.litres);
        if (!isOver)
          for (const [supplier, trips] of Object.entries(least))
            expect(runs.filter((run) => run.supplier === supplier).length).toBeGreaterThanOrEqual(trips);
      },
    ),
  );
});
