import { plankPx } from './plank-px.ts';

test.each([320, 360, 390, 430])(
  'ten stages on a phone of %i px: none under 48 px, and the last one seen is cut in half',
  (seenPx) => {
    const each = plankPx(seenPx, 10)!;
    expect(each).toBeGreaterThanOrEqual(48);
    expect((seenPx / each) % 1).toBeCloseTo(0.5, 9);
    expect(10 * each).toBeGreaterThan(seenPx);
  },
);

test('planks that all fit share the row', () => {
  expect(plankPx(390, 6)).toBeNull();
  expect(plankPx(320, 5)).toBeNull();
});
