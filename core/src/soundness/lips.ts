import type { Mark } from './facts.ts';

/** Lips recorded by hand, worst first: steps that a staff cannot see. */
export function lipsOf(marks: readonly Mark[]): Mark[] {
  return marks
    .filter((m) => (m.kind === 'lippage' || m.kind === 'board-ridge') && m.stepMm !== null)
    .sort((a, b) => b.stepMm! - a.stepMm! || (a.id < b.id ? -1 : 1));
}
