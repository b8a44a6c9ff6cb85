import type { LeafNeed } from './leaf.ts';

/**
 * Floor that would have to be ground away under a leaf instead of cutting it, litres: over the whole sector of its swing what is missing
 * at each distance from the hinge. At most so much: where the floor lies lower along the arc less is missing.
 */
export function grindInsteadL(need: readonly LeafNeed[], opensDeg: number): number {
  const turn = (Math.abs(opensDeg) * Math.PI) / 180;
  const at = [...need].sort((a, b) => a.fromHingeMm - b.fromHingeMm);
  let mm3 = 0;
  for (let k = 1; k < at.length; k++) {
    const [from, to] = [at[k - 1]!, at[k]!];
    const middleMm = (from.fromHingeMm + to.fromHingeMm) / 2;
    mm3 += ((from.needMm + to.needMm) / 2) * middleMm * turn * (to.fromHingeMm - from.fromHingeMm);
  }
  return mm3 / 1e6;
}
