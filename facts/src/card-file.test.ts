import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { SHIPPED_UNDER } from '@maquette/core/under';
import { cardsCsv, cardsJson, CardFileProblem, readCards } from './card-file.ts';
import { checkWrite } from './check.ts';

const bodies = SHIPPED_UNDER.underlays.map(({ id: _, ...body }) => body);

test.each([
  ['JSON', cardsJson('underlays', bodies)],
  ['CSV', cardsCsv('underlays', bodies)],
])('cards come back as they went, as %s', (_, text) => {
  const read = readCards(text, checkWrite);
  expect(read.problems).toEqual([]);
  expect(read.cards.map(({ body }) => body)).toEqual(bodies);
});

test('every kind of card goes there and back', () => {
  for (const kind of ['films', 'membranes', 'panels'] as const) {
    const own = SHIPPED_UNDER[kind].map(({ id: _, ...body }) => body);
    expect(readCards(cardsCsv(kind, own), checkWrite)).toMatchObject({
      kind,
      problems: [],
      cards: own.map((body) => ({ body })),
    });
  }
});

const covering = {
  ...SHIPPED_CARDS[1]!,
  id: undefined,
  layHand: 'right-to-left',
  tiltDeg: 20,
  mixedLengths: [{ lengthMm: 1800, inBox: 3 }],
};

test.each([
  ['JSON', cardsJson('cards', [covering])],
  ['CSV', cardsCsv('cards', [covering])],
])('what a covering’s sheet says of laying goes there and back, as %s', (_, text) => {
  const { problems, cards } = readCards(text, checkWrite);
  expect(problems).toEqual([]);
  expect(cards[0]!.body).toMatchObject({ layHand: 'right-to-left', tiltDeg: 20, mixedLengths: covering.mixedLengths });
});

test('a file of covering cards that an earlier version wrote says nothing of laying, and is taken', () => {
  const { layHand, tiltDeg, endsSlide, longTaps, lipShaved, secondStaggerMm, mixedLengths, ...older } = covering;
  const { problems, cards } = readCards(JSON.stringify({ kind: 'cards', cards: [older] }), checkWrite);
  expect(problems).toEqual([]);
  expect(cards[0]!.body).toMatchObject({ layHand: 'unsaid', tiltDeg: null, endsSlide: 'unsaid', mixedLengths: [] });
});

const film = { ...SHIPPED_UNDER.films[0]!, id: undefined };
const json = (part: object, units: object = {}) =>
  JSON.stringify({ kind: 'films', units, cards: [{ ...film, ...part }] });

test('lengths in another unit are converted, and a unit that is none of theirs is named', () => {
  expect(readCards(json({ rollWidthMm: 2 }, { rollWidthMm: 'm' }), checkWrite).cards[0]!.body).toMatchObject({
    rollWidthMm: 2000,
  });
  expect(
    readCards(json({ thicknessMm: 0.008 }, { thicknessMm: 'in' }), checkWrite).cards[0]!.body['thicknessMm'],
  ).toBeCloseTo(0.2032, 6);
  expect(readCards(json({}, { rollWidthMm: 'kg' }), checkWrite).problems).toMatchObject([
    { field: 'rollWidthMm', value: 'kg', message: 'is kept in mm', line: 1 },
  ]);
});

test.each([
  ['a figure out of its range', json({ sdM: 99_999 }), 'sdM'],
  ['a field that is missing', json({ name: undefined }), 'name'],
  ['a field that no such card has', json({ colour: 'red' }), 'colour'],
  ['a figure that is none', json({ sdM: 'tight' }), 'sdM'],
])('%s is named, and nothing is taken', (_, text, field) => {
  const { cards, problems } = readCards(text, checkWrite);
  expect(cards).toEqual([]);
  expect(problems[0]).toMatchObject({ field, line: 1 });
});

test('of a table the bad lines are named and the good ones taken; a decimal comma is read between semicolons', () => {
  const [head, line] = cardsCsv('films', [SHIPPED_UNDER.films[0]!]).trim().split('\r\n');
  const text = [
    head!.replaceAll(',', ';'),
    line!.replaceAll(',', ';').replace('0.2;', '0,3;'),
    line!.replaceAll(',', ';').replace('0.2;', '77;'),
  ].join('\n');
  const read = readCards(text, checkWrite);
  expect(read.cards).toMatchObject([{ line: 2, body: { thicknessMm: 0.3 } }]);
  expect(read.problems).toMatchObject([{ line: 3, field: 'thicknessMm' }]);
});

test.each(['', '[]', '{"kind":"rooms","cards":[]}', '{"kind":"films"}', '{', 'name,thickness\n1,2'])(
  'what holds no cards says so: %s',
  (text) => expect(() => readCards(text, checkWrite)).toThrow(CardFileProblem),
);
