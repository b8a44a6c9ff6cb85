import { join } from 'node:path';
import type { Client } from '@libsql/client';
import { getTableName } from 'drizzle-orm';
import { FACT_KINDS, isRoomKind } from '@maquette/facts';
import { namePart, picturesIn } from '../store/picture-files.ts';
import { TABLES } from '../store/tables.ts';
import type { ReadPicture } from './read-file.ts';
import { IS_UNSEEN, REVISION_IS_UNSEEN, rowsOf } from './staged.ts';

/*
 * How an import reaches the store without holding anybody up: what lies in rooms that are not here yet goes in some thousand
 * rows at a time, each in a transaction of its own. Nobody can see it, for its rooms are not there. Rooms, job and whatever
 * belongs to what was here already go in with the last, as one: from then on all of it is there, before that none of it is.
 */

/** Rows that go in with one transaction: a hundredth of a second. */
const TOGETHER = 2000;

/** Some rows of a table that nobody can see. */
export interface Part {
  table: string;
  where: string;
  /** What tells one row from another. */
  key: string;
}

const ROOM_TABLES = FACT_KINDS.filter(isRoomKind).map((kind) => getTableName(TABLES[kind]));
const BOOK_TABLES = FACT_KINDS.filter((kind) => !isRoomKind(kind)).map((kind) => getTableName(TABLES[kind]));

/** The parts in which rows nobody can see go in. None once the last has gone in: then they are seen. */
export async function unseenParts(client: Client): Promise<Part[]> {
  const parts: Part[] = [];
  const add = async (table: string, unseen: string, key: string) => {
    const [row] = await rowsOf(client, `SELECT max(rowid) AS last FROM main."${table}" WHERE ${unseen}`);
    for (let from = 0; from < Number(row?.['last'] ?? 0); from += TOGETHER)
      parts.push({ table, where: `${unseen} AND rowid > ${from} AND rowid <= ${from + TOGETHER}`, key });
  };
  for (const table of ROOM_TABLES) await add(table, IS_UNSEEN, 'id');
  await add('revisions', REVISION_IS_UNSEEN, 'kind, fact_id, version');
  return parts;
}

/** Puts one part in. The store's own writer has to be at rest. */
export async function landPart(client: Client, { table, where }: Part): Promise<void> {
  await client.execute(`INSERT INTO held."${table}" SELECT * FROM main."${table}" WHERE ${where}`);
}

/** Takes one part out again. The store's own writer has to be at rest. */
export async function takeBackPart(client: Client, { table, where, key }: Part): Promise<void> {
  await client.execute(
    `DELETE FROM held."${table}" WHERE (${key}) IN (SELECT ${key} FROM main."${table}" WHERE ${where})`,
  );
}

/** Puts in the rest, with the records of pictures, as one. The store's own writer has to be at rest. */
export async function landRest(
  client: Client,
  dataFolder: string,
  pictures: readonly ReadPicture[],
  now: string,
): Promise<void> {
  for (const { part, sha256 } of pictures) await namePart(picturesIn(dataFolder), part, `${sha256}.jpg`);
  const copy = (table: string, where: string) =>
    `INSERT INTO held."${table}" SELECT * FROM main."${table}" WHERE ${where}`;
  await client.batch(
    [
      // What lies in rooms that were here before, while it can still be told which those are.
      ...ROOM_TABLES.map((table) => copy(table, `NOT (${IS_UNSEEN})`)),
      copy('revisions', `NOT (${REVISION_IS_UNSEEN})`),
      ...BOOK_TABLES.map((table) => copy(table, 'TRUE')),
      ...pictures.map(({ photoId, sha256, bytes, widthPx, heightPx }) => ({
        sql: `INSERT INTO held.pictures (photo_id, sha256, bytes, width_px, height_px, stored_at) VALUES (?, ?, ?, ?, ?, ?)
          ON CONFLICT (photo_id) DO UPDATE SET sha256 = excluded.sha256, bytes = excluded.bytes,
          width_px = excluded.width_px, height_px = excluded.height_px, stored_at = excluded.stored_at`,
        args: [photoId, sha256, bytes, widthPx, heightPx, now],
      })),
    ],
    'write',
  );
}

/** Begins the name of an import's own folder, beside the database. */
export const IMPORT = '.import-';
export const importFolderIn = (dataFolder: string, id: string): string => join(dataFolder, `${IMPORT}${id}`);
