import { firstPlaceOf, type FactKind, type FactOf, type Stored } from '@maquette/facts';
import type { Waiting } from './waiting.ts';

/** A fact as the screen shows it: stored, or still waiting to be. */
export type Shown<K extends FactKind> = FactOf<K> & { waiting: boolean };

/** A fact to be laid over what is held of it. */
export interface Laid<F> {
  fact: F;
  /** Waiting to be sent: it is what its user last entered, whatever the server has come to hold meanwhile. */
  waiting: boolean;
}

/** Whether a fact laid over another takes its place: the same write does not, nor an answer older than what is held. */
function takesPlace(held: Stored | undefined, { fact, waiting }: Laid<Stored>): boolean {
  if (!held) return true;
  return held.writeId !== fact.writeId && (waiting || held.version <= fact.version);
}

/**
 * The one rule by which facts are laid over one another, in order: what was answered while a read was on its way over that
 * read, what waits over what is stored. Removed facts leave, restored ones come back; each keeps its place in the list.
 */
export function laidOver<F extends Stored>(held: readonly F[], over: readonly Laid<F>[]): F[] {
  if (over.length === 0) return [...held];
  const byId = new Map(held.map((fact) => [fact.id, fact]));
  for (const laid of over) {
    const before = byId.get(laid.fact.id);
    if (!takesPlace(before, laid)) continue;
    // What waits does not say where its fact's first write stands: what is held does.
    const fact = before && laid.waiting ? { ...laid.fact, first: firstPlaceOf(before) } : laid.fact;
    byId.set(fact.id, fact);
  }
  return [...byId.values()].filter((fact) => fact.deletedAt === null);
}

/** A waiting write as the fact it is to become. */
export function factOf(write: Waiting): FactOf<FactKind> {
  return {
    ...write.body,
    id: write.id,
    ...(write.roomId ? { roomId: write.roomId } : {}),
    version: write.baseVersion + 1,
    writeId: write.writeId,
    updatedAt: write.madeAt,
    deletedAt: write.deleted ? write.madeAt : null,
    // The server counts it when it takes it: until then it comes after all that it has counted.
    order: Number.MAX_SAFE_INTEGER,
    made: write.made ?? null,
    first: null,
    // It was checked by its class before it was put in.
  } as FactOf<FactKind>;
}
