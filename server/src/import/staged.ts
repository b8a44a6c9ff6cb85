import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient, type Client, type InValue } from '@libsql/client';
import { getTableName } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { FACT_KINDS, isRoomKind, type FactKind } from '@maquette/facts';
import type { FiledFact } from '@maquette/facts/job-file';
import type { AnyFact } from '../store/facts.ts';
import { databaseIn } from '../store/check-folder.ts';
import { revisions, TABLES } from '../store/tables.ts';
import { tell, type Gauge } from './progress.ts';

/** The database an import is put together in, in its own folder: nothing of the store is locked meanwhile. */
const STAGED = 'staged.sqlite';
/** Rows put in with one statement. */
const TOGETHER = 200;

/** Opens an import's own database with the store's beside it, as `held`. */
export async function openStaged(importFolder: string, dataFolder: string): Promise<Client> {
  const client = createClient({ url: pathToFileURL(join(importFolder, STAGED)).href });
  await client.execute('PRAGMA foreign_keys = OFF');
  await client.execute({ sql: 'ATTACH ? AS held', args: [databaseIn(dataFolder)] });
  return client;
}

export const rowsOf = async (client: Client, statement: string, args: InValue[] = []) =>
  (await client.execute({ sql: statement, args })).rows;

/** What stands between an import and its being stored: facts that are here in another state. */
export interface Clash {
  kind: FactKind;
  id: string;
}

/** Facts of rooms that are not in the store: nobody can see them there before their rooms come. */
const UNSEEN = 'unseen';
export const IS_UNSEEN = 'room_id NOT IN (SELECT id FROM held.rooms)';

/** Every table an import may put rows into, in the order in which they can be. */
const LISTS = FACT_KINDS.map((kind) => ({ kind, name: getTableName(TABLES[kind]) }));

/** Puts the facts of a job file into tables like the store's own. @throws Stopped */
export async function stage(client: Client, facts: readonly FiledFact[], gauge: Gauge): Promise<void> {
  // It is only ever needed once it has been synced: see `noteUnseen`.
  await client.execute('PRAGMA main.synchronous = OFF');
  const made = await rowsOf(
    client,
    "SELECT name, sql FROM held.sqlite_master WHERE type = 'table' AND sql IS NOT NULL",
  );
  const wanted = new Set([...LISTS.map(({ name }) => name), getTableName(revisions)]);
  for (const row of made) if (wanted.has(String(row['name']))) await client.execute(String(row['sql']));
  const db = drizzle(client);
  const rows = new Map<FactKind, AnyFact[]>();
  const old: (typeof revisions.$inferInsert)[] = [];
  let done = 0;
  const put = async (kind: FactKind) => {
    const waiting = rows.get(kind) ?? [];
    rows.set(kind, []);
    if (waiting.length > 0) await db.insert(TABLES[kind]).values(waiting);
    await new Promise(setImmediate);
  };
  const putOld = async () => {
    const waiting = old.splice(0);
    if (waiting.length > 0) await db.insert(revisions).values(waiting);
  };
  for (const [index, fact] of facts.entries()) {
    const { kind, body, replaced, roomId, ...own } = fact;
    const list = rows.get(kind) ?? [];
    rows.set(kind, list);
    // What an earlier version wrote does not say its place: it stands in the file in the order it was put in.
    const place = { order: own.order ?? index + 1, made: own.made ?? null, first: own.first ?? null };
    list.push({ ...(body as AnyFact), ...own, ...place, ...(isRoomKind(kind) ? { roomId: roomId! } : {}) });
    for (const { order = 0, made = null, ...revision } of replaced)
      old.push({ kind, factId: fact.id, ...revision, order, made });
    if (list.length >= TOGETHER) await put(kind);
    if (old.length >= TOGETHER) await putOld();
    if (++done % TOGETHER === 0) tell(gauge, 'storing', done, facts.length * 2);
  }
  for (const { kind } of LISTS) await put(kind);
  await putOld();
}

/**
 * Holds what was staged against the store: what is here in the very same state is left out, what is here in another is named.
 * The same fact is the same write of the same version in the same room and job: nothing of another is touched.
 */
export async function compare(client: Client): Promise<{ clashes: Clash[]; unchanged: number }> {
  const clashes: Clash[] = [];
  let unchanged = 0;
  for (const { kind, name } of LISTS) {
    const same = [
      'f.write_id IS h.write_id',
      'f.version = h.version',
      ...(isRoomKind(kind) ? ['f.room_id IS h.room_id'] : []),
      ...('jobId' in TABLES[kind] ? ['f.job_id IS h.job_id'] : []),
    ].join(' AND ');
    const both = `FROM main."${name}" f JOIN held."${name}" h ON h.id = f.id`;
    const differ = await rowsOf(client, `SELECT f.id ${both} WHERE NOT (${same})`);
    clashes.push(...differ.map((row) => ({ kind, id: String(row['id']) })));
    const alike = `SELECT f.id ${both} WHERE ${same}`;
    await client.execute({
      sql: `DELETE FROM main.revisions WHERE kind = ? AND fact_id IN (${alike})`,
      args: [kind],
    });
    unchanged += (await client.execute(`DELETE FROM main."${name}" WHERE id IN (${alike})`)).rowsAffected;
  }
  return { clashes, unchanged };
}

/** Notes which of what was staged lies in rooms that are not here yet, and has all of it on disk. */
export async function noteUnseen(client: Client): Promise<void> {
  await client.execute('PRAGMA main.synchronous = FULL');
  await client.execute(`CREATE TABLE main.${UNSEEN} (kind TEXT, id TEXT, room_id TEXT, PRIMARY KEY (kind, id))`);
  for (const { kind, name } of LISTS.filter((list) => isRoomKind(list.kind)))
    await client.execute(
      `INSERT INTO main.${UNSEEN} SELECT '${kind}', id, room_id FROM main."${name}" WHERE ${IS_UNSEEN}`,
    );
}

/** Which replaced versions are of such facts, while their rooms are not here. */
export const REVISION_IS_UNSEEN = `(kind, fact_id) IN (SELECT kind, id FROM main.${UNSEEN} WHERE ${IS_UNSEEN})`;
