import fc from 'fast-check';
import { NO_UNDERLAY, rankOf, USUAL_WEIGHTS } from './rank.ts';

test('scores over a heated floor, worked by hand', () => {
  const score = (cost: number, stepDb: number, rM2KW: number, thicknessMm: number, kPa: number) =>
    rankOf({ cost, stepDb, rM2KW, thicknessMm, kPa }, true).score;
  expect(score(4, 18, 0.05, 2, 100)).toBeCloseTo(0.609, 3);
  expect(score(8, 22, 0.01, 1.5, 300)).toBeCloseTo(0.662, 3);
  expect(rankOf(NO_UNDERLAY, true).score).toBeCloseTo(0.8, 9);
});

test('property: every term stays between nothing and its weight, whatever the figures are', () => {
  const any = fc.double({ min: 0, max: 1000, noNaN: true });
  fc.assert(
    fc.property(
      any,
      any,
      any,
      any,
      fc.double({ min: 0.1, max: 5000, noNaN: true }),
      fc.boolean(),
      (a, b, c, d, kPa, hot) => {
        const { terms, score } = rankOf({ cost: a, stepDb: b, rM2KW: c, thicknessMm: d, kPa }, hot);
        for (const name of Object.keys(USUAL_WEIGHTS) as (keyof typeof USUAL_WEIGHTS)[]) {
          expect(terms[name]).toBeGreaterThanOrEqual(0);
          expect(terms[name]).toBeLessThanOrEqual(USUAL_WEIGHTS[name] + 1e-12);
        }
        expect(score).toBeLessThanOrEqual(1 + 1e-9);
      },
    ),
  );
});
