/** How far this device's clock is ahead of the server's, by the server's own word. */
export interface Clock {
  /** Takes the server's time as it came with an answer, and when the question left and the answer came by this device's clock, ms. */
  note: (askedMs: number, answeredMs: number, serverUtc: string | null) => void;
  /** Ms ahead; null until the server has said its time. */
  skewMs: () => number | null;
  subscribe: (listener: () => void) => () => void;
}

/** A measurement holds this long against a worse one: clocks are set by hand, and phones sleep, ms. */
const HOLDS_MS = 10 * 60_000;
/** Less than this is not worth telling anybody of, ms. */
const CHANGE_MS = 1000;
/** From here on the user is told, ms. */
export const SKEW_TOLD_MS = 2 * 60_000;

/** Measures by the answer that came quickest: the server's time belongs to the middle between question and answer. */
export function createClock(): Clock {
  let best: { skewMs: number; tripMs: number; atMs: number } | null = null;
  const listeners = new Set<() => void>();
  return {
    note(askedMs, answeredMs, serverUtc) {
      const tripMs = answeredMs - askedMs;
      const serverMs = Date.parse(serverUtc ?? '');
      // A clock that was set between question and answer tells nothing.
      if (!Number.isFinite(serverMs) || tripMs < 0) return;
      const skewMs = Math.round((askedMs + answeredMs) / 2 - serverMs);
      const old = best === null || Math.abs(answeredMs - best.atMs) > HOLDS_MS;
      // Further off than both answers could be wrong by: the clock was set since.
      const set = best !== null && Math.abs(skewMs - best.skewMs) > (tripMs + best.tripMs) / 2 + CHANGE_MS;
      if (!old && !set && tripMs > best!.tripMs) return;
      const before = best?.skewMs;
      best = { skewMs, tripMs, atMs: answeredMs };
      if (before === undefined || Math.abs(before - skewMs) >= CHANGE_MS) listeners.forEach((listener) => listener());
    },
    skewMs: () => best?.skewMs ?? null,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

/** This device's. */
export const clock = createClock();
