import fc from 'fast-check';
import { celsiusOf, fahrenheit, formatTemperature, formatTemperatureSpan } from './index.ts';

// Fixed points of the two scales, and the one figure they share.
test.each([
  [0, 32],
  [100, 212],
  [37, 98.6],
  [-40, -40],
])('%f °C is %f °F', (c, f) => {
  expect(fahrenheit(c)).toBeCloseTo(f, 9);
  expect(celsiusOf(f)).toBeCloseTo(c, 9);
});

test('what is read in one scale is kept by the other to a tenth of a degree', () => {
  fc.assert(
    fc.property(fc.integer({ min: -300, max: 1200 }), (tenths) => {
      const typed = tenths / 10;
      expect(Math.round(fahrenheit(celsiusOf(typed)) * 10)).toBe(tenths);
    }),
  );
});

test('a span has no zero of its own: three degrees over the dew point are 5.4 in the other scale', () => {
  expect([formatTemperatureSpan(3, 'metric'), formatTemperatureSpan(3, 'imperial')]).toEqual(['3.0 °C', '5.4 °F']);
  expect([formatTemperature(20, 'metric', 0), formatTemperature(20, 'imperial', 0)]).toEqual(['20 °C', '68 °F']);
});
