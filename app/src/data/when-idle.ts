/** Longest that work put off is put off, ms. */
const AT_LAST_MS = 3000;

/** Does something once the browser has nothing better to do: what the first screen does without does not hold it up. */
export function whenIdle(work: () => void): () => void {
  if (typeof requestIdleCallback === 'function') {
    const asked = requestIdleCallback(work, { timeout: AT_LAST_MS });
    return () => cancelIdleCallback(asked);
  }
  const timer = setTimeout(work, AT_LAST_MS / 3);
  return () => clearTimeout(timer);
}
