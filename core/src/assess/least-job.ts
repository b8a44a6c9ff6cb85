import type { CoveringCard } from '../coverings/index.ts';
import { figuresOf } from '../figures/index.ts';
import { oneDatum, placesAt, type DatumTie, type HeightsJob } from '../heights/index.ts';
import type { RoomRunner } from './assess-room.ts';
import { beyondOf } from './beyond-of.ts';
import type { HeightGround } from './height-ground.ts';
import { joinedOpenings } from './joined-openings.ts';
import { limitsOf } from './least-limits.ts';
import { classesOf, leavesOf, openingsOf } from './least-places.ts';
import type { Side } from './least-side.ts';
import { roomOf, type LeastSystem } from './least-systems.ts';
import { planRoom } from './level-room.ts';
import { newFloor } from './new-floor.ts';
import type { RoomSet } from './room-set.ts';

/** A job for the least steps, with what its systems stand for and the rooms that are left out of it. */
export interface LeastJob {
  job: HeightsJob;
  systems: { roomId: string; systems: LeastSystem[]; topMm: number; pourAtMm: number }[];
  /** Rooms whose floor is not read: nothing is chosen for them. */
  unread: string[];
}

/** What a job's least steps are worked out from, beside its rooms. */
export interface LeastFrom {
  atUtc: string;
  /** Coverings that may be laid in place of a room's own. */
  coverings: readonly CoveringCard[];
  groundOf: (set: RoomSet) => HeightGround;
  /** What judges a room, by its id. */
  runnerOf: (roomId: string) => RoomRunner;
  /** Told of each room as it is worked out. */
  told?: (rooms: number) => void;
}

/**
 * The least steps of a job as a programme: rooms whose floors are read, what may lie in each, what pouring takes, and every opening,
 * leaf and level that counts. Heights are over the datum of the first room of each group that readings tie together.
 */
export function leastJob(
  sets: readonly RoomSet[],
  { atUtc, coverings, groundOf, runnerOf, told = () => undefined }: LeastFrom,
): LeastJob {
  const read = sets.flatMap((set, k) => {
    const ground = groundOf(set);
    const runner = runnerOf(set.room.id);
    const levelling = ground.state && planRoom(set, atUtc, { runner });
    told((k + 1) / 2);
    if (!ground.state) return [];
    // A floor that is kept is levelled as it is planned: its levels are those it then has.
    const change = levelling && !levelling.nothingToDo ? levelling.fill.change : null;
    return [{ set, ground, levelling, runner, floor: newFloor(set, ground.strip, ground.state, change) }];
  });
  const { offsetMm } = oneDatum(
    read.map(({ set }) => set.room.id),
    tiesOf(read, groundOf),
  );
  const sides = read.map((one): Side => ({
    ...one,
    offsetMm: offsetMm.get(one.set.room.id) ?? 0,
    figure: figuresOf(one.set.figures, one.set.room.units),
  }));
  const rooms = sides.map((side, k) => {
    const made = { side, ...roomOf(side, atUtc, coverings) };
    told((sets.length / 2) * (1 + (k + 1) / sides.length));
    return made;
  });
  return {
    job: {
      rooms: rooms.map(({ room }) => room),
      openings: openingsOf(sides, groundOf),
      classes: classesOf(sides[0]?.figure ?? figuresOf([])),
      leaves: leavesOf(sides),
      limits: sides.flatMap(limitsOf),
    },
    systems: rooms.map(({ side, systems, topMm }) => ({
      roomId: side.set.room.id,
      systems,
      topMm,
      pourAtMm: side.offsetMm,
    })),
    unread: sets.flatMap(({ room }) => (read.some(({ set }) => set.room.id === room.id) ? [] : [room.id])),
  };
}

/** What was read beyond a shared opening is a height of the other room's floor: it ties the two. */
function tiesOf(
  read: readonly Pick<Side, 'set' | 'ground' | 'floor'>[],
  groundOf: (set: RoomSet) => HeightGround,
): DatumTie[] {
  return read.flatMap(({ set, ground, floor }) => {
    const joined = joinedOpenings(set);
    const levels = beyondOf({ set, ground, floor }, joined, groundOf);
    return joined.flatMap(({ opening, other, far }): DatumTie[] => {
      const there = read.find((one) => one.set.room.id === other.room.id);
      const known = levels.get(opening.id);
      if (!there || !known || known.readThere) return [];
      return known.levels.flatMap(({ alongMm, levelMm, offMm }): DatumTie[] => {
        const { inside } = placesAt(there.ground.plan.corners, far, [far.widthMm - Math.min(alongMm, far.widthMm)])[0]!;
        const theirs = there.floor.surfaceAt(inside);
        return theirs === null
          ? []
          : [
              {
                id: `${opening.id}/${alongMm}`,
                roomIds: [set.room.id, other.room.id],
                levelsMm: [levelMm, theirs],
                offMm: Math.hypot(offMm, there.floor.offMm),
              },
            ];
      });
    });
  });
}
