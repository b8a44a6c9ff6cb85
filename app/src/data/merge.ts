import type { FactKind, FactOf } from '@maquette/contract';
import type { Waiting } from './outbox.ts';

/** A fact as the screen shows it: what the server holds with what waits laid over it. */
export type Shown<K extends FactKind> = FactOf<K> & { waiting: boolean };

/** Facts of a kind with the waiting writes applied in order; deleted ones leave, undeleted ones come back. */
export function overlay<K extends FactKind>(
  kind: K,
  facts: readonly FactOf<K>[],
  waiting: readonly Waiting[],
  roomId?: string,
): Shown<K>[] {
  const byId = new Map(facts.map((fact) => [fact.id, { ...fact, waiting: false } as Shown<K>]));
  for (const write of waiting) {
    if (write.kind !== kind || (roomId !== undefined && write.roomId !== roomId)) continue;
    const held = byId.get(write.id);
    // The server's answer can reach the cache a moment before the write leaves the queue.
    if (held && held.writeId === write.writeId) continue;
    byId.set(write.id, {
      ...held,
      ...write.body,
      id: write.id,
      ...(write.roomId ? { roomId: write.roomId } : {}),
      version: write.baseVersion + 1,
      writeId: write.writeId,
      updatedAt: write.madeAt,
      deletedAt: write.deleted ? write.madeAt : null,
      waiting: true,
    } as Shown<K>);
  }
  return [...byId.values()].filter((fact) => fact.deletedAt === null);
}

/** A list with one fact put in its place, newer versions only. */
export function withFact<K extends FactKind>(facts: readonly FactOf<K>[], fact: FactOf<K>): FactOf<K>[] {
  const held = facts.find((other) => other.id === fact.id);
  if (held && held.version > fact.version) return [...facts];
  const rest = facts.filter((other) => other.id !== fact.id);
  return fact.deletedAt === null ? [...rest, fact] : rest;
}

const OWN = new Set(['id', 'version', 'writeId', 'updatedAt', 'deletedAt', 'roomId', 'waiting']);

/** The fields a user entered, without what storing added. */
export function bodyOf(fact: object): Record<string, unknown> {
  return Object.fromEntries(Object.entries(fact).filter(([key]) => !OWN.has(key)));
}
