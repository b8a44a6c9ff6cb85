import { spokenLength } from './spoken.ts';

test.each([
  [1240, 'metric', '1 metre 24'],
  [2000, 'metric', '2 metres'],
  [1050, 'metric', '1 metre and 5 centimetres'],
  [1006, 'metric', '1 metre and 1 centimetre'],
  [994, 'metric', '99 centimetres'],
  [996, 'metric', '1 metre'],
  [12, 'metric', '1 centimetre'],
  [0, 'metric', '0 centimetres'],
  // 4 ft 7 1/2 in are 55.5 inches.
  [55.5 * 25.4, 'imperial', '4 foot 7 and a half'],
  [48 * 25.4, 'imperial', '4 foot'],
  [48.5 * 25.4, 'imperial', '4 foot half an inch'],
  [7 * 25.4, 'imperial', '7 inches'],
  [1 * 25.4, 'imperial', '1 inch'],
  [7.5 * 25.4, 'imperial', '7 and a half inches'],
  [0, 'imperial', '0 inches'],
] as const)('%f mm in %s units are said as %s', (mm, units, said) => {
  expect(spokenLength(mm, units)).toBe(said);
});
