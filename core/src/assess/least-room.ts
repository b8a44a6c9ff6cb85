import type { CoveringCard } from '../coverings/index.ts';
import { leastSteps, withoutHopeless, type HeightsChoice, type Hopeless, type SolveMixed } from '../heights/index.ts';
import { roomRunner, type RoomRunner } from './assess-room.ts';
import { neighbourGround } from './heights-part.ts';
import { leastJob } from './least-job.ts';
import type { LeastSystem } from './least-systems.ts';
import type { RoomSet } from './room-set.ts';

/** The best choices over a job, and what their systems stand for. */
export interface LeastAnswer {
  choices: HeightsChoice[];
  rooms: { roomId: string; systems: LeastSystem[]; topMm: number; pourAtMm: number }[];
  unread: string[];
  /** Leaves and limits that no choice keeps: they stop their room by themselves, and are left out. */
  hopeless: Hopeless[];
  /** Openings that are held against one another. */
  openings: number;
}

/** What may be laid in place of a room's own covering, and who hears how far it is, from 0 to 1. */
export interface LeastWith {
  coverings?: readonly CoveringCard[];
  tell?: (share: number) => void;
  /** What was made of the rooms when they were asked about before: unchanged rooms are not judged anew. */
  kept?: Map<string, RoomRunner>;
}

/** The least steps over the rooms of a job. */
export function leastStepsOf(
  sets: readonly RoomSet[],
  atUtc: string,
  solve: SolveMixed,
  { coverings = [], tell = () => undefined, kept = new Map() }: LeastWith = {},
): LeastAnswer {
  const {
    job: whole,
    systems,
    unread,
  } = leastJob(sets, {
    atUtc,
    coverings,
    groundOf: neighbourGround(new Map(), atUtc),
    runnerOf: (roomId) => {
      const runner = kept.get(roomId) ?? roomRunner();
      kept.set(roomId, runner);
      return runner;
    },
    told: (rooms) => tell((0.5 * rooms) / sets.length),
  });
  const { job, hopeless } = withoutHopeless(whole, solve);
  let solved = 0;
  const counting: SolveMixed = (programme) => {
    const found = solve(programme);
    tell(0.5 + 0.12 * ++solved);
    return found;
  };
  const choices = job.rooms.length === 0 ? [] : leastSteps(job, counting);
  return { choices, rooms: systems, unread, hopeless, openings: job.openings.length };
}
