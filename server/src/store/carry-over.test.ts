import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient, type Client, type InValue } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { rectangleWalls } from '@maquette/core/room';
import { FACT_KINDS, upgraded, upgradeJobFile } from '@maquette/facts';
import { checkJobFile, type JobFile } from '@maquette/facts/job-file';
import { readRoomFacts } from './facts.ts';
import { writeJobFile } from './job-file.ts';
import { openStore } from './open.ts';
import { revisions, TABLES } from './tables.ts';

const migrations = join(__dirname, '../../migrations');
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-old-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** An empty database as the product made it when it had only its first few migrations. */
async function asOf(steps: number): Promise<Client> {
  const first = join(folder, 'migrations');
  cpSync(migrations, first, { recursive: true });
  const journal = JSON.parse(readFileSync(join(first, 'meta/_journal.json'), 'utf8'));
  writeFileSync(
    join(first, 'meta/_journal.json'),
    JSON.stringify({ ...journal, entries: journal.entries.slice(0, steps) }),
  );
  const client = createClient({ url: `file:${join(folder, 'maquette.sqlite')}` });
  await migrate(drizzle(client), { migrationsFolder: first });
  return client;
}

/** Columns whose names were not their fields' before version 4. */
const CALLED: Record<string, string> = { where: 'where_sides', contactsMm: 'contacts' };
const snake = (name: string) => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const column = (value: unknown): InValue =>
  typeof value === 'object' && value !== null ? JSON.stringify(value) : (value as InValue);

async function insert(client: Client, table: string, row: Record<string, unknown>): Promise<void> {
  const names = Object.keys(row);
  await client.execute({
    sql: `INSERT INTO ${snake(table)} (${names.map((n) => `"${CALLED[n] ?? snake(n)}"`).join()}) VALUES (${names.map(() => '?').join()})`,
    args: Object.values(row).map(column),
  });
}

test('a database of version 3 comes up with everything in it, as its job file of that version does', async () => {
  const file = JSON.parse(readFileSync(join(__dirname, '../../../facts/fixtures/job-of-version-3.json'), 'utf8'));
  const client = await asOf(7);
  for (const { kind, body, replaced, ...own } of file.facts) {
    const { roomId, ...rest } = own;
    await insert(client, kind, { ...body, ...rest, ...(roomId ? { roomId } : {}) });
    for (const old of replaced) await insert(client, 'revisions', { kind, factId: own.id, ...old });
  }
  client.close();
  const store = await openStore(folder, migrations);
  const written = await writeJobFile(store.db, file.facts[0].id, file.writtenAt);
  store.close();
  const lifted = upgradeJobFile(file) as JobFile;
  expect(checkJobFile(lifted)).toEqual([]);
  const sorted = (facts: JobFile['facts']) => [...facts].sort((a, b) => (a.id < b.id ? -1 : 1));
  // Who wrote it was not kept then; its place is the order in which it was put in.
  const since = { made: null, order: expect.any(Number) };
  expect(sorted(written!.facts)).toEqual(
    sorted(lifted.facts).map((fact) => ({
      ...fact,
      ...since,
      first: null,
      replaced: fact.replaced.map((old) => ({ ...old, ...since })),
    })),
  );
  const readings = written!.facts.filter(({ kind }) => kind === 'readings');
  expect(readings.map(({ order }) => order)).toEqual(readings.map((_, index) => index + 1));
  expect(written!.facts.filter(({ kind }) => kind === 'layerChoices')).not.toEqual([]);
  // Opened a second time nothing is carried over again.
  const again = await openStore(folder, migrations);
  expect(await writeJobFile(again.db, file.facts[0].id, file.writtenAt)).toEqual(written);
  again.close();
});

test('answers kept as text come up typed, their history too; one whose question is gone is kept word for word', async () => {
  const client = await asOf(7);
  await client.execute("INSERT INTO jobs VALUES ('j-1', 1, 'w-1', '2026', NULL, 'Old', '', 0, NULL, '', NULL, NULL)");
  await insert(client, 'rooms', {
    ...{ id: 'r-1', version: 1, writeId: 'w', updatedAt: '2026', jobId: 'j-1', name: 'Old', rank: 0 },
    ...{ walls: rectangleWalls(4000, 3000), start: {}, diagonals: [], openings: [], fixtures: [], lines: [] },
    ...{ baseKind: 'slab-on-ground', base: {}, cardId: 'shipped-laminate', units: 'metric', contactsOnly: 0 },
  });
  const own = { version: 2, writeId: 'w-2', updatedAt: '2026', roomId: 'r-1', note: 'n' };
  const old: [string, string, string][] = [
    ['wait', 'damp/wait', '72'],
    ['walls', 'damp/outer-walls', '0,2'],
    ['none', 'damp/outer-walls', ''],
    ['rise', 'levelling/rise/door-1', '3.5'],
    ['trim', 'trim/W1-a', 'discard'],
    ['moon', 'moon/phase', 'full'],
  ];
  for (const [id, topic, value] of old) await insert(client, 'answers', { id, topic, value, ...own });
  const before = { topic: 'levelling/rise/door-1', value: '', note: '' };
  await insert(client, 'revisions', {
    ...{ kind: 'answers', factId: 'rise', version: 1, writeId: 'w-1', updatedAt: '2026', body: before },
  });
  client.close();
  const store = await openStore(folder, migrations);
  const facts = await readRoomFacts(store.db, 'r-1');
  const kept = await store.db.select().from(revisions);
  store.close();
  expect(facts!.answers.map(({ id, question, answer }) => [id, question, answer])).toEqual([
    ['wait', 'damp/wait', 72],
    ['walls', 'damp/outer-walls', [0, 2]],
    ['none', 'damp/outer-walls', []],
    ['moon', 'no-longer-asked', 'moon/phase: full'],
  ]);
  expect(facts!.rises).toMatchObject([{ placeId: 'door-1', riseMm: 3.5, version: 2, note: 'n' }]);
  expect(facts!.trimFates).toMatchObject([{ piece: 'W1-a', fate: 'discard' }]);
  expect(kept).toMatchObject([{ kind: 'rises', body: { placeId: 'door-1', riseMm: null } }]);
});

test('a database of the first version comes up with its door as an opening, its history too', async () => {
  const client = await asOf(1);
  const door = { wall: 0, fromMm: 100, widthMm: 800, hinge: 'start', swing: 'in' };
  const walls = JSON.stringify(rectangleWalls(4000, 3000));
  const body = {
    jobId: 'j-1',
    name: 'Old',
    rank: 0,
    walls: rectangleWalls(4000, 3000),
    door,
    baseKind: 'slab-on-ground',
    cardId: 'shipped-laminate',
    units: 'metric',
    spacingMm: null,
    contactsOnly: false,
  };
  await client.execute("INSERT INTO jobs VALUES ('j-1', 1, 'w-1', '2026', NULL, 'Old', '', 0)");
  for (const [id, held] of [
    ['r-1', JSON.stringify(door)],
    ['r-2', null],
  ])
    await client.execute({
      sql: `INSERT INTO rooms (id, version, write_id, updated_at, job_id, name, rank, walls, door, base_kind, card_id, units, contacts_only)
            VALUES (?, 2, 'w-2', '2026', 'j-1', 'Old', 0, ?, ?, 'slab-on-ground', 'shipped-laminate', 'metric', 0)`,
      args: [id!, walls, held ?? null],
    });
  await client.execute({
    sql: "INSERT INTO revisions VALUES ('rooms', 'r-1', 1, 'w-1', '2026', NULL, ?)",
    args: [JSON.stringify(body)],
  });
  client.close();
  const store = await openStore(folder, migrations);
  const rows = await store.db.select().from(TABLES.rooms);
  const [revision] = await store.db.select().from(revisions);
  expect(await readRoomFacts(store.db, 'r-1')).toMatchObject({ layers: [], photos: [] });
  store.close();
  const today = upgraded('rooms', { ...body }).body;
  const openings = (id: string) => (rows.find((r) => r.id === id) as Record<string, unknown> | undefined)?.['openings'];
  expect(openings('r-1')).toEqual(today['openings']);
  expect(openings('r-2')).toEqual([]);
  expect(revision!.body).toEqual(today);
});

test('every kind has a table whose columns are its fields', async () => {
  const store = await openStore(folder, migrations);
  for (const kind of FACT_KINDS) expect(await store.db.select().from(TABLES[kind])).toEqual([]);
  store.close();
});
