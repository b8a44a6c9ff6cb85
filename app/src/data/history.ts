import type { BodyOf, FactKind, FieldProblem, RoomFactKind } from '@maquette/facts';
import type { FactStore } from './fact-store.ts';
import { newId, nowUtc } from './ids.ts';
import { DeviceFull, type Outbox } from './outbox.ts';

/**
 * One change asked for: a fact's new body, or its removal. What lies in a room names it, and a room lies in none: looked for in
 * itself it is not found, and what is not found is written as new.
 */
export type Change = {
  [K in FactKind]: (K extends RoomFactKind ? { roomId: string } : { roomId?: null }) & {
    kind: K;
    id: string;
    body: BodyOf<K>;
    deleted?: boolean;
    /** The version a fact was removed as, where it is to come back: what was removed is not among what this device holds. */
    removedAs?: number;
  };
}[FactKind];

export type Written = { ok: true } | { ok: false; problems: FieldProblem[] };

/** What storing needs of a change, whatever its kind. */
interface Put {
  kind: FactKind;
  id: string;
  roomId: string | null;
  body: Record<string, unknown>;
  deleted: boolean;
  removedAs?: number | undefined;
}

interface Step {
  words: string;
  puts: Put[];
}

interface Steps {
  done: readonly Step[];
  undone: readonly Step[];
  /** When something was last changed, taken back or done again, ms since the page was opened. */
  atMs: number;
}

const UNDO_DEPTH = 50;
const NONE: Steps = { done: [], undone: [], atMs: -Infinity };

/** What has been changed in this visit, to be taken back and done again. Each room has its own; so has the book. */
interface History {
  /** Says where the user is from now on: a room, or null for the book. What is changed there is taken back there. */
  enter: (place: string | null) => void;
  write: (words: string, changes: readonly Change[]) => Promise<Written>;
  /** Notes that a write was given up, so that it can be made again like any step that is taken back. */
  gaveUp: (words: string, back: Put) => void;
  /** Takes the last step of the present place back; it can be done again until something else is written there. */
  undo: () => Promise<string | null>;
  /** Does again what was last taken back. */
  redo: () => Promise<string | null>;
  steps: () => Steps;
  subscribe: (listener: () => void) => () => void;
}

type Check = (kind: FactKind, write: object) => FieldProblem[];
/** The check of every kind: a fifth of the app, fetched once the first screen stands. */
export interface Rules {
  /** The check, or null while it is not here. */
  here: () => Check | null;
  fetch: () => Promise<Check>;
}

export function createHistory(store: Pick<FactStore, 'held'>, outbox: Pick<Outbox, 'post'>, rules: Rules): History {
  const byPlace = new Map<string | null, Steps>();
  let place: string | null = null;
  const listeners = new Set<() => void>();
  /** Facts removed in this visit, which the cache no longer lists: undo needs their version. */
  const removed = new Map<string, { version: number; body: Record<string, unknown> }>();

  const stepsAt = (where: string | null) => byPlace.get(where) ?? NONE;
  function keep(where: string | null, done: readonly Step[], undone: readonly Step[]): void {
    byPlace.set(where, { done: done.slice(-UNDO_DEPTH), undone, atMs: performance.now() });
    for (const listener of listeners) listener();
  }

  function heldOf({ kind, id, roomId, body, removedAs }: Put) {
    const held = store.held(kind, id, roomId);
    if (held) return held;
    const gone = removed.get(id) ?? (removedAs === undefined ? undefined : { version: removedAs, body });
    return gone ? { ...gone, deleted: true } : null;
  }

  /** What is to be written for some changes, and what would take them back. */
  function prepared(puts: readonly Put[]) {
    const back: Put[] = [];
    const writes = puts.map(({ removedAs, ...change }) => {
      const before = heldOf({ ...change, removedAs });
      back.unshift({ ...change, body: before?.body ?? change.body, deleted: before ? before.deleted : true });
      if (change.deleted) removed.set(change.id, { version: (before?.version ?? 0) + 1, body: change.body });
      return { ...change, writeId: newId(), baseVersion: before?.version ?? 0, madeAt: nowUtc() };
    });
    return { writes, back };
  }

  /**
   * Puts changes in, durable when it resolves. The step is kept before the disk has answered: whoever presses Undo at once takes
   * back what they see, not the step before it. A disk that refuses takes the steps back to what they were.
   */
  async function put(
    where: string | null,
    puts: readonly Put[],
    next: (back: Put[]) => Pick<Steps, 'done' | 'undone'>,
  ) {
    const before = stepsAt(where);
    const { writes, back } = prepared(puts);
    const { done, undone } = next(back);
    keep(where, done, undone);
    const after = stepsAt(where);
    try {
      await outbox.post(writes);
    } catch (refused) {
      if (stepsAt(where) === after) keep(where, before.done, before.undone);
      throw refused;
    }
  }

  return {
    enter(next) {
      if (next === place) return;
      place = next;
      for (const listener of listeners) listener();
    },
    async write(words, changes) {
      const where = place;
      // With the rules here what is written is posted before this returns: a second press finds the first already there.
      // Where they cannot be fetched nothing is lost: the server checks by the same ones, and what it refuses is shown.
      const checkWrite = rules.here() ?? (await rules.fetch().catch(() => null));
      const problems = changes.flatMap((change) =>
        checkWrite === null
          ? []
          : checkWrite(change.kind, { ...change.body, baseVersion: 0, writeId: 'check', deleted: false }),
      );
      if (problems.length > 0) return { ok: false, problems };
      const puts = changes.map(({ kind, id, roomId = null, body, deleted = false, removedAs }) => ({
        kind,
        id,
        roomId,
        body: { ...body },
        deleted,
        removedAs,
      }));
      try {
        await put(where, puts, (back) => ({ done: [...stepsAt(where).done, { words, puts: back }], undone: [] }));
      } catch (error) {
        if (!(error instanceof DeviceFull)) throw error;
        return { ok: false, problems: [{ field: '', value: null, message: error.message }] };
      }
      return { ok: true };
    },
    gaveUp(words, back) {
      keep(place, [...stepsAt(place).done, { words, puts: [back] }], []);
    },
    async undo() {
      const where = place;
      const { done, undone } = stepsAt(where);
      const step = done.at(-1);
      if (!step) return null;
      await put(where, step.puts, (puts) => ({
        done: done.slice(0, -1),
        undone: [...undone, { words: step.words, puts }],
      }));
      return step.words;
    },
    async redo() {
      const where = place;
      const { done, undone } = stepsAt(where);
      const step = undone.at(-1);
      if (!step) return null;
      await put(where, step.puts, (puts) => ({
        done: [...done, { words: step.words, puts }],
        undone: undone.slice(0, -1),
      }));
      return step.words;
    },
    steps: () => stepsAt(place),
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
