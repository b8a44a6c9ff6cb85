import { and, eq, isNotNull, isNull } from 'drizzle-orm';
import {
  bodyOf,
  BOOK_FACT_KINDS,
  isRoomKind,
  KINDS,
  listsOf,
  parentsOf,
  ROOM_FACT_KINDS,
  type Book,
  type FactKind,
  type FactLists,
  firstPlaceOf,
  type FactOf,
  type Made,
  type RoomLists,
  type Write,
} from '@maquette/facts';
import type { FactTable } from './columns.ts';
import type { Database, Transaction } from './database.ts';
import type { Store } from './store.ts';
import { revisions, TABLES } from './tables.ts';

/** A fact of whichever kind as it lies in its table. */
export type AnyFact = FactTable['$inferSelect'] & Record<string, unknown>;
/** What a write puts in: the columns every table has, and those of its kind. */
type Row = FactTable['$inferInsert'];

/** Outcome of a write: stored (or found stored already), or the reason it was not. */
type PutResult =
  | { ok: true; fact: AnyFact; created: boolean }
  | { ok: false; reason: 'conflict'; current: AnyFact | null }
  | { ok: false; reason: 'no-parent'; parent: string }
  | { ok: false; reason: 'removed'; removed: Removed };

/** A job or room that was removed. */
export interface Removed {
  kind: 'jobs' | 'rooms';
  fact: AnyFact;
}

export async function find(tx: Transaction | Database, kind: FactKind, id: string): Promise<AnyFact | undefined> {
  const table = TABLES[kind];
  return (await tx.select().from(table).where(eq(table.id, id)).limit(1))[0];
}

/** Whether a fact is stored; of a room's facts, whether it is of that very room. Saves two look-ups a reading. */
async function isStored(
  tx: Transaction,
  seen: Map<string, string>,
  kind: FactKind,
  id: string,
  roomId: string | null,
): Promise<boolean> {
  const known = `${kind}/${id}`;
  if (seen.get(known) === (roomId ?? '')) return true;
  const fact = await find(tx, kind, id);
  if (!fact || (isRoomKind(kind) && fact.roomId !== roomId)) return false;
  seen.set(known, roomId ?? '');
  return true;
}

/** The first parent a write names that is not stored: what its kind declares as such, and its room. */
async function missingParent(
  tx: Transaction,
  seen: Map<string, string>,
  kind: FactKind,
  body: object,
  roomId: string | null,
): Promise<string | null> {
  if (isRoomKind(kind) && !(roomId && (await isStored(tx, seen, 'rooms', roomId, null)))) return 'room';
  for (const { field, of } of parentsOf(KINDS[kind])) {
    const id = String((body as Record<string, unknown>)[field]);
    if (!(await isStored(tx, seen, of as FactKind, id, isRoomKind(of as FactKind) ? roomId : null))) return field;
  }
  return null;
}

/** The room a write lies in, or the job that or it belongs to, where that has been removed. */
async function removedAround(
  tx: Transaction,
  kind: FactKind,
  body: object,
  roomId: string | null,
): Promise<Removed | null> {
  const room = isRoomKind(kind) ? await find(tx, 'rooms', roomId!) : undefined;
  if (room?.deletedAt) return { kind: 'rooms', fact: room };
  const jobId = (room ?? (body as Record<string, unknown>))['jobId'];
  const job = typeof jobId === 'string' ? await find(tx, 'jobs', jobId) : undefined;
  return job?.deletedAt ? { kind: 'jobs', fact: job } : null;
}

/**
 * Stores one write. Sent twice (same writeId) it counts once. Made on a version that is no longer the newest it is refused with
 * what is held; made in a room or job that was removed meanwhile, with what was removed: nobody would see it there. What it
 * replaces is kept in `revisions`.
 */
export async function putFact(
  { seen, nextOrder }: Pick<Store, 'seen' | 'nextOrder'>,
  tx: Transaction,
  kind: FactKind,
  id: string,
  roomId: string | null,
  {
    baseVersion,
    writeId,
    deleted,
    made = null,
    ...body
  }: Omit<Write, 'made'> & { made?: Made | null } & Record<string, unknown>,
  now: string,
): Promise<PutResult> {
  const fact: AnyFact = {
    ...(body as AnyFact),
    id,
    version: baseVersion + 1,
    writeId,
    updatedAt: now,
    deletedAt: deleted ? now : null,
    order: nextOrder(),
    made,
    first: null,
    ...(isRoomKind(kind) && roomId ? { roomId } : {}),
  };
  const table = TABLES[kind];
  const parent = await missingParent(tx, seen, kind, body, roomId);
  if (parent) return { ok: false, reason: 'no-parent', parent };
  const removed = deleted ? null : await removedAround(tx, kind, body, roomId);
  if (removed && !(await isOf(tx, kind, id, writeId))) return { ok: false, reason: 'removed', removed };
  if (baseVersion === 0) {
    // Most writes are new: one statement finds out and stores.
    const { rowsAffected } = await tx
      .insert(table)
      .values(fact as Row)
      .onConflictDoNothing();
    if (rowsAffected === 1) return { ok: true, fact, created: true };
  }
  const held = await find(tx, kind, id);
  if (held && (held.roomId ?? null) !== roomId) return { ok: false, reason: 'no-parent', parent: 'room' };
  if (held?.writeId === writeId) return { ok: true, fact: held, created: false };
  if (!held || held.version !== baseVersion) {
    if (held && (await isOf(tx, kind, id, writeId))) return { ok: true, fact: held, created: false };
    return { ok: false, reason: 'conflict', current: held ?? null };
  }
  await keepRevision(tx, kind, held);
  const changed = { ...fact, first: firstPlaceOf(held) };
  await tx.update(table).set(changed).where(eq(table.id, id));
  return { ok: true, fact: changed, created: false };
}

/** Whether a write is stored already, as the fact it made or as a version that was replaced since. */
async function isOf(tx: Transaction, kind: FactKind, id: string, writeId: string): Promise<boolean> {
  if ((await find(tx, kind, id))?.writeId === writeId) return true;
  const before = await tx
    .select()
    .from(revisions)
    .where(and(eq(revisions.factId, id), eq(revisions.writeId, writeId)))
    .limit(1);
  return before.length > 0;
}

async function keepRevision(tx: Transaction, kind: FactKind, held: AnyFact): Promise<void> {
  const { id, version, writeId, updatedAt, deletedAt, order, made } = held;
  await tx
    .insert(revisions)
    .values({ kind, factId: id, version, writeId, updatedAt, deletedAt, order, made, body: bodyOf(held) });
}

/** Facts of some kinds that are not deleted, of one room where one is named. */
async function readLists<K extends FactKind>(
  db: Database,
  kinds: readonly K[],
  roomId?: string,
): Promise<FactLists<K>> {
  const found = new Map<K, FactOf<K>[]>();
  await Promise.all(
    kinds.map(async (kind) => {
      const table = TABLES[kind];
      const open = isNull(table.deletedAt);
      const rows = await db
        .select()
        .from(table)
        .where(roomId === undefined ? open : and(eq(table.roomId, roomId), open));
      // Each passed its kind's class when it was stored.
      found.set(kind, rows as object[] as FactOf<K>[]);
    }),
  );
  return listsOf(kinds, (kind) => found.get(kind)!) as FactLists<K>;
}

/** Everything of the site book that is not deleted. */
export const readBook = (db: Database): Promise<Book> => readLists(db, BOOK_FACT_KINDS);

/** Jobs and rooms that were removed, newest first, with the version each was removed as: they come back with all that is in them. */
export async function readRemoved(db: Database): Promise<Removed[]> {
  const removed = await Promise.all(
    (['jobs', 'rooms'] as const).map(async (kind) => {
      const table = TABLES[kind];
      const rows: AnyFact[] = await db.select().from(table).where(isNotNull(table.deletedAt));
      return rows.map((fact) => ({ kind, fact }));
    }),
  );
  return removed.flat().sort((a, b) => (a.fact.deletedAt! < b.fact.deletedAt! ? 1 : -1));
}

/** The facts of one room that are not deleted, or null when there is no such room. */
export async function readRoomFacts(db: Database, roomId: string): Promise<RoomLists | null> {
  return (await find(db, 'rooms', roomId)) ? readLists(db, ROOM_FACT_KINDS, roomId) : null;
}

/** What a fact is and what it has been, newest first; null when nothing of it is stored. */
export async function readHistory(
  db: Database,
  kind: FactKind,
  id: string,
): Promise<{ current: AnyFact; replaced: (typeof revisions.$inferSelect)[] } | null> {
  const current = await find(db, kind, id);
  if (!current) return null;
  const rows = await db
    .select()
    .from(revisions)
    .where(and(eq(revisions.kind, kind), eq(revisions.factId, id)));
  return { current, replaced: rows.sort((a, b) => b.version - a.version) };
}
