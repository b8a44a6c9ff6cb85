import { leastSteps, type HeightsChoice, type SolveMixed } from '../heights/index.ts';
import { neighbourGround } from './heights-part.ts';
import { leastJob, type LeastSystem } from './least-job.ts';
import type { RoomSet } from './room-set.ts';

/** The best choices over a job, and what their systems stand for. */
export interface LeastAnswer {
  choices: HeightsChoice[];
  rooms: { roomId: string; systems: LeastSystem[]; topMm: number; pourAtMm: number }[];
  unread: string[];
  /** Openings that are held against one another. */
  openings: number;
}

/** The least steps over the rooms of a job; `tell` hears how far it is, from 0 to 1. */
export function leastStepsOf(
  sets: readonly RoomSet[],
  atUtc: string,
  solve: SolveMixed,
  tell: (share: number) => void = () => undefined,
): LeastAnswer {
  const memo = new Map<string, unknown>();
  const groundOf = neighbourGround(memo, atUtc);
  sets.forEach((set, k) => {
    groundOf(set);
    tell((0.4 * (k + 1)) / sets.length);
  });
  const { job, systems, unread } = leastJob(sets, atUtc, groundOf);
  let solved = 0;
  const counting: SolveMixed = (programme) => {
    const found = solve(programme);
    tell(0.5 + 0.12 * ++solved);
    return found;
  };
  const choices = job.rooms.length === 0 ? [] : leastSteps(job, counting);
  return { choices, rooms: systems, unread, openings: job.openings.length };
}
