import { bodyOf, KINDS, type FactOf, type FactKind, type Problem } from '@maquette/facts';
import { history, outbox, queries, store } from './device.ts';
import { rules } from './rules.ts';
import { newId } from './ids.ts';
import { DeviceFull } from './outbox.ts';
import { saveText } from './save-text.ts';
import type { Waiting } from './waiting.ts';
import { write, type Change } from './write.ts';

/** What the server holds of a fact whose write it refused: null where it holds nothing. */
export const heldThere = (trouble: Problem) => (trouble.current ?? null) as FactOf<FactKind> | null;

/** What was removed from under a write. */
export type RemovedAround = { kind: 'jobs'; fact: FactOf<'jobs'> } | { kind: 'rooms'; fact: FactOf<'rooms'> };
export const removedAround = (trouble: Problem): RemovedAround | null =>
  trouble.status === 410 ? ((trouble.removed as RemovedAround | undefined) ?? null) : null;

/** Says in words why something could not be done; null when it was. */
const tried = async (work: () => Promise<string | null | void>): Promise<string | null> => {
  try {
    return (await work()) ?? null;
  } catch (error) {
    if (error instanceof DeviceFull) return error.message;
    throw error;
  }
};

/** Sends a body of the user's choice on top of what the server holds. Returns what is wrong with it, or null. */
export const keep = (one: Waiting, body?: Record<string, unknown>): Promise<string | null> =>
  tried(async () => {
    if (body) {
      const check = await rules.fetch();
      const [wrong] = check(one.kind, { ...body, baseVersion: 0, writeId: 'check', deleted: false });
      if (wrong) return `${wrong.field} ${wrong.message}`;
    }
    await outbox.insist(one.id, newId(), body);
    await queries.invalidateQueries();
    return null;
  });

/** Lets a write go, and all that were made on it: what the server holds stands. It can be taken back like any other step. */
export async function giveUp(one: Waiting, words: string): Promise<void> {
  const last =
    outbox
      .get()
      .waiting.filter((w) => w.id === one.id)
      .at(-1) ?? one;
  const there = one.trouble && heldThere(one.trouble);
  await outbox.discard(one.id);
  if (there) store.stored([{ kind: one.kind, fact: there }]);
  history.gaveUp(words, {
    kind: one.kind,
    id: one.id,
    roomId: one.roomId,
    body: last.body,
    deleted: last.deleted,
    ...(there ? { removedAs: there.version } : {}),
  });
  await queries.invalidateQueries();
}

/** Brings a job or room back, and sends what was written in it. Returns why it could not, or null. */
export const bringBack = ({ kind, fact }: RemovedAround, waiting: readonly Waiting[] = []): Promise<string | null> =>
  tried(async () => {
    // What is held here may be older than its removal: it comes back on top of that.
    store.stored([{ kind, fact }]);
    const change = { kind, id: fact.id, body: bodyOf(fact), removedAs: fact.version } as Change;
    const result = await write(`${fact.name} brought back`, [change]);
    if (!result.ok) return result.problems.map(({ message }) => message).join('; ');
    for (const id of new Set(waiting.map((one) => one.id))) await outbox.retry(id);
    await outbox.send();
    await queries.invalidateQueries();
    return null;
  });

/** Saves writes as a file, as they were made: whatever becomes of them here, they are not lost. */
export function copyOut(waiting: readonly Waiting[]): void {
  const copied = waiting.map(({ kind, id, roomId, body, deleted, madeAt, trouble }) => ({
    ...{ what: KINDS[kind].words, kind, id, roomId, madeAt, deleted },
    ...{ notTaken: trouble?.detail ?? trouble?.title ?? null, body },
  }));
  saveText('not-taken.json', 'application/json', JSON.stringify(copied, null, 1));
}
