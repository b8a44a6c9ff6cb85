import fc from 'fast-check';
import { cutFromStock, KERF_MM } from './stock-lengths.ts';

test('three doors of 800 come from one length of 2700; two and a wide one take two lengths', () => {
  expect(cutFromStock([800, 800, 800], [900, 1800, 2700])).toEqual({
    cuts: [{ stockMm: 2700, piecesMm: [800, 800, 800], restMm: 291 }],
    boughtMm: 2700,
    least: true,
    tooLongMm: [],
  });
  expect(cutFromStock([1700, 800, 800], [900, 1800, 2700]).boughtMm).toBe(3600);
  expect(cutFromStock([], [900])).toEqual({ cuts: [], boughtMm: 0, least: true, tooLongMm: [] });
});

test('the saw takes its share: two pieces of 900 do not come from 1800', () => {
  expect(cutFromStock([900, 900], [1800]).boughtMm).toBe(3600);
  expect(cutFromStock([900, 897], [1800]).boughtMm).toBe(1800);
});

test('what is longer than any length stocked is told apart', () => {
  expect(cutFromStock([3000, 800], [900, 2700])).toMatchObject({ tooLongMm: [3000], boughtMm: 900 });
});

/** Every way to share pieces out among lengths, and for each share the shortest length that takes it. */
function plainLeast(pieces: readonly number[], stock: readonly number[]): number {
  const cost = (share: readonly number[]) =>
    Math.min(...stock.filter((mm) => mm >= share.reduce((a, b) => a + b, 0) + KERF_MM * (share.length - 1)), Infinity);
  let best = Infinity;
  const shares: number[][] = [];
  const next = (k: number) => {
    if (k === pieces.length)
      return void (best = Math.min(
        best,
        shares.reduce((sum, share) => sum + cost(share), 0),
      ));
    for (const share of shares) {
      share.push(pieces[k]!);
      next(k + 1);
      share.pop();
    }
    shares.push([pieces[k]!]);
    next(k + 1);
    shares.pop();
  };
  next(0);
  return best;
}

test('no other way to share the pieces out buys less', () => {
  const pieces = fc.array(fc.integer({ min: 300, max: 1790 }), { minLength: 1, maxLength: 6 });
  fc.assert(
    fc.property(pieces, (mm) => {
      const plan = cutFromStock(mm, [900, 1800, 2700]);
      expect(plan.boughtMm).toBe(plainLeast(mm, [900, 1800, 2700]));
      expect(plan.cuts.flatMap(({ piecesMm }) => piecesMm).sort()).toEqual([...mm].sort());
    }),
    { numRuns: 60 },
  );
});
