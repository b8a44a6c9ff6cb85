import { checkWrite } from './check.ts';
import { JOB_FILE_VERSION, upgradeJobFile } from './index.ts';
import { checkJobFile } from './job-file.ts';

const wall = { lengthMm: 3000, turnDeg: 90 };
const write = { baseVersion: 0, writeId: 'write-1', deleted: false };

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
