import { inWords } from '@maquette/words';
import { accessOf } from './access-rules.ts';
import { USUAL_ACCESS } from './bar.ts';

test('a country has its own rule, any other the usual one, and each figure of the job takes its place', () => {
  expect(accessOf(null, []).rule).toEqual(USUAL_ACCESS);
  expect(accessOf('XX', []).rule).toEqual(USUAL_ACCESS);
  // A quarter and half an inch.
  expect(accessOf('US', []).rule).toMatchObject({ uprightMm: 25.4 / 4, bevelledMm: 25.4 / 2, rampRatio: 12 });
  expect(accessOf('GB', []).rule).toMatchObject({ uprightMm: 5, bevelledMm: 15 });
  const own = accessOf('GB', [{ name: 'access-bevel-mm', value: 10 }]);
  expect(own.rule).toMatchObject({ uprightMm: 5, bevelledMm: 10 });
  expect(inWords(own.source, 'metric')).not.toBe(inWords(accessOf('GB', []).source, 'metric'));
  // A figure of something else changes nothing, not even what is said of it.
  expect(accessOf('GB', [{ name: 'bar-flat-mm', value: 1 }])).toEqual(accessOf('GB', []));
});
