import { eq, inArray } from 'drizzle-orm';
import {
  FACT_KINDS,
  JOB_FILE_FORMAT,
  JOB_FILE_VERSION,
  type FactKind,
  type FiledFact,
  type JobFile,
} from '@maquette/contract';
import { bodyOf, find, isRoomKind, TABLES, type AnyFact } from './facts.ts';
import type { Database, Transaction } from './open.ts';
import * as schema from './schema/index.ts';

async function rowsOf(db: Database, kind: FactKind, roomIds: readonly string[]): Promise<AnyFact[]> {
  const table = TABLES[kind] as typeof schema.readings;
  return roomIds.length === 0
    ? []
    : ((await db
        .select()
        .from(table)
        .where(inArray(table.roomId, [...roomIds]))) as unknown as AnyFact[]);
}

/** Everything stored of a job, deleted facts and replaced versions included, or null when there is no such job. */
export async function writeJobFile(db: Database, jobId: string, writtenAt: string): Promise<JobFile | null> {
  const job = await find(db, 'jobs', jobId);
  if (!job) return null;
  const rooms = await db.select().from(schema.rooms).where(eq(schema.rooms.jobId, jobId));
  const roomIds = rooms.map((room) => room.id);
  const cards = await db
    .select()
    .from(schema.cards)
    .where(inArray(schema.cards.id, [...rooms.map((room) => room.cardId), '']));
  const figures = await db.select().from(schema.figures).where(eq(schema.figures.jobId, jobId));
  const byKind: [FactKind, AnyFact[]][] = [
    ['jobs', [job]],
    ['figures', figures as unknown as AnyFact[]],
    ['cards', cards as unknown as AnyFact[]],
    ['rooms', rooms as unknown as AnyFact[]],
  ];
  for (const kind of FACT_KINDS.filter(isRoomKind)) byKind.push([kind, await rowsOf(db, kind, roomIds)]);
  const facts: FiledFact[] = [];
  for (const [kind, rows] of byKind) {
    const old =
      rows.length === 0 ? [] : await db.select().from(schema.revisions).where(eq(schema.revisions.kind, kind));
    for (const row of rows) {
      facts.push({
        kind,
        id: row.id,
        roomId: row.roomId ?? null,
        version: row.version,
        writeId: row.writeId,
        updatedAt: row.updatedAt,
        deletedAt: row.deletedAt,
        body: bodyOf(row),
        replaced: old
          .filter((r) => r.factId === row.id)
          .sort((a, b) => a.version - b.version)
          .map(({ version, writeId, updatedAt, deletedAt, body }) => ({
            version,
            writeId,
            updatedAt,
            deletedAt,
            body,
          })),
      });
    }
  }
  return { format: JOB_FILE_FORMAT, version: JOB_FILE_VERSION, writtenAt, facts };
}

export type ImportResult =
  | { ok: true; jobId: string; stored: number; unchanged: number; photoIds: Map<string, string> }
  | { ok: false; clashes: { kind: FactKind; id: string }[] };

/**
 * Stores a job file as it is: ids, versions, times and history. Facts already here in the same version are left; a fact held
 * here in another state is a clash and then nothing is stored. With `newId` the job comes in as a copy beside the one held.
 */
export async function readJobFile(tx: Transaction, file: JobFile, newId?: () => string): Promise<ImportResult> {
  const facts = newId ? renamed(file.facts, newId) : file.facts;
  const photoIds = new Map(file.facts.map((fact, i) => [fact.id, facts[i]!.id]));
  const clashes: { kind: FactKind; id: string }[] = [];
  const fresh: FiledFact[] = [];
  for (const fact of facts) {
    const held = await find(tx, fact.kind, fact.id);
    if (!held) fresh.push(fact);
    else if (held.writeId !== fact.writeId || held.version !== fact.version)
      clashes.push({ kind: fact.kind, id: fact.id });
  }
  if (clashes.length > 0) return { ok: false, clashes };
  for (const fact of fresh) {
    const { kind, id, roomId, version, writeId, updatedAt, deletedAt, body } = fact;
    const row = { ...body, id, version, writeId, updatedAt, deletedAt, ...(isRoomKind(kind) ? { roomId } : {}) };
    await tx.insert(TABLES[kind] as typeof schema.readings).values(row as never);
    for (const old of fact.replaced) await tx.insert(schema.revisions).values({ kind, factId: id, ...old });
  }
  return {
    ok: true,
    jobId: facts.find((fact) => fact.kind === 'jobs')?.id ?? '',
    stored: fresh.length,
    unchanged: facts.length - fresh.length,
    photoIds,
  };
}

/** The same facts under new ids, references kept. Shipped cards keep their names. */
function renamed(facts: readonly FiledFact[], newId: () => string): FiledFact[] {
  const ids = new Map(facts.map((fact) => [fact.id, newId()]));
  const named = new RegExp(
    [...ids.keys()]
      .sort((a, b) => b.length - a.length)
      .map(escaped)
      .join('|') || '^$',
    'g',
  );
  const of = (id: unknown) => (typeof id === 'string' ? (ids.get(id) ?? id) : id);
  const swap = (body: Record<string, unknown>) => {
    const out = { ...body };
    for (const key of ['jobId', 'cardId', 'setupId', 'layerId', 'aboutId']) if (key in out) out[key] = of(out[key]);
    // Topics of answers and keys of steps carry the id of what they are about.
    for (const key of ['topic', 'key', 'aboutId'])
      if (typeof out[key] === 'string') out[key] = (out[key] as string).replace(named, (id) => ids.get(id) ?? id);
    return out;
  };
  return facts.map((fact) => ({
    ...fact,
    id: ids.get(fact.id)!,
    roomId: fact.roomId && (ids.get(fact.roomId) ?? fact.roomId),
    body: swap(fact.body),
    replaced: fact.replaced.map((old) => ({ ...old, body: swap(old.body) })),
  }));
}

function escaped(id: string): string {
  return id.replace(/[^a-z0-9-]/g, '\\$&');
}
