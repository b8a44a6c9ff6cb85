/** How many pictures are on this device only; null until they have been counted. */
export interface PictureCount {
  get: () => number | null;
  set: (count: number) => void;
  subscribe: (listener: () => void) => () => void;
}

export function createPictureCount(): PictureCount {
  let held: number | null = null;
  const listeners = new Set<() => void>();
  return {
    get: () => held,
    set(count) {
      if (count === held) return;
      held = count;
      for (const listener of listeners) listener();
    },
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
