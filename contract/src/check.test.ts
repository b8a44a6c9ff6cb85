import { BLANK_SHAPE, newOpening } from '@maquette/core/room';
import { checkJobFile, checkWrite, FACT_KINDS, JOB_FILE_VERSION, upgradeJobFile, type FactKind } from './index.ts';

const write = { baseVersion: 0, writeId: 'write-1', deleted: false };
const wall = { lengthMm: 3000, turnDeg: 90 };
const GOOD: Record<FactKind, Record<string, unknown>> = {
  jobs: {
    ...write,
    name: 'Sluice House',
    about: '',
    rank: 0,
    country: 'GB',
    currency: '',
    asbestosFrom: null,
    leadFrom: null,
  },
  rooms: {
    ...write,
    jobId: 'job-1',
    name: 'Parlour',
    rank: 0,
    walls: [wall, wall, wall, wall],
    ...BLANK_SHAPE,
    openings: [newOpening('door-1', 0, 100, 800)],
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
    layOver: ['tile'],
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
  figures: { ...write, jobId: 'job-1', name: 'carry-kg', value: 20, source: 'ours' },
  layers: {
    ...write,
    kind: 'carpet',
    rank: 0,
    thicknessMm: 12,
    fixing: 'tacked',
    year: null,
    yearOf: 'unknown',
    condition: 'sound',
    where: [{ lineId: 'line-1', side: 'left' }],
    seams: [],
    groutMm: null,
    groutDepthMm: null,
    lippageMm: null,
    foundAt: 'survey',
    note: '',
  },
  samples: {
    ...write,
    layerId: 'layer-1',
    part: 'adhesive',
    where: [],
    sampleNo: '7',
    laboratory: 'invented',
    resultOn: '2026-05-04',
    result: 'negative',
    note: '',
  },
  taps: { ...write, layerId: 'layer-1', xMm: 1, yMm: 2, sound: 'hollow' },
  answers: { ...write, topic: 'school/tile', value: 'lift', note: '' },
  ticks: { ...write, key: 'layer/layer-1', doneAt: '2026-05-04T08:00:09.000Z', note: '' },
  marks: {
    ...write,
    kind: 'rot',
    xMm: 1,
    yMm: 2,
    shape: 'line',
    points: [
      { xMm: 1, yMm: 2 },
      { xMm: 9, yMm: 2 },
    ],
    sizeMm: null,
    depthMm: null,
    stepMm: 1.5,
    moveMm: null,
    severity: 'clear',
    moving: false,
    note: '',
  },
  airReadings: {
    ...write,
    takenAt: '2026-05-04T08:00:09.000Z',
    tempC: 18,
    rhPercent: 55,
    surfaceC: null,
    instrument: '',
    who: '',
    note: '',
  },
  airLogs: {
    ...write,
    name: 'Logger',
    instrument: '',
    samples: [{ at: '2026-05-04T08:00:00.000Z', tempC: 18, rhPercent: 55 }],
    note: '',
  },
  dampTests: {
    ...write,
    method: 'probe',
    name: 'P1',
    xMm: 900,
    yMm: 600,
    startedAt: '2026-05-04T08:00:00.000Z',
    depthMm: 48,
    startG: null,
    areaM2: null,
    of: 'base',
    offsetPercent: 0,
    compensates: false,
    instrument: '',
    checkedOn: '',
    note: '',
  },
  dampReadings: {
    ...write,
    testId: 'test-1',
    takenAt: '2026-05-05T08:00:00.000Z',
    value: 84.3,
    sampleG: null,
    tempC: 18,
    who: '',
    note: '',
  },
  checks: { ...write, key: 'tap/1', found: false, takenAt: '2026-05-05T08:00:00.000Z', note: '' },
  photos: {
    ...write,
    about: 'layer',
    aboutId: 'layer-1',
    xMm: null,
    yMm: null,
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
  ['rooms', 'openings', [{}], 'takes an id'],
  ['rooms', 'openings', [[]], 'takes openings'],
  ['rooms', 'start', [], 'takes xMm'],
  ['rooms', 'base', [], 'details of a base'],
  ['rooms', 'secondBase', 7, 'base or null'],
  ['jobs', 'country', 'gb', 'two capital letters'],
  ['cards', 'layOver', ['lawn'], 'tile'],
  ['layers', 'kind', 'lawn', 'one of'],
  ['layers', 'year', 1969.5, 'whole year'],
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
  ['figures', 'value', -1, '0 to 1000000'],
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
  body: { name: 'a', about: '', rank: 0, country: null, currency: '', asbestosFrom: null, leadFrom: null },
  replaced: [],
};
const file = {
  format: 'maquette-job',
  version: JOB_FILE_VERSION,
  writtenAt: '2026-05-04T08:00:00.000Z',
  facts: [fact],
};

test('a job file passes, and its facts are held to the same rules', () => {
  expect(checkJobFile(file)).toEqual([]);
  expect(checkJobFile({ ...file, facts: [{ ...fact, body: { ...fact.body, name: 3 } }] })).toMatchObject([
    { field: 'facts[0].body.name' },
  ]);
  expect(checkJobFile({ ...file, facts: [{ ...fact, kind: 'spells' }] })).toMatchObject([{ field: 'facts[0].kind' }]);
  expect(checkJobFile({ ...file, format: 'other' })).toMatchObject([{ field: 'format' }]);
  expect(checkJobFile({ ...file, facts: [[]] }).length).toBeGreaterThan(0);
  expect(checkJobFile([]).length).toBeGreaterThan(0);
});

test('a job file of version 1 comes up to version 2: its door is an opening, its job has no country yet', () => {
  const old = {
    ...file,
    version: 1,
    facts: [
      { ...fact, body: { name: 'a', about: '', rank: 0 } },
      {
        ...fact,
        kind: 'rooms',
        id: 'room-1',
        body: {
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
      },
    ],
  };
  expect(checkJobFile(old).length).toBeGreaterThan(0);
  const lifted = upgradeJobFile(old) as typeof old;
  expect(checkJobFile(lifted)).toEqual([]);
  expect(lifted.facts[1]!.body).toMatchObject({ openings: [{ kind: 'door', widthMm: 800 }], fixtures: [] });
  expect(upgradeJobFile(lifted)).toBe(lifted);
});

test('a job file of version 2 comes in: its marks become points', () => {
  const old = { kind: 'rot', xMm: 1, yMm: 2, sizeMm: null, note: '' };
  const filed = {
    kind: 'marks',
    id: 'mark-1',
    roomId: 'room-1',
    version: 2,
    writeId: 'w',
    updatedAt: '2026-05-04T08:00:00.000Z',
    deletedAt: null,
    body: old,
    replaced: [{ version: 1, writeId: 'v', updatedAt: '2026-05-04T08:00:00.000Z', deletedAt: null, body: old }],
  };
  const lifted = upgradeJobFile({ ...file, version: 2, facts: [filed] }) as {
    version: number;
    facts: { body: object; replaced: { body: object }[] }[];
  };
  expect(lifted.version).toBe(JOB_FILE_VERSION);
  for (const body of [lifted.facts[0]!.body, lifted.facts[0]!.replaced[0]!.body])
    expect(checkWrite('marks', { ...write, ...body })).toEqual([]);
});
