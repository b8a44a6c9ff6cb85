import { useMemo, useSyncExternalStore } from 'react';
import {
  checkWrite,
  type BodyOf,
  type Book,
  type FactKind,
  type FieldProblem,
  type RoomFactsAnswer,
} from '@maquette/contract';
import { bookKey, queryClient, roomKey } from './client.ts';
import { newId, nowUtc } from './ids.ts';
import { bodyOf, overlay } from './merge.ts';
import { outbox, post } from './outbox.ts';

/** One change asked for: a fact's new body, or its removal. */
export interface Change<K extends FactKind = FactKind> {
  kind: K;
  id: string;
  roomId?: string | null;
  body: BodyOf<K>;
  deleted?: boolean;
}

export type Written = { ok: true } | { ok: false; problems: FieldProblem[] };

interface Step {
  words: string;
  changes: Change[];
}

let done: Step[] = [];
let undone: Step[] = [];
let steps: { done: readonly Step[]; undone: readonly Step[] } = { done, undone };
const listeners = new Set<() => void>();
const UNDO_DEPTH = 50;

function setSteps(next: Step[], back: Step[]): void {
  done = next.slice(-UNDO_DEPTH);
  undone = back;
  steps = { done, undone };
  for (const listener of listeners) listener();
}

/** The newest version of a fact this device knows of, removed ones included. */
function held(change: Change): { version: number; body: Record<string, unknown>; deleted: boolean } | null {
  const inRoom = change.roomId ? queryClient.getQueryData<RoomFactsAnswer>(roomKey(change.roomId)) : undefined;
  const book = queryClient.getQueryData<Book>(bookKey);
  const cached =
    (inRoom as Record<string, unknown[]> | undefined)?.[change.kind] ??
    (book as Record<string, unknown[]> | undefined)?.[change.kind] ??
    [];
  const { waiting } = outbox.get();
  const own = waiting.filter((write) => write.id === change.id);
  const last = own[own.length - 1];
  if (last) return { version: last.baseVersion + 1, body: last.body, deleted: last.deleted };
  const fact = overlay(change.kind, cached as never[], []).find((other) => other.id === change.id);
  if (fact) return { version: fact.version, body: bodyOf(fact), deleted: false };
  const gone = removed.get(change.id);
  return gone ? { ...gone, deleted: true } : null;
}

/** Facts removed in this visit, which the cache no longer lists: undo needs their version. */
const removed = new Map<string, { version: number; body: Record<string, unknown> }>();

async function put(changes: readonly Change[]): Promise<Step['changes']> {
  const undo: Change[] = [];
  const writes = changes.map((change) => {
    const before = held(change);
    undo.unshift({ ...change, body: (before?.body ?? change.body) as never, deleted: before ? before.deleted : true });
    if (change.deleted) removed.set(change.id, { version: (before?.version ?? 0) + 1, body: change.body as never });
    return {
      writeId: newId(),
      kind: change.kind,
      id: change.id,
      roomId: change.roomId ?? null,
      baseVersion: before?.version ?? 0,
      body: change.body as Record<string, unknown>,
      deleted: change.deleted ?? false,
      madeAt: nowUtc(),
    };
  });
  await post(writes);
  return undo;
}

/**
 * Writes facts: checked by the same classes the server uses, durable on the device when it resolves, sent when there is
 * signal, undone as one step. Nothing is written when one of them has a problem.
 */
export async function write(words: string, changes: readonly Change[]): Promise<Written> {
  const problems = changes.flatMap((change) =>
    checkWrite(change.kind, { ...change.body, baseVersion: 0, writeId: 'check', deleted: false }),
  );
  if (problems.length > 0) return { ok: false, problems };
  const undo = await put(changes);
  setSteps([...done, { words, changes: undo }], []);
  return { ok: true };
}

/** Takes the last step back; it can be done again until something else is written. */
export async function undoLast(): Promise<string | null> {
  const step = done[done.length - 1];
  if (!step) return null;
  const back = done.slice(0, -1);
  setSteps(back, undone);
  const again = await put(step.changes);
  setSteps(back, [...undone, { words: step.words, changes: again }]);
  return step.words;
}

/** Does again what was last taken back. */
export async function redoLast(): Promise<string | null> {
  const step = undone[undone.length - 1];
  if (!step) return null;
  const left = undone.slice(0, -1);
  setSteps(done, left);
  const undo = await put(step.changes);
  setSteps([...done, { words: step.words, changes: undo }], left);
  return step.words;
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

interface Shown {
  words: string;
  act: () => void;
}

/** What Undo would take back and Redo do again, or null. */
export function useUndo(): { undo: Shown | null; redo: Shown | null } {
  const { done: back, undone: ahead } = useSyncExternalStore(
    subscribe,
    () => steps,
    () => steps,
  );
  return useMemo(() => {
    const [last, next] = [back[back.length - 1], ahead[ahead.length - 1]];
    return {
      undo: last ? { words: last.words, act: () => void undoLast() } : null,
      redo: next ? { words: next.words, act: () => void redoLast() } : null,
    };
  }, [back, ahead]);
}
