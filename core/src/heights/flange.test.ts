import fc from 'fast-check';
import { FLANGE_MM, judgeFlange } from './flange.ts';

test('12 over a floor of 17 takes a ring of 6; 4 takes 3 and 10; the rest by their limits', () => {
  expect(judgeFlange(12, 17)).toEqual({ what: 'rings', overMm: -5, ringsMm: [6], thenOverMm: 1 });
  expect(judgeFlange(4, 17)).toEqual({ what: 'rings', overMm: -13, ringsMm: [3, 10], thenOverMm: 0 });
  expect(judgeFlange(17, 17).what).toBe('nothing');
  expect(judgeFlange(23, 17).what).toBe('nothing');
  expect(judgeFlange(23.5, 17).what).toBe('plumber');
  expect(judgeFlange(17, 17, true).what).toBe('plumber');
  // Three rings of ten reach 30 mm and no further.
  expect(judgeFlange(-14, 17).what).toBe('plumber');
});

test('rings end within the flange’s band, and no fewer would', () => {
  fc.assert(
    fc.property(fc.double({ min: -40, max: 20, noNaN: true }), (topMm) => {
      const found = judgeFlange(topMm, 0);
      const ends = (sum: number) => topMm + sum >= FLANGE_MM.min && topMm + sum <= FLANGE_MM.max;
      const rings = [3, 6, 10];
      const one = rings.some(ends);
      const two = rings.some((a) => rings.some((b) => ends(a + b)));
      const three = rings.some((a) => rings.some((b) => rings.some((c) => ends(a + b + c))));
      if (found.what === 'rings') {
        expect(found.thenOverMm).toBeGreaterThanOrEqual(FLANGE_MM.min);
        expect(found.thenOverMm).toBeLessThanOrEqual(FLANGE_MM.max);
        expect(found.ringsMm).toHaveLength(one ? 1 : two ? 2 : 3);
      } else if (topMm < 0) expect(one || two || three).toBe(false);
    }),
  );
});
