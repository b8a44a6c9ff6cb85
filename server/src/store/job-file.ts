import { eq, inArray } from 'drizzle-orm';
import {
  bodyOf,
  FACT_KINDS,
  isRoomKind,
  JOB_FILE_FORMAT,
  JOB_FILE_VERSION,
  KINDS,
  ownIdsOf,
  renamed,
  type FactKind,
} from '@maquette/facts';
import type { FiledFact, JobFile } from '@maquette/facts/job-file';
import type { Database, Transaction } from './database.ts';
import { find, type AnyFact } from './facts.ts';
import { revisions, TABLES } from './tables.ts';

/** Facts of a kind that belong to a job: its own, its rooms', and the cards its rooms name. */
async function rowsOf(db: Database, kind: FactKind, jobId: string, rooms: readonly AnyFact[]): Promise<AnyFact[]> {
  const table = TABLES[kind];
  if (kind === 'jobs') return db.select().from(table).where(eq(table.id, jobId));
  if (kind === 'rooms') return [...rooms];
  if (KINDS[kind].home === 'job') return db.select().from(table).where(eq(table.jobId, jobId));
  const ids = rooms.map((room) => (isRoomKind(kind) ? room.id : String(room['cardId'])));
  if (ids.length === 0) return [];
  return db
    .select()
    .from(table)
    .where(isRoomKind(kind) ? inArray(table.roomId, ids) : inArray(table.id, ids));
}

/** Everything stored of a job, deleted facts and replaced versions included, or null when there is no such job. */
export async function writeJobFile(db: Database, jobId: string, writtenAt: string): Promise<JobFile | null> {
  if (!(await find(db, 'jobs', jobId))) return null;
  const rooms = await db.select().from(TABLES.rooms).where(eq(TABLES.rooms.jobId, jobId));
  const facts: FiledFact[] = [];
  for (const kind of FACT_KINDS) {
    const rows = await rowsOf(db, kind, jobId, rooms);
    const old = rows.length === 0 ? [] : await db.select().from(revisions).where(eq(revisions.kind, kind));
    const replacedBy = (id: string) => old.filter((revision) => revision.factId === id);
    for (const row of rows)
      facts.push({
        kind,
        id: row.id,
        roomId: isRoomKind(kind) ? row.roomId : null,
        version: row.version,
        writeId: row.writeId,
        updatedAt: row.updatedAt,
        deletedAt: row.deletedAt,
        body: bodyOf(row),
        replaced: replacedBy(row.id)
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
  return { format: JOB_FILE_FORMAT, version: JOB_FILE_VERSION, writtenAt, facts };
}

type ImportResult =
  | { ok: true; jobId: string; stored: number; unchanged: number; photoIds: Map<string, string> }
  | { ok: false; clashes: { kind: FactKind; id: string }[] };

/**
 * Stores a job file as it is: ids, versions, times and history. Facts already here in the same version are left; a fact held
 * here in another state is a clash and then nothing is stored. With `newId` the job comes in as a copy beside the one held.
 */
export async function readJobFile(tx: Transaction, file: JobFile, newId?: () => string): Promise<ImportResult> {
  const facts = newId ? copied(file.facts, newId) : file.facts;
  const photoIds = new Map(file.facts.map((fact, i) => [fact.id, facts[i]!.id]));
  const clashes: { kind: FactKind; id: string }[] = [];
  const fresh: FiledFact[] = [];
  for (const fact of facts) {
    const held = await find(tx, fact.kind, fact.id);
    if (!held) fresh.push(fact);
    else if (held.writeId !== fact.writeId || held.version !== fact.version || !sameHome(held, fact))
      clashes.push({ kind: fact.kind, id: fact.id });
  }
  if (clashes.length > 0) return { ok: false, clashes };
  for (const { kind, id, roomId, version, writeId, updatedAt, deletedAt, body, replaced } of fresh) {
    const row = { ...(body as AnyFact), id, version, writeId, updatedAt, deletedAt };
    await tx.insert(TABLES[kind]).values(roomId && isRoomKind(kind) ? { ...row, roomId } : row);
    for (const old of replaced) await tx.insert(revisions).values({ kind, factId: id, ...old });
  }
  return {
    ok: true,
    jobId: facts.find((fact) => fact.kind === 'jobs')?.id ?? '',
    stored: fresh.length,
    unchanged: facts.length - fresh.length,
    photoIds,
  };
}

/** Whether what is held under a fact's id is of the very room and job the file says: nothing of another is touched. */
const sameHome = (held: AnyFact, { roomId, body }: FiledFact) =>
  (held.roomId ?? null) === roomId && (held['jobId'] ?? null) === (body['jobId'] ?? null);

/** The same facts under new ids, with all they refer to: each other, and what stands in their lists. Shipped cards keep their names. */
function copied(facts: readonly FiledFact[], newId: () => string): FiledFact[] {
  const bodies = facts.flatMap(({ kind, body, replaced }) =>
    [body, ...replaced.map((old) => old.body)].map((b) => ({ kind, body: b })),
  );
  const known = new Set([...facts.map((fact) => fact.id), ...bodies.flatMap(({ kind, body }) => ownIdsOf(kind, body))]);
  const ids = new Map([...known].map((id) => [id, newId()]));
  return facts.map((fact) => ({
    ...fact,
    id: ids.get(fact.id)!,
    roomId: fact.roomId && (ids.get(fact.roomId) ?? fact.roomId),
    body: renamed(fact.kind, fact.body, ids),
    replaced: fact.replaced.map((old) => ({ ...old, body: renamed(fact.kind, old.body, ids) })),
  }));
}
