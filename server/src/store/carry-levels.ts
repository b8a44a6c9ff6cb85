import { carriedLevels } from '@maquette/facts';
import type { Database } from './database.ts';
import { lastOrder } from './order.ts';
import { TABLES } from './tables.ts';

/**
 * Makes levels of their own of those that earlier versions kept with an opening. An opening about which a level is held, removed or
 * not, has been through it: opened again nothing is carried twice.
 */
export async function carryLevels(db: Database): Promise<void> {
  const rooms = (await db.select().from(TABLES.rooms)) as unknown as CarriedRoom[];
  const kept = rooms.filter(
    ({ openings }) => Array.isArray(openings) && openings.some(({ beyondLevelMm = null }) => beyondLevelMm !== null),
  );
  if (kept.length === 0) return;
  const held = (await db.select().from(TABLES.levels)) as unknown as { aboutId: string; of: string }[];
  const known = new Set(held.flatMap(({ aboutId, of }) => (of === 'beyond' ? [aboutId] : [])));
  const layers = (await db.select().from(TABLES.layers)) as unknown as CarriedLayer[];
  const ticks = (await db.select().from(TABLES.ticks)) as unknown as CarriedTick[];
  let order = await lastOrder(db);
  await db.transaction(async (tx) => {
    for (const room of kept) {
      const there = <T extends CarriedTick | CarriedLayer>(facts: T[]) =>
        facts.filter(({ roomId, deletedAt }) => roomId === room.id && deletedAt === null);
      const done = there(ticks).map(({ key }) => key);
      for (const { id, body } of carriedLevels(room, there(layers), done, room.updatedAt)) {
        if (known.has(body.aboutId)) continue;
        const stored = { id, version: 1, writeId: room.writeId, updatedAt: room.updatedAt, deletedAt: room.deletedAt };
        const row = { ...body, ...stored, roomId: room.id, order: ++order };
        await tx.insert(TABLES.levels).values(row as unknown as typeof TABLES.levels.$inferInsert);
      }
    }
  });
}

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
