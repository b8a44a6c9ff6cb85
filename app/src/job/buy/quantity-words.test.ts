import { quantityWords } from './quantity-words.ts';

/** The narrow spaces of figures as plain ones. */
const plain = (text: string) => text.replace(/[\u2009\u00a0]/g, ' ');

test.each([
  [20, 'kg', '20 kg', '44.1 lb'],
  [2.22, 'm²', '2.22 m²', '23.9 ft²'],
  [50, 'm', '50 m', '164 ft'],
  [5, 'l', '5 l', '1.32 gal'],
  [0.71, 'm³', '0.71 m³', '25.1 ft³'],
  [1, 'days', '1 day', '1 day'],
  [1000, '', '1 000', '1 000'],
  [0.03, 'h', '0.03 h', '0.03 h'],
])('%d %s are %s, or %s where one reads in feet and pounds', (value, unit, metric, imperial) => {
  expect(plain(quantityWords(value, unit, 'metric'))).toBe(metric);
  expect(plain(quantityWords(value, unit, 'imperial'))).toBe(imperial);
});
