import type { LaidPlank } from './plank.ts';

/** How a strip is divided: a start, so many whole planks, an end; one piece alone has neither wholes nor end. */
export interface Division {
  startMm: number;
  wholes: number;
  endMm: number;
}

const HAIR = 1e-6;

/** What is over when a length is laid in whole planks: a whole plank where nothing is. */
const restOf = (lengthMm: number, plankMm: number): number => {
  const rest = lengthMm % plankMm;
  return rest < HAIR || plankMm - rest < HAIR ? plankMm : rest;
};

/**
 * Starts that divide a strip of a length with both of its ends as long as they must be: intervals, mm. A start of the whole length is one
 * piece. With r the rest of the length over whole planks, start and end together make r or r and one plank: nothing else is possible.
 */
export function startsOf(lengthMm: number, { lengthMm: len, leastEndMm: least }: LaidPlank): [number, number][] {
  if (lengthMm <= len + HAIR) {
    const one: [number, number] = [lengthMm, lengthMm];
    return lengthMm >= 2 * least ? [[least, lengthMm - least], one] : [one];
  }
  const rest = restOf(lengthMm, len);
  const both: [number, number][] = [
    [least, rest - least],
    [Math.max(least, rest), Math.min(len, rest + len - least)],
  ];
  return both.filter(([from, to]) => to >= from - HAIR);
}

/** The strip divided after a start of this length; null where its end would be too short or too long. */
export function divide(lengthMm: number, startMm: number, { lengthMm: len, leastEndMm }: LaidPlank): Division | null {
  if (Math.abs(lengthMm - startMm) < HAIR) return startMm <= len + HAIR ? { startMm, wholes: 0, endMm: 0 } : null;
  if (startMm < leastEndMm - HAIR || startMm > len + HAIR || startMm > lengthMm) return null;
  const endMm = restOf(lengthMm - startMm, len);
  if (endMm < leastEndMm - HAIR) return null;
  return { startMm, wholes: Math.round((lengthMm - startMm - endMm) / len), endMm };
}

/** The start within what may be that is nearest to a wish. */
export function nearestStart(starts: readonly (readonly [number, number])[], wishMm: number): number {
  let [best, off] = [starts[0]?.[0] ?? 0, Infinity];
  for (const [from, to] of starts) {
    const at = Math.min(to, Math.max(from, wishMm));
    if (Math.abs(at - wishMm) < off) [best, off] = [at, Math.abs(at - wishMm)];
  }
  return best;
}
