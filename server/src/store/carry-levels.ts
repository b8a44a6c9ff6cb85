import { carriedLevels } from '@maquette/facts';
import type { Database } from './database.ts';
import { lastOrder } from './order.ts';
import { TABLES } from './tables.ts';

/**
 * Makes levels of their own of those that earlier versions kept with an opening. An opening about which a level is held, removed or
 * not, has been through it: opened again nothing is carried twice.
 */
export async function carryLevels(db: Database): Promise<void> {
  const rooms = await rowsOf<CarriedRoom>(db, 'rooms');
  const kept = rooms.filter(
    ({ openings }) => Array.isArray(openings) && openings.some(({ beyondLevelMm = null }) => beyondLevelMm !== null),
  );
  if (kept.length === 0) return;
  const held = await rowsOf<{ aboutId: string; of: string }>(db, 'levels');
  const known = new Set(held.flatMap(({ aboutId, of }) => (of === 'beyond' ? [aboutId] : [])));
  const layers = await rowsOf<CarriedLayer>(db, 'layers');
  const ticks = await rowsOf<CarriedTick>(db, 'ticks');
  let order = await lastOrder(db);
  await db.transaction(async (tx) => {
    for (const room of kept) {
      const there = <T extends CarriedTick | CarriedLayer>(facts: T[]) =>
        facts.filter(({ roomId, deletedAt }) => roomId === room.id && deletedAt === null);
      const done = there(ticks).map(({ key }) => key);
      for (const { id, body } of carriedLevels(room, there(layers), done, room.updatedAt)) {
        if (known.has(body.aboutId)) continue;
        const stored = { id, version: 1, writeId: room.writeId, updatedAt: room.updatedAt, deletedAt: room.deletedAt };
        const row: object = { ...body, ...stored, roomId: room.id, order: ++order };
        // A kind's own columns follow from what it states; the table's type knows those alone that every kind has.
        await tx.insert(TABLES.levels).values(row as typeof TABLES.levels.$inferInsert);
      }
    }
  });
}

/** Rows of a kind, with the columns that it states. */
const rowsOf = async <T>(db: Database, kind: 'rooms' | 'levels' | 'layers' | 'ticks'): Promise<T[]> => {
  const rows: object[] = await db.select().from(TABLES[kind]);
  return rows as T[];
};

interface Kept {
  id: string;
  roomId: string;
  deletedAt: string | null;
}
type CarriedRoom = Parameters<typeof carriedLevels>[0] & {
  updatedAt: string;
  writeId: string;
  deletedAt: string | null;
};
type CarriedLayer = Kept & { thicknessMm: number; where: readonly unknown[] };
type CarriedTick = Kept & { key: string };
