import { readOut } from '@maquette/words';
import fc from 'fast-check';
import { checkWrite } from './check.ts';
import { FACT_KINDS, KINDS } from './index.ts';
import { aBody, goodWrite } from './invented.ts';

const wall = { lengthMm: 3000, turnDeg: 90 };
const write = { baseVersion: 0, writeId: 'write-1', deleted: false };

test.each(FACT_KINDS)(
  'whatever the fields of %s take passes, and no field of it may be left out or be nothing at all but those that say so',
  (kind) => {
    fc.assert(
      fc.property(aBody(kind), (body) => {
        expect(checkWrite(kind, { ...body, ...write })).toEqual([]);
        for (const [name, field] of Object.entries(KINDS[kind].fields)) {
          const { [name]: _out, ...without } = body;
          const missed = checkWrite(kind, { ...without, ...write }).map((p) => p.field);
          if (field.mayLack) expect(missed).toEqual([]);
          else expect(missed).toContain(name);
          // Whether an answer may be nothing is for its question to say.
          if (!field.orNull && !field.mayLack && field.spec.type !== 'answer')
            expect(checkWrite(kind, { ...body, [name]: null, ...write }).map((p) => p.field)).toContain(name);
        }
      }),
      { numRuns: 20 },
    );
  },
);

test.each(FACT_KINDS)('%s: an unknown field and a missing one are named', (kind) => {
  const problems = checkWrite(kind, { ...goodWrite(kind), colour: 'blue', writeId: undefined });
  expect(problems.map((p) => p.field)).toEqual(expect.arrayContaining(['colour', 'writeId']));
});

test.each([
  ['readings', 'rodMm', 5000.1, '0 to 5000'],
  ['readings', 'rodMm', -1, '0 to 5000'],
  ['readings', 'rodMm', '1340', '0 to 5000'],
  ['readings', 'rodMm', Number.NaN, '0 to 5000'],
  ['readings', 'rodMm', Number.POSITIVE_INFINITY, '0 to 5000'],
  ['readings', 'takenAt', 'yesterday', 'time'],
  ['readings', 'note', 'x'.repeat(501), '500'],
  ['readings', 'setupId', '../etc', 'id'],
  ['rooms', 'walls', [wall, wall], '3 to 60'],
  ['rooms', 'walls', Array(61).fill(wall), '3 to 60'],
  ['rooms', 'walls', [[], [], []], 'lengthMm'],
  ['rooms', 'units', 'yards', 'metric or imperial'],
  ['rooms', 'spacingMm', 10, '150 to 2000'],
  ['rooms', 'baseKind', 'lawn', 'one of'],
  ['rooms', 'openings', [{}], 'takes an id'],
  ['rooms', 'openings', [[]], 'takes id, kind, wall'],
  ['rooms', 'start', [], 'takes xMm'],
  ['rooms', 'base', [], 'takes slabMm'],
  ['rooms', 'secondBase', 7, 'takes slabMm'],
  ['jobs', 'country', 'gb', 'two capital letters'],
  ['cards', 'layOver', ['lawn'], 'tile'],
  ['layers', 'kind', 'lawn', 'one of'],
  ['layers', 'year', 1969.5, 'whole number, 1700 to 2100'],
  ['layers', 'thicknessMm', 0, '0.2 to 300'],
  ['samples', 'result', 'maybe', 'negative or positive'],
  ['taps', 'sound', 'dull', 'sound or hollow'],
  ['marks', 'sizeMm', 0, '0.1 to 20000'],
  ['marks', 'points', Array(61).fill({ xMm: 1, yMm: 1 }), 'at most 60 corners'],
  ['marks', 'moving', 'yes', 'true or false'],
  ['airReadings', 'rhPercent', 0, '1 to 100'],
  ['airReadings', 'tempC', 61, '-30 to 60'],
  ['airLogs', 'samples', [], '1 to 10000 samples'],
  ['airLogs', 'samples', [{ at: 'noon', tempC: 1, rhPercent: 50 }], 'time'],
  ['dampTests', 'method', 'thumb', 'one of'],
  ['dampTests', 'depthMm', 0, '1 to 500'],
  ['dampReadings', 'value', -1, '0 to 3600'],
  ['dampReadings', 'testId', '', 'id'],
  ['photos', 'about', 'cat', 'one of'],
  ['edgeWalks', 'contactsMm', [], '1 to 2 contacts'],
  ['edgeWalks', 'contactsMm', [0, 'end'], '0 to 5000'],
  ['edgeWalks', 'gaps', [{ atMm: 10, gapMm: 101 }], '0 to 100'],
  ['edgeWalks', 'tool', 'string', 'straightedge or plank'],
  ['scans', 'heightsTenthMm', [0, 1, 2], 'nx × ny whole numbers'],
  ['scans', 'heightsTenthMm', [0, 1, 2, 0.5], 'whole numbers'],
  ['scans', 'heightsTenthMm', [0, 1, 2, 30_001], '-30000 to 30000'],
  ['scans', 'heightsTenthMm', 'flat', 'nx × ny whole numbers'],
  ['scans', 'nx', 2.5, 'whole number, 1 to 4000'],
  ['scans', 'turnDeg', 181, '-180 to 180'],
  ['scans', 'cellMm', 5, '10 to 200'],
  ['works', 'bagsUsed', 2001, '0 to 2000'],
  ['works', 'way', 'shovel', 'one of'],
  ['works', 'tempC', 46, '-10 to 45'],
  ['works', 'predicted', [{ stationKey: 's' }], '-100000 to 100000'],
  ['figures', 'value', -1, '0 to 1000000'],
  ['cards', 'rules', [], '1 to 6'],
  ['cards', 'stepMm', 9, '0.1 to 5'],
  ['jobs', 'name', 7, 'text'],
  ['setups', 'openRodMm', 9999, '0 to 5000'],
  ['jobs', 'baseVersion', 1.5, 'whole number'],
  ['answers', 'question', 'damp/wait', 'one of 24, 72'],
  ['answers', 'question', 'who/knows', 'answers one of'],
  ['layerChoices', 'choice', 'burn', 'one of keep'],
  ['rises', 'riseMm', 401, '-400 to 400'],
] as const)('%s.%s refuses %j and says what is taken', (kind, field, value, words) => {
  const problems = checkWrite(kind, { ...goodWrite(kind), [field]: value });
  expect(problems.length).toBeGreaterThan(0);
  expect(problems[0]!.field.startsWith(kind === 'answers' ? 'answer' : field)).toBe(true);
  expect(readOut(problems.map((p) => p.message)).join(' ')).toContain(words);
});

test('a problem inside a list names its place', () => {
  const problems = checkWrite('rooms', {
    ...goodWrite('rooms'),
    walls: [wall, { lengthMm: 5, turnDeg: 90 }, wall, { ...wall, colour: 1 }],
  });
  expect(problems.map((p) => [p.field, p.message])).toEqual([
    ['walls[1].lengthMm', 'takes 20 to 60000'],
    ['walls[3].colour', 'is not a known field'],
  ]);
});

test.each([null, [], 'text', 4])('%j is no write at all', (body) => {
  expect(checkWrite('jobs', body)).toMatchObject([{ message: 'takes a JSON object' }]);
});

test.each([
  ['lay/date', '2026-02-30', 'takes a day'],
  ['lay/date', '2026-13-01', 'takes a day'],
  ['lay/date', 'soon', 'takes a day'],
  ['lay/date', '', null],
  ['lay/date', '2028-02-29', null],
  ['acclimatise/from', '2026-05-04', 'takes a time'],
  ['acclimatise/from', 'May 4', 'takes a time'],
  ['acclimatise/from', '2026-05-04T09:30:00.000Z', null],
  ['damp/outer-walls', [0, 60], 'takes a whole number, 0 to 59'],
  ['damp/outer-walls', '0,2', 'takes a list'],
  ['damp/outer-walls', [], null],
  ['damp/wait', '72', 'takes one of 24, 72'],
  ['damp/wait', 72, null],
  ['trim/year', null, null],
  ['damp/wait', null, 'takes one of 24, 72'],
  ['moon/phase', 'full', 'answers one of'],
] as const)('%s answered by %j', (question, answer, words) => {
  const problems = checkWrite('answers', { ...write, question, answer, note: '' });
  expect(problems.map(({ field }) => field)).toEqual(words === null ? [] : ['answer']);
  if (words !== null) expect(problems[0]!.message).toContain(words);
});
