import { area, decimals, gap, listed, lower, mass, reach, say, volume } from '@maquette/core/said';
import { createRender, readOut } from './index.ts';

const catalogue = {
  gap: 'The gap is {gap} under {edge}.',
  tests: '{n, plural, one {# test} other {# tests}} to make',
  name: 'Take up {layer}.',
  door: 'Door',
  named: 'W3, by the door',
  list: 'Bring {tools}.',
  amounts: '{area}, {mass}, {volume}, {share} %',
  sign: 'It’s under 3 < 4',
};
const render = createRender(catalogue, 'en');

test('a quantity is written in the units of whoever reads', () => {
  // 1/8 in is 3.175 mm; 6 ft is 1828.8 mm.
  const said = say('gap', { gap: gap(3.175), edge: reach(1828.8) });
  expect(render(said, 'metric')).toBe('The gap is 3.2 mm under 1.83 m.');
  expect(render(said, 'imperial')).toBe('The gap is 1/8 in under 6 ft.');
  const amounts = say('amounts', { area: area(2), mass: mass(10), volume: volume(5), share: decimals(12.34, 1) });
  expect(render(amounts, 'metric')).toBe('2 m², 10 kg, 5 l, 12.3 %');
  expect(render(amounts, 'imperial')).toBe('21.5 ft², 22 lb, 1.32 gal, 12.3 %');
});

test('one is one, and more are more', () => {
  expect([1, 3].map((n) => render(say('tests', { n }), 'metric'))).toEqual(['1 test to make', '3 tests to make']);
});

test('within a sentence a word begins small, a name stays as it is', () => {
  expect(render(say('name', { layer: lower(say('door')) }), 'metric')).toBe('Take up door.');
  expect(render(say('name', { layer: lower(say('named')) }), 'metric')).toBe('Take up W3, by the door.');
});

test('several are listed; what a user wrote stays as it was written', () => {
  expect(render(say('list', { tools: listed([say('door'), 'Anna’s {odd} bar']) }), 'metric')).toBe(
    'Bring Door, Anna’s {odd} bar.',
  );
  expect(render('Anna’s {odd} bar', 'metric')).toBe('Anna’s {odd} bar');
});

test('signs are not taken for tags', () => {
  expect(render(say('sign'), 'metric')).toBe('It’s under 3 < 4');
});

test('a code without a sentence is an error, never an empty line', () => {
  expect(() => render(say('nothing.ofTheKind'), 'metric')).toThrow('nothing.ofTheKind');
});

test('a structure is read out wherever something is said in it, and nothing else of it changes', () => {
  const heights = new Float64Array([1, 2]);
  const read = readOut({
    a: say('said.sentence', { what: 'Wet' }),
    b: [say('said.sentence', { what: 'Dry' }), 3],
    heights,
  });
  expect(read).toEqual({ a: 'Wet.', b: ['Dry.', 3], heights });
  expect(read.heights).toBe(heights);
});
