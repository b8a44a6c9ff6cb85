import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'esbuild';
import { sql } from 'drizzle-orm';
import { upgradeJobFile } from '@maquette/facts';
import type { JobFile } from '@maquette/facts/job-file';
import { writeJobFile } from '../store/job-file.ts';
import { openStore } from '../store/open.ts';
import type { Store } from '../store/store.ts';
import { bringIn } from './invented-import.ts';
import { importFolderIn } from './land.ts';
import { inThread } from './pool.ts';
import { askToStop, newGauge } from './progress.ts';
import { SENT } from './read-file.ts';
import * as here from './tasks.ts';

let folder: string;
let store: Store;
const migrations = join(__dirname, '../../migrations');
const text = readFileSync(join(__dirname, '../../../facts/fixtures/job-of-version-3.json'), 'utf8');
const JOB = 'demo-sluice-house';

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  store = await openStore(folder, migrations);
});
afterEach(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

const rows = async (table: string) =>
  Number((await store.db.all<{ n: number }>(sql`SELECT count(*) AS n FROM ${sql.identifier(table)}`))[0]!.n);
const imports = () => readdirSync(folder).filter((name) => name.startsWith('.import-'));

/** The steps with one of them failing, after it has gone well so often. */
function failing(step: 'land' | 'landLast', after = 0): typeof here {
  let count = 0;
  const unless = async <T>(work: () => Promise<T>) => {
    if (count++ >= after) throw new Error('the disk is full');
    return work();
  };
  return step === 'land'
    ? { ...here, land: (args) => unless(() => here.land(args)) }
    : { ...here, landLast: (args) => unless(() => here.landLast(args)) };
}

test('a file comes in whole, in the order it was written, and writes after it count on', async () => {
  expect(await bringIn(store, text)).toMatchObject({ is: 'stored', jobId: JOB, unchanged: 0 });
  const file = (await writeJobFile(store.db, JOB, '2026-05-04T08:00:00.000Z'))!;
  const sent = upgradeJobFile(JSON.parse(text)) as JobFile;
  expect(file.facts.map(({ kind, id, body }) => [kind, id, body]).sort()).toEqual(
    sent.facts.map(({ kind, id, body }) => [kind, id, body]).sort(),
  );
  const orders = file.facts.map(({ order }) => order!);
  expect(new Set(orders).size).toBe(orders.length);
  expect(store.nextOrder()).toBeGreaterThan(Math.max(...orders));
});

test.each([
  ['in the middle of its rows', 'land', 3],
  ['at its last step', 'landLast', 0],
] as const)('an import that fails %s leaves nothing', async (_when, step, after) => {
  await expect(bringIn(store, text, { tasks: failing(step, after) })).rejects.toThrow('the disk is full');
  for (const table of ['jobs', 'rooms', 'readings', 'setups', 'revisions'])
    expect([table, await rows(table)]).toEqual([table, 0]);
  expect(imports()).toEqual([]);
  expect(await bringIn(store, text)).toMatchObject({ is: 'stored' });
});

test('one that a crash cuts off is taken out at the next start; one that had come to its end stays', async () => {
  const cutOff = async (tasks: Partial<typeof here>) => {
    await bringIn(store, text, {
      tasks: { ...here, leftBy: async () => [], clear: async () => undefined, ...tasks },
    }).catch(() => undefined);
    expect(imports()).toHaveLength(1);
    store.close();
    store = await openStore(folder, migrations);
    expect(imports()).toEqual([]);
  };
  await cutOff({ landLast: failing('landLast').landLast });
  expect([await rows('readings'), await rows('jobs')]).toEqual([0, 0]);
  await cutOff({});
  expect(await writeJobFile(store.db, JOB, '2026-05-04T08:00:00.000Z')).not.toBeNull();
  expect(await rows('readings')).toBeGreaterThan(50);
});

test('where its rows cannot be taken out at once, what tells of them stays until they are, at the next start', async () => {
  const stuck = {
    ...failing('landLast'),
    takeBack: async () => {
      throw new Error('the disk is full');
    },
  };
  await expect(bringIn(store, text, { tasks: stuck })).rejects.toThrow('the disk is full');
  expect(imports()).toHaveLength(1);
  expect(await rows('readings')).toBeGreaterThan(0);
  store.close();
  store = await openStore(folder, migrations);
  expect([imports(), await rows('readings'), await rows('revisions')]).toEqual([[], 0, 0]);
});

test('one that is stopped leaves nothing, and nobody sees any of it before its end', async () => {
  const gauge = newGauge();
  const seen: number[] = [];
  const stopped = await bringIn(store, text, {
    gauge,
    tasks: {
      ...here,
      land: async (args) => {
        await here.land(args);
        seen.push((await store.db.all(sql`SELECT id FROM rooms`)).length);
        if (seen.length === 4) askToStop(gauge);
      },
    },
  });
  expect(stopped).toEqual({ is: 'stopped' });
  expect(seen).toEqual([0, 0, 0, 0]);
  expect([await rows('readings'), await rows('revisions')]).toEqual([0, 0]);
});

test('new facts of a room that is here come in beside those it has, at once with all others', async () => {
  const file = JSON.parse(text) as { facts: { kind: string; id: string }[] };
  const cut = file.facts.filter(({ kind }) => kind !== 'readings');
  await bringIn(store, JSON.stringify({ ...file, facts: cut }));
  const before = await rows('readings');
  const result = await bringIn(store, text, { tasks: failing('landLast') }).catch(() => 'failed');
  expect([result, await rows('readings')]).toEqual(['failed', before]);
  expect(await bringIn(store, text)).toMatchObject({ is: 'stored', stored: file.facts.length - cut.length });
  expect(await rows('readings')).toBe(file.facts.length - cut.length);
});

test('in a thread of its own it does the same', async () => {
  // Beside the packages it needs, as the built server is.
  const outfile = join(__dirname, '../../../node_modules/.cache/maquette-test/import-tasks.mjs');
  await build({
    entryPoints: [join(__dirname, 'tasks.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['@libsql/*', 'libsql', 'sharp'],
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
    },
    logLevel: 'error',
  });
  expect(await bringIn(store, text, { tasks: inThread(outfile) })).toMatchObject({ is: 'stored', jobId: JOB });
  const broken = importFolderIn(folder, 'broken');
  mkdirSync(broken);
  writeFileSync(join(broken, SENT), '{');
  expect(
    await inThread(outfile).stageJob({ importFolder: broken, dataFolder: folder, copy: false, gauge: newGauge() }),
  ).toEqual({
    is: 'not JSON',
    line: 1,
  });
});
