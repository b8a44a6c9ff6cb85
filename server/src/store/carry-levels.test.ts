import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BLANK_SHAPE, newOpening, rectangleWalls } from '@maquette/core/room';
import { BLANK_JOB } from '@maquette/core/job';
import { carryLevels } from './carry-levels.ts';
import { putFact, readRoomFacts } from './facts.ts';
import { openStore } from './open.ts';

const migrations = join(__dirname, '../../migrations');
const AT = '2026-05-04T08:00:00.000Z';

test('levels kept with openings are carried over once, and stay away once they were removed', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-levels-'));
  let store = await openStore(folder, migrations);
  const put = (
    kind: Parameters<typeof putFact>[2],
    id: string,
    roomId: string | null,
    body: object,
    baseVersion = 0,
    deleted = false,
  ) =>
    store.write((tx) =>
      putFact(store, tx, kind, id, roomId, { ...body, baseVersion, writeId: `w-${id}-${baseVersion}`, deleted }, AT),
    );
  await put('jobs', 'j-1', null, { ...BLANK_JOB, name: 'Old', rank: 0 });
  await put('rooms', 'r-1', null, {
    jobId: 'j-1',
    name: 'Old',
    rank: 0,
    ...BLANK_SHAPE,
    walls: rectangleWalls(4000, 3000),
    openings: [{ ...newOpening('door-a', 0, 100, 800), beyondLevelMm: 4 }],
    baseKind: 'slab-on-ground',
    cardId: 'shipped-laminate',
    units: 'metric',
    spacingMm: null,
    contactsOnly: false,
  });
  expect((await readRoomFacts(store.db, 'r-1'))!.levels).toEqual([]);
  store.close();
  // Opened by the version that keeps levels by themselves.
  store = await openStore(folder, migrations);
  const [level, ...others] = (await readRoomFacts(store.db, 'r-1'))!.levels;
  expect(others).toEqual([]);
  expect(level).toMatchObject({ aboutId: 'door-a', overMm: 4, lyingMm: 0, version: 1 });
  await carryLevels(store.db);
  expect((await readRoomFacts(store.db, 'r-1'))!.levels).toHaveLength(1);
  const { of, aboutId, alongMm, readBy, setupId, rodMm, overMm, lyingMm, datumMm, takenAt, note } = level!;
  const body = { of, aboutId, alongMm, readBy, setupId, rodMm, overMm, lyingMm, datumMm, takenAt, note };
  await put('levels', level!.id, 'r-1', body, 1, true);
  await carryLevels(store.db);
  expect((await readRoomFacts(store.db, 'r-1'))!.levels).toEqual([]);
  store.close();
  rmSync(folder, { recursive: true, force: true });
});
