import { checkJobFile, checkWrite, FACT_KINDS, type FactKind } from './index.ts';

const write = { baseVersion: 0, writeId: 'write-1', deleted: false };
const wall = { lengthMm: 3000, turnDeg: 90 };
const GOOD: Record<FactKind, Record<string, unknown>> = {
  jobs: { ...write, name: 'Sluice House', about: '', rank: 0 },
  rooms: {
    ...write,
    jobId: 'job-1',
    name: 'Parlour',
    rank: 0,
    walls: [wall, wall, wall, wall],
    door: { wall: 0, fromMm: 100, widthMm: 800, hinge: 'start', swing: 'in' },
    baseKind: 'slab-on-ground',
    cardId: 'shipped-laminate',
    units: 'metric',
    spacingMm: null,
    contactsOnly: false,
  },
  cards: {
    ...write,
    name: 'Mine',
    kind: 'laminate',
    thicknessMm: 8,
    attachedPad: false,
    rules: [{ gapMm: 2, edgeMm: 2000 }],
    stepMm: null,
    cementLimitRh: 75,
    timberLimitMc: 12,
    airMinC: 15,
    airMaxC: 30,
    airMinRh: 35,
    airMaxRh: 65,
    acclimatiseH: 48,
    perimeterGapMm: 10,
    lastRowMm: 50,
    endPieceMm: 300,
    staggerMm: 300,
    longestRunM: null,
    source: 'sheet',
  },
  setups: { ...write, name: 'A', openRodMm: 1330.5, closeRodMm: null, startedAt: '2026-05-04T08:00:00.000Z' },
  stations: { ...write, replacesKey: null, xMm: 100, yMm: 100, dropped: false },
  readings: {
    ...write,
    setupId: 'setup-1',
    stationKey: 'p100:100',
    xMm: 100,
    yMm: 100,
    rodMm: 1340,
    takenAt: '2026-05-04T08:00:09.000Z',
    note: '',
  },
};

test.each(FACT_KINDS)('a sound write of %s passes', (kind) => {
  expect(checkWrite(kind, GOOD[kind])).toEqual([]);
});

test.each(FACT_KINDS)('%s: an unknown field and a missing one are named', (kind) => {
  const problems = checkWrite(kind, { ...GOOD[kind], colour: 'blue', writeId: undefined });
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
  ['rooms', 'door', [], 'door or null'],
  ['cards', 'rules', [], '1 to 6'],
  ['cards', 'stepMm', 9, '0.1 to 5'],
  ['jobs', 'name', 7, 'text'],
  ['setups', 'openRodMm', 9999, '0 to 5000'],
  ['jobs', 'baseVersion', 1.5, 'whole number'],
] as const)('%s.%s refuses %j and says what is taken', (kind, field, value, words) => {
  const problems = checkWrite(kind, { ...GOOD[kind], [field]: value });
  expect(problems.length).toBeGreaterThan(0);
  expect(problems[0]!.field.startsWith(field)).toBe(true);
  expect(problems.map((p) => p.message).join(' ')).toContain(words);
});

test('a problem inside a list names its place', () => {
  const problems = checkWrite('rooms', {
    ...GOOD.rooms,
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

const fact = {
  kind: 'jobs',
  id: 'job-1',
  roomId: null,
  version: 1,
  writeId: 'w-1',
  updatedAt: '2026-05-04T08:00:00.000Z',
  deletedAt: null,
  body: { name: 'a', about: '', rank: 0 },
  replaced: [],
};
const file = { format: 'maquette-job', version: 1, writtenAt: '2026-05-04T08:00:00.000Z', facts: [fact] };

test('a job file passes, and its facts are held to the same rules', () => {
  expect(checkJobFile(file)).toEqual([]);
  expect(checkJobFile({ ...file, facts: [{ ...fact, body: { name: 3, about: '', rank: 0 } }] })).toMatchObject([
    { field: 'facts[0].body.name' },
  ]);
  expect(checkJobFile({ ...file, facts: [{ ...fact, kind: 'spells' }] })).toMatchObject([{ field: 'facts[0].kind' }]);
  expect(checkJobFile({ ...file, format: 'other' })).toMatchObject([{ field: 'format' }]);
  expect(checkJobFile({ ...file, facts: [[]] }).length).toBeGreaterThan(0);
  expect(checkJobFile([]).length).toBeGreaterThan(0);
});
