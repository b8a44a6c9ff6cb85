import { findFacts, questionOf, type Searchable } from './find.ts';

const fact = (id: string, about: string, values: Record<string, string>, at = '2026-05-04'): Searchable => ({
  id,
  about: [about],
  values: Object.entries(values).map(([field, text]) => ({ field, text })),
  at,
});
const FACTS = [
  fact('pour', 'Sluice House Landing levelling done', { Batch: 'L 2207', Bags: '3' }),
  fact('boxes', 'Sluice House Landing boxes of planks', { Batch: 'K 2207', Boxes: '4' }, '2026-05-06'),
  fact('later', 'Fennimore Hall Reading room levelling done', { Batch: 'L 22071' }),
  fact('room', 'Sluice House room', { Name: 'Küche', Covering: 'Click vinyl, rigid core' }),
  fact('reading', 'Fennimore Hall Reading room damp reading', { Value: '3.1', Note: 'Near the door' }),
];
const found = (text: string) => findFacts(FACTS, text).map(({ of }) => of.id);

test('where did we use batch L 2207: the one batch, and before it is typed out those that begin so', () => {
  expect(questionOf('Where did we use batch L 2207?')).toEqual(['batch', 'l', '2207']);
  expect(found('Where did we use batch L 2207?')).toEqual(['pour', 'later']);
  expect(found('2207')).toEqual(['boxes', 'pour', 'later']);
  // What a field is called finds whatever stands in it.
  expect(found('batch')).toEqual(['boxes', 'later', 'pour']);
  expect(findFacts(FACTS, 'batch L 2207')[0]!.in).toEqual([{ field: 'Batch', text: 'L 2207' }]);
});

test('accents, capitals and the decimal comma make no difference; a room or job narrows, and alone makes no hit', () => {
  expect([found('kuche'), found('KÜCHE'), found('3,1'), found('rigid')]).toEqual([
    ['room'],
    ['room'],
    ['reading'],
    ['room'],
  ]);
  expect(found('reading room')).toEqual([]);
  expect(found('landing 2207')).toEqual(['boxes', 'pour']);
  expect(found('landing 3.1')).toEqual([]);
});

test('a figure is found whole or as it is being typed, never in the middle of another', () => {
  expect(found('207')).toEqual([]);
  expect(found('22')).toEqual(['boxes', 'later', 'pour']);
  expect([found(''), found('  …  '), found('the door')]).toEqual([[], [], ['reading']]);
});

test('of many that fit alike the newest come first, and no more than asked for', () => {
  const many = Array.from({ length: 200 }, (_, k) =>
    fact(`f${k}`, 'job', { Batch: 'Q 1' }, `2026-01-${String(1 + (k % 28)).padStart(2, '0')}`),
  );
  const hits = findFacts(many, 'q 1', 30);
  expect(hits).toHaveLength(30);
  expect(hits.map(({ of }) => of.at)).toEqual([...hits.map(({ of }) => of.at)].sort().reverse());
});
