import type { Place } from './made.ts';

/**
 * Facts in the order in which their writes were made, as far as that is known without any clock: by the server's count, and where
 * one device's writes reached it out of turn (one failed and went later), that device's own order within the places they took.
 * What waits on this device has no count yet and comes last, as it was made.
 */
export function inOrder<F>(facts: readonly F[], placeOf: (fact: F) => Place): F[] {
  const placed = facts.map((fact) => ({ fact, ...placeOf(fact) }));
  const byDevice = new Map<string, typeof placed>();
  for (const one of placed) {
    if (one.device === null) continue;
    const own = byDevice.get(one.device);
    if (own) own.push(one);
    else byDevice.set(one.device, [one]);
  }
  for (const own of byDevice.values()) {
    const orders = own.map(({ order }) => order).sort((a, b) => a - b);
    own.sort((a, b) => a.sequence - b.sequence).forEach((one, index) => (one.order = orders[index]!));
  }
  return placed.sort((a, b) => a.order - b.order || a.sequence - b.sequence).map(({ fact }) => fact);
}
