import { sql } from 'drizzle-orm';
import { isFactKind, upgraded, type FactKind } from '@maquette/facts';
import type { Database, Transaction } from './database.ts';
import { revisions, TABLES } from './tables.ts';

type Row = Record<string, unknown>;

/** Answers as an earlier version kept them: a topic and a text each. The table is there until it has been carried over. */
const OLD_ANSWERS = 'answers_as_text';

async function isThere(db: Database, table: string): Promise<boolean> {
  const rows = await db.all(sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name = ${table}`);
  return rows.length > 0;
}

/**
 * Brings what earlier versions stored into today's shape, facts and replaced versions alike, in one transaction: a start that
 * is cut short does it again from the beginning.
 */
export async function carryOver(db: Database): Promise<void> {
  if (!(await isThere(db, OLD_ANSWERS))) return;
  await db.transaction(
    async (tx) => {
      await carryAnswers(tx);
      await carryRevisions(tx);
      await tx.run(sql`DROP TABLE ${sql.identifier(OLD_ANSWERS)}`);
    },
    { behavior: 'immediate' },
  );
}

async function carryAnswers(tx: Transaction): Promise<void> {
  const rows = await tx.all<Row>(sql`SELECT * FROM ${sql.identifier(OLD_ANSWERS)}`);
  for (const [index, row] of rows.entries()) {
    const { topic, value, note, id, version, write_id, updated_at, deleted_at, room_id } = row;
    const { kind, body } = upgraded('answers', { topic, value, note });
    const own = {
      id,
      version,
      writeId: write_id,
      updatedAt: updated_at,
      deletedAt: deleted_at,
      roomId: room_id,
      order: index + 1,
    };
    await tx.insert(TABLES[kind]).values({ ...body, ...own } as Row as typeof TABLES.answers.$inferInsert);
  }
}

async function carryRevisions(tx: Transaction): Promise<void> {
  for (const old of await tx.select().from(revisions)) {
    if (!isFactKind(old.kind)) continue;
    const { kind, body }: { kind: FactKind; body: Row } = upgraded(old.kind, old.body);
    if (body === old.body) continue;
    await tx
      .update(revisions)
      .set({ kind, body })
      .where(sql`kind = ${old.kind} AND fact_id = ${old.factId} AND version = ${old.version}`);
  }
}
