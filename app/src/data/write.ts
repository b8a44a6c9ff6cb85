import { useMemo, useSyncExternalStore } from 'react';
import type { Change, Written } from './history.ts';
import { history } from './device.ts';

export type { Change, Written };

/**
 * Writes facts: checked by the same classes the server uses, durable on the device when it resolves, sent when there is
 * signal, undone as one step. Nothing is written when one of them has a problem.
 */
export const write = (words: string, changes: readonly Change[]): Promise<Written> => history.write(words, changes);

interface Shown {
  words: string;
  act: () => void;
}

/** What Undo would take back here and Redo do again, or null. */
export function useUndo(): { undo: Shown | null; redo: Shown | null; atMs: number } {
  const { done, undone, atMs } = useSyncExternalStore(history.subscribe, history.steps, history.steps);
  return useMemo(() => {
    const [last, next] = [done.at(-1), undone.at(-1)];
    return {
      undo: last ? { words: last.words, act: () => void history.undo() } : null,
      atMs,
      redo: next ? { words: next.words, act: () => void history.redo() } : null,
    };
  }, [done, undone, atMs]);
}
