import fc from 'fast-check';
import { LETTER_HALF_PX, letterHalfWidth, letterStands } from './letter-stands.ts';

const box = (text: string, x: number, y: number) => ({
  x,
  y,
  halfWidth: letterHalfWidth(text),
  halfHeight: LETTER_HALF_PX,
});

test('a letter on a free place stays; one on another moves the least aside', () => {
  expect(letterStands([box('A', 50, 50), box('B', 200, 50)])).toEqual([
    [50, 50],
    [200, 50],
  ]);
  // Two boxes 24 px high have to stand 26 px apart, or 38 px side by side.
  expect(letterStands([box('G2', 100, 100), box('G4', 100, 106)])).toEqual([
    [100, 100],
    [100, 130],
  ]);
});

test('no two of a handful of letters cover one another, however close their places lie', () => {
  const place = fc.record({ x: fc.integer({ min: 0, max: 60 }), y: fc.integer({ min: 0, max: 60 }) });
  fc.assert(
    fc.property(fc.array(place, { minLength: 2, maxLength: 6 }), (places) => {
      const stands = letterStands(places.map(({ x, y }, k) => box(`G${k}`, x, y)));
      stands.forEach(([x, y], k) =>
        stands.slice(k + 1).forEach(([ox, oy]) => {
          expect(Math.abs(ox - x) >= 2 * letterHalfWidth('G1') || Math.abs(oy - y) >= 2 * LETTER_HALF_PX).toBe(true);
        }),
      );
    }),
  );
});
