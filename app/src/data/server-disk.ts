/** How the server's disk is, by its own word with each answer: fine, short of room, or refusing what is written. */
export type ServerDisk = 'fine' | 'failing' | { leftPercent: number };

function read(said: string | null): ServerDisk {
  if (said === 'failing') return 'failing';
  const left = /^low (\d+)$/.exec(said ?? '');
  return left ? { leftPercent: Number(left[1]) } : 'fine';
}

function createServerDisk() {
  let said: string | null = null;
  let state: ServerDisk = 'fine';
  const listeners = new Set<() => void>();
  return {
    note(next: string | null) {
      if (next === said) return;
      said = next;
      state = read(next);
      listeners.forEach((listener) => listener());
    },
    get: () => state,
    subscribe(listener: () => void) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

export const serverDisk = createServerDisk();

/** What whoever enters something is told of it; null while there is nothing to tell. */
export function diskWords(state: ServerDisk): string | null {
  if (state === 'fine') return null;
  if (state === 'failing')
    return 'The server cannot write to its disk. What you enter stays on this device and is sent when it can. Whoever looks after the server has to free room on it or mend it.';
  return `The server’s disk is nearly full: ${state.leftPercent} % left. What you enter is still kept. Whoever looks after the server should free room on it soon.`;
}
