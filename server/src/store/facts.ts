import { and, eq, isNull } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import {
  BOOK_FACT_KINDS,
  ROOM_FACT_KINDS,
  type Book,
  type FactKind,
  type FactOf,
  type RoomFactKind,
  type RoomFactsAnswer,
  type WriteOf,
} from '@maquette/contract';
import type { Database, Transaction } from './open.ts';
import * as schema from './schema/index.ts';

const TABLES = {
  jobs: schema.jobs,
  rooms: schema.rooms,
  cards: schema.cards,
  setups: schema.setups,
  stations: schema.stations,
  readings: schema.readings,
  figures: schema.figures,
  layers: schema.layers,
  samples: schema.samples,
  taps: schema.taps,
  answers: schema.answers,
  ticks: schema.ticks,
  marks: schema.marks,
  photos: schema.photos,
  airReadings: schema.airReadings,
  airLogs: schema.airLogs,
  dampTests: schema.dampTests,
  dampReadings: schema.dampReadings,
  checks: schema.checks,
  works: schema.works,
  edgeWalks: schema.edgeWalks,
  scans: schema.scans,
} as const satisfies Record<FactKind, SQLiteTable>;

/** Columns that are the store's own, not the fact's body. */
const OWN = new Set(['id', 'version', 'writeId', 'updatedAt', 'deletedAt', 'roomId']);

export type AnyFact = FactOf<FactKind> & { roomId?: string };

/** Outcome of a write: stored (or found stored already), or the reason it was not. */
export type PutResult<K extends FactKind> =
  | { ok: true; fact: FactOf<K>; created: boolean }
  | { ok: false; reason: 'conflict'; current: FactOf<K> | null }
  | { ok: false; reason: 'no-parent'; parent: string };

/** The body of a stored fact: its columns less the store's own. */
export function bodyOf(fact: object): Record<string, unknown> {
  return Object.fromEntries(Object.entries(fact).filter(([key]) => !OWN.has(key)));
}

async function find(tx: Transaction | Database, kind: FactKind, id: string): Promise<AnyFact | undefined> {
  const table = TABLES[kind] as typeof schema.readings;
  return (await tx.select().from(table).where(eq(table.id, id)).limit(1))[0] as AnyFact | undefined;
}

export function isRoomKind(kind: FactKind): kind is RoomFactKind {
  return (ROOM_FACT_KINDS as readonly FactKind[]).includes(kind);
}

/**
 * Rooms and set-ups known to be stored, by the room they belong to. Nothing is ever destroyed, so what was once seen stays
 * true; the database's own foreign keys stand behind it. Saves two look-ups a reading.
 */
const seen = new WeakMap<object, Map<string, string>>();

async function belongs(
  tx: Transaction,
  known: Map<string, string>,
  kind: FactKind,
  id: string,
  roomId: string,
): Promise<boolean> {
  if (known.get(id) === roomId) return true;
  const fact = await find(tx, kind, id);
  const owner = kind === 'rooms' ? fact?.id : fact?.roomId;
  if (owner !== roomId) return false;
  known.set(id, roomId);
  return true;
}

async function missingParent(
  tx: Transaction,
  known: Map<string, string>,
  kind: FactKind,
  write: Record<string, unknown>,
  roomId: string | null,
): Promise<string | null> {
  if (kind === 'rooms' || kind === 'figures') return (await find(tx, 'jobs', String(write['jobId']))) ? null : 'jobId';
  if (!isRoomKind(kind)) return null;
  if (!roomId || !(await belongs(tx, known, 'rooms', roomId, roomId))) return 'room';
  if (kind === 'readings' && !(await belongs(tx, known, 'setups', String(write['setupId']), roomId))) return 'setupId';
  return null;
}

/**
 * Stores one write. Sent twice (same writeId) it counts once. Made on a version that is no longer the newest it is refused with
 * what is held. What it replaces is kept in `revisions`.
 */
export async function putFact<K extends FactKind>(
  store: object,
  tx: Transaction,
  kind: K,
  id: string,
  roomId: string | null,
  write: WriteOf<K>,
  now: string,
): Promise<PutResult<K>> {
  const { baseVersion, writeId, deleted, ...body } = write as WriteOf<FactKind> & Record<string, unknown>;
  const known = seen.get(store) ?? new Map<string, string>();
  seen.set(store, known);
  const row = {
    ...body,
    id,
    version: baseVersion + 1,
    writeId,
    updatedAt: now,
    deletedAt: deleted ? now : null,
    ...(isRoomKind(kind) ? { roomId } : {}),
  };
  const fact = row as unknown as FactOf<K>;
  const table = TABLES[kind] as typeof schema.readings;
  const parent = await missingParent(tx, known, kind, body, roomId);
  if (parent) return { ok: false, reason: 'no-parent', parent };
  if (baseVersion === 0) {
    // Most writes are new: one statement finds out and stores.
    const { rowsAffected } = await tx
      .insert(table)
      .values(row as never)
      .onConflictDoNothing();
    if (rowsAffected === 1) return { ok: true, fact, created: true };
  }
  const held = await find(tx, kind, id);
  if (held && (held.roomId ?? null) !== roomId) return { ok: false, reason: 'no-parent', parent: 'room' };
  if (held?.writeId === writeId) return { ok: true, fact: held as FactOf<K>, created: false };
  if (!held || held.version !== baseVersion) {
    const before = await tx
      .select()
      .from(schema.revisions)
      .where(and(eq(schema.revisions.factId, id), eq(schema.revisions.writeId, writeId)))
      .limit(1);
    if (held && before.length > 0) return { ok: true, fact: held as FactOf<K>, created: false };
    return { ok: false, reason: 'conflict', current: (held as FactOf<K> | undefined) ?? null };
  }
  await keepRevision(tx, kind, held);
  await tx
    .update(table)
    .set(row as never)
    .where(eq(table.id, id));
  return { ok: true, fact, created: false };
}

async function keepRevision(tx: Transaction, kind: FactKind, held: AnyFact): Promise<void> {
  const { id, version, writeId, updatedAt, deletedAt } = held;
  await tx
    .insert(schema.revisions)
    .values({ kind, factId: id, version, writeId, updatedAt, deletedAt, body: bodyOf(held) });
}

/** Everything of the site book that is not deleted. */
export async function readBook(db: Database): Promise<Book> {
  const lists = await Promise.all(
    BOOK_FACT_KINDS.map((kind) => {
      const table = TABLES[kind] as typeof schema.jobs;
      return db.select().from(table).where(isNull(table.deletedAt));
    }),
  );
  return Object.fromEntries(BOOK_FACT_KINDS.map((kind, i) => [kind, lists[i]])) as unknown as Book;
}

/** The facts of one room that are not deleted, or null when there is no such room. */
export async function readRoomFacts(db: Database, roomId: string): Promise<RoomFactsAnswer | null> {
  if (!(await find(db, 'rooms', roomId))) return null;
  const lists = await Promise.all(
    ROOM_FACT_KINDS.map((kind) => {
      const table = TABLES[kind] as typeof schema.readings;
      return db
        .select()
        .from(table)
        .where(and(eq(table.roomId, roomId), isNull(table.deletedAt)));
    }),
  );
  return Object.fromEntries(ROOM_FACT_KINDS.map((kind, i) => [kind, lists[i]])) as unknown as RoomFactsAnswer;
}

/** What a fact is and what it has been, newest first; null when it was never stored. */
export async function readHistory(
  db: Database,
  kind: FactKind,
  id: string,
): Promise<{ current: AnyFact; replaced: (typeof schema.revisions.$inferSelect)[] } | null> {
  const current = await find(db, kind, id);
  if (!current) return null;
  const rows = await db
    .select()
    .from(schema.revisions)
    .where(and(eq(schema.revisions.kind, kind), eq(schema.revisions.factId, id)));
  return { current, replaced: rows.sort((a, b) => b.version - a.version) };
}

export { TABLES, find };
