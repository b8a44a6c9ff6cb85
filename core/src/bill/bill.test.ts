import fc from 'fast-check';
import { hireOf, isBoughtCheaper, type HireRate } from './hire.ts';
import { milli, parted, priced, totalOf, wholeOf, withMargin } from './money.ts';
import { packsFor, poolsOf, type Need, type Product } from './packs.ts';

const compound: Product = { id: 'compound', pack: milli(25), packCents: 2199, openedLifeH: null, isKit: false };
const need = (roomId: string, quantity: number, fromH = 0, toH = fromH + 1): Need => ({
  key: `${roomId}/level`,
  roomId,
  gross: milli(quantity),
  fromH,
  toH,
});

test('bags of 25 kg for 127.5, 53.2 and 30.4 kg: nine pooled, eleven room by room', () => {
  const needs = [need('a', 127.5), need('b', 53.2), need('c', 30.4)];
  expect(poolsOf(compound, needs).map(({ packs }) => packs)).toEqual([9]);
  expect(needs.reduce((sum, one) => sum + poolsOf(compound, [one])[0]!.packs, 0)).toBe(11);
  // 18.64, 9.62 and 4.15 m² with 7, 9 and 12 % of waste, boxes of 2.22 m².
  const gross = milli(18.64 * 1.07) + milli(9.62 * 1.09) + milli(4.15 * 1.12);
  expect(packsFor(gross, milli(2.22))).toBe(16);
  expect(packsFor(milli(50), milli(25))).toBe(2);
});

test('what does not keep from one use to the next is no pool; a kit is lost at the end of its session', () => {
  const short = { ...compound, openedLifeH: 48 };
  const needs = [need('a', 10, 0), need('b', 10, 40), need('c', 10, 200)];
  expect(poolsOf(short, needs).map(({ parts }) => parts.map(({ roomId }) => roomId))).toEqual([['a', 'b'], ['c']]);
  expect(poolsOf({ ...compound, isKit: true }, needs)).toHaveLength(3);
  expect(poolsOf({ ...compound, isKit: true }, [need('a', 10, 0, 4), need('b', 10, 6)])).toHaveLength(1);
  expect(poolsOf(compound, [need('a', 0)])).toEqual([]);
});

test('property: a sum is parted to the cent, no share is more than a cent off, and the same weights give the same', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1e7 }),
      fc.array(fc.integer({ min: 0, max: 1e6 }), { minLength: 1, maxLength: 12 }),
      (sum, weights) => {
        const parts = parted(sum, weights);
        const whole = weights.reduce((all, one) => all + one, 0);
        expect(parts.reduce((all, one) => all + one, 0)).toBe(sum);
        if (whole > 0) parts.forEach((part, k) => expect(Math.abs(part - (sum * weights[k]!) / whole)).toBeLessThan(1));
      },
    ),
  );
  // 100 among three alike: the odd cent goes to the first.
  expect(parted(100, [1, 1, 1])).toEqual([34, 33, 33]);
  expect(parted(-100, [1, 1, 1])).toEqual([-34, -33, -33]);
  expect(parted(5, [])).toEqual([]);
});

test('property: what rooms bear of their pools is what the packs cost', () => {
  const needs = fc.array(fc.tuple(fc.integer({ min: 1, max: 300_000 }), fc.integer({ min: 0, max: 300 })), {
    minLength: 1,
    maxLength: 9,
  });
  fc.assert(
    fc.property(needs, fc.integer({ min: 1, max: 100 }), (all, lifeH) => {
      const own = all.map(([gross, fromH], k): Need => ({
        key: `n${k}`,
        roomId: `r${k}`,
        gross,
        fromH,
        toH: fromH + 2,
      }));
      const pools = poolsOf({ ...compound, openedLifeH: lifeH }, own);
      for (const { cents, packs, parts, gross } of pools) {
        expect(parts.reduce((sum, part) => sum + part.cents, 0)).toBe(cents);
        expect(packs * compound.pack).toBeGreaterThanOrEqual(gross);
        expect((packs - 1) * compound.pack).toBeLessThan(gross);
      }
      expect(pools.flatMap(({ parts }) => parts.map(({ key }) => key)).sort()).toEqual(
        own.map(({ key }) => key).sort(),
      );
    }),
  );
});

test('halves go away from nothing; a margin is of the price; tax is rounded once for each rate', () => {
  expect([wholeOf(5, 2), wholeOf(-5, 2), wholeOf(4, 3), wholeOf(0, 7)]).toEqual([3, -3, 1, 0]);
  expect(priced(milli(2.5), 199)).toBe(498);
  // A fifth of the price: 80 cost 100.
  expect(withMargin(8000, 200)).toBe(10_000);
  const lines = [
    { netCents: 333, taxPermille: 200 },
    { netCents: 333, taxPermille: 200 },
    { netCents: 1000, taxPermille: 50 },
  ];
  // 20 % of 6.66 is 1.332; line by line it would be twice 0.67.
  expect(totalOf(lines)).toEqual({
    net: 1666,
    tax: [
      { permille: 50, cents: 50 },
      { permille: 200, cents: 133 },
    ],
    gross: 1849,
  });
});

const rate = (day: number, trip: number): HireRate => ({
  dayCents: day * 100,
  tripCents: trip * 100,
  weekCents: null,
  weekendCents: null,
});

test('a machine used on days 0, 1, 4, 7 and 15: brought back while that is cheaper than to keep it', () => {
  const days = [15, 0, 1, 4, 7, 7];
  const often = hireOf(days, rate(38, 45));
  expect([often.stretches.length, often.cents]).toEqual([4, 37_000]);
  const seldom = hireOf(days, rate(24, 80));
  expect(seldom.stretches.map(({ fromDay, toDay }) => [fromDay, toDay])).toEqual([
    [0, 7],
    [15, 15],
  ]);
  expect(seldom.cents).toBe(37_600);
  expect(isBoughtCheaper(37_000, 60_000, 25_000)).toBe(true);
  expect(isBoughtCheaper(37_000, 60_000, 20_000)).toBe(false);
});

test('a week and a weekend are taken where they are cheaper than their days', () => {
  const priced7 = { ...rate(38, 45), weekCents: 15_000 };
  expect(hireOf([0, 6], { ...priced7, tripCents: 50_000 }).cents).toBe(15_000 + 50_000);
  // Day 0 a Friday: Friday, and Saturday with Sunday for a day and a half.
  const weekend = { ...rate(40, 500), weekendCents: 6000 };
  expect(hireOf([0, 1, 2], weekend, 5).cents).toBe(4000 + 6000 + 50_000);
  expect(hireOf([0, 1, 2], weekend, 1).cents).toBe(12_000 + 50_000);
});
