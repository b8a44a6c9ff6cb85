import { eq, inArray } from 'drizzle-orm';
import {
  bodyOf,
  FACT_KINDS,
  isRoomKind,
  JOB_FILE_FORMAT,
  JOB_FILE_VERSION,
  KINDS,
  type FactKind,
} from '@maquette/facts';
import type { FiledFact, JobFile } from '@maquette/facts/job-file';
import type { Database } from './database.ts';
import { find, type AnyFact } from './facts.ts';
import { revisions, TABLES } from './tables.ts';

/** Cards of what lies under planks, by the field of a choice that names them. */
const NAMED_BY: Partial<Record<FactKind, 'underlayId' | 'filmId' | 'membraneId' | 'panelId'>> = {
  underlays: 'underlayId',
  films: 'filmId',
  membranes: 'membraneId',
  panels: 'panelId',
};

/** Facts of a kind that belong to a job: its own, its rooms', and the cards its rooms and their choices name. */
async function rowsOf(db: Database, kind: FactKind, jobId: string, rooms: readonly AnyFact[]): Promise<AnyFact[]> {
  const table = TABLES[kind];
  if (kind === 'jobs') return db.select().from(table).where(eq(table.id, jobId));
  if (kind === 'rooms') return [...rooms];
  if (KINDS[kind].home === 'job') return db.select().from(table).where(eq(table.jobId, jobId));
  const named = NAMED_BY[kind];
  const ids = named
    ? await namedIn(db, named, rooms)
    : rooms.map((room) => (isRoomKind(kind) ? room.id : String(room['cardId'])));
  if (ids.length === 0) return [];
  return db
    .select()
    .from(table)
    .where(isRoomKind(kind) ? inArray(table.roomId, ids) : inArray(table.id, ids));
}

/** Cards that any choice of the rooms names, or named. */
async function namedIn(
  db: Database,
  field: NonNullable<(typeof NAMED_BY)[FactKind]>,
  rooms: readonly AnyFact[],
): Promise<string[]> {
  if (rooms.length === 0) return [];
  const table = TABLES.underChoices;
  const choices: AnyFact[] = await db
    .select()
    .from(table)
    .where(
      inArray(
        table.roomId,
        rooms.map(({ id }) => id),
      ),
    );
  return choices.flatMap((choice) => (typeof choice[field] === 'string' ? [choice[field]] : []));
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
        order: row.order,
        made: row.made,
        first: row.first,
        body: bodyOf(row),
        replaced: replacedBy(row.id)
          .sort((a, b) => a.version - b.version)
          .map(({ kind: _kind, factId: _id, ...revision }) => revision),
      });
  }
  return { format: JOB_FILE_FORMAT, version: JOB_FILE_VERSION, writtenAt, facts };
}
