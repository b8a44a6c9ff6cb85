import { stairShortMm, zonesHit, type JointRule, type JointZone, type Neighbours } from './joints.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';

/** What a rule that is not kept weighs; what it is short by adds up to as much again. They are given up in this order. */
export const RULE_WEIGHT: Record<JointRule, number> = { stair: 0.25, zone: 0.4, second: 0.6, stagger: 1 };

/** What of the rules hangs on one strip, by where the joints of all of them are now. */
export interface Strain {
  (strip: number): number;
  /** A joint of some strip beside one, and how far from it another has to stay; null where there is none. */
  beside: (strip: number, draw: () => number) => { atMm: number; apartMm: number } | null;
}

const HAIR = 1e-6;

export function strainOf(
  strips: readonly RowStrip[],
  { lengthMm }: LaidPlank,
  { pairs, triples }: Neighbours,
  zones: readonly JointZone[],
  joints: readonly (readonly number[])[],
): Strain {
  const pairsOf = strips.map((_, k) => pairs.filter(({ a, b }) => a === k || b === k));
  const triplesOf = strips.map((_, k) => triples.filter((triple) => triple.includes(k)));
  const strain = (k: number): number => {
    let sum = 0;
    const own = joints[k]!;
    for (const { a, b, apartMm, rule } of pairsOf[k]!) {
      const others = joints[a === k ? b : a]!;
      let j = 0;
      // Both in order along the row: only what lies near is compared.
      for (const at of own) {
        while (j < others.length && others[j]! <= at - apartMm) j++;
        for (let i = j; i < others.length && others[i]! < at + apartMm; i++) {
          const shortMm = apartMm - Math.abs(at - others[i]!);
          if (shortMm > HAIR) sum += RULE_WEIGHT[rule] * (1 + shortMm / apartMm);
        }
      }
    }
    for (const [a, b, c] of triplesOf[k]!) {
      const [first, second, third] = [joints[a]![0], joints[b]![0], joints[c]![0]];
      if (first === undefined || second === undefined || third === undefined) continue;
      if (stairShortMm(first, second, third, lengthMm) > HAIR) sum += RULE_WEIGHT.stair;
    }
    if (zones.length > 0)
      for (const { shortMm } of zonesHit(strips[k]!, own, zones)) sum += RULE_WEIGHT.zone * (1 + shortMm / lengthMm);
    return sum;
  };
  return Object.assign(strain, {
    beside: (k: number, draw: () => number) => {
      const pair = pairsOf[k]![Math.floor(draw() * pairsOf[k]!.length)];
      const atMm = pair && joints[pair.a === k ? pair.b : pair.a]![0];
      return pair && atMm !== undefined ? { atMm, apartMm: pair.apartMm } : null;
    },
  });
}
