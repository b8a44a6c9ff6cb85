import fc from 'fast-check';
import { madeRamp, rampAtMm } from './made-ramp.ts';

const RULE = { gapMm: 3, edgeMm: 2000 };

test('worked lengths under 3 mm in 2 m: 4 mm 0.500 m, 15 mm 2.500 m with 18.75 l a metre, 30 mm 4.472 m', () => {
  expect(madeRamp(3, RULE)).toMatchObject({ shape: 'none', lengthMm: 0, litresPerM: 0 });
  expect(madeRamp(4, RULE)).toMatchObject({ shape: 'straight', lengthMm: 500 });
  expect(madeRamp(-15, RULE)).toMatchObject({ shape: 'straight', lengthMm: 2500, litresPerM: 18.75 });
  expect(madeRamp(30, RULE).shape).toBe('curved');
  expect(madeRamp(30, RULE).lengthMm).toBeCloseTo(4472, 0);
});

/** The worst gap under an edge laid anywhere along a floor given every `stepMm`: by laying it on every pair that bears it. */
function worstGap(z: readonly number[], stepMm: number, edgeMm: number): number {
  const reach = Math.round(edgeMm / stepMm);
  let worst = 0;
  for (let i = 0; i < z.length; i++)
    for (let j = i + 2; j <= Math.min(z.length - 1, i + reach); j++) {
      const line = (k: number) => z[i]! + ((z[j]! - z[i]!) * (k - i)) / (j - i);
      let [gap, bears] = [0, true];
      for (let k = i; k <= j && bears; k++) {
        if (z[k]! > line(k) + 1e-9) bears = false;
        gap = Math.max(gap, line(k) - z[k]!);
      }
      if (bears) worst = Math.max(worst, gap);
    }
  return worst;
}

test('planks over a made ramp pass their rule: an edge laid everywhere over it finds no more than the rule’s gap', () => {
  const rule = fc.constantFrom(
    RULE,
    { gapMm: 2, edgeMm: 2000 },
    { gapMm: 3, edgeMm: 1000 },
    { gapMm: 4.8, edgeMm: 3050 },
  );
  fc.assert(
    fc.property(rule, fc.double({ min: 1.01, max: 14, noNaN: true }), (of, times) => {
      const ramp = madeRamp(of.gapMm * times, of);
      const stepMm = 25;
      const floor = Array.from({ length: Math.ceil((ramp.lengthMm + 2 * of.edgeMm) / stepMm) }, (_, k) =>
        rampAtMm(ramp, k * stepMm - of.edgeMm),
      );
      expect(worstGap(floor, stepMm, of.edgeMm)).toBeLessThanOrEqual(of.gapMm + 0.02);
    }),
    { numRuns: 30 },
  );
});

test('a ramp of two curves holds half the step over its length, as a straight one does', () => {
  const ramp = madeRamp(30, RULE);
  const parts = 2000;
  const litres =
    Array.from({ length: parts }, (_, k) => rampAtMm(ramp, ((k + 0.5) * ramp.lengthMm) / parts)).reduce(
      (a, b) => a + b,
    ) *
    (ramp.lengthMm / parts / 1000);
  expect(litres).toBeCloseTo(ramp.litresPerM, 3);
});
