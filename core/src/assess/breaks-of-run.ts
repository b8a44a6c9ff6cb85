import { onStorey, runBreaks, type Pose, storeyOf, type RunBreaks, type RunOpening } from '../heights/index.ts';
import { isTimber, planOf, type RoomFacts } from '../room/index.ts';
import { joinedOpenings } from './joined-openings.ts';
import type { RoomSet } from './room-set.ts';

/** Rooms that are heated otherwise, or stand on another sort of base, move apart whatever the run. */
const moveApart = (a: RoomFacts, b: RoomFacts) =>
  a.base.heating !== b.base.heating || isTimber(a.baseKind) !== isTimber(b.baseKind);

const isBreakAsked = ({ partings }: RoomSet, openingId: string) =>
  partings.findLast((one) => one.openingId === openingId)?.asked === 'break';

/** Places on the storey that rooms were given by hand. */
export const ownPoses = (sets: readonly Pick<RoomSet, 'room' | 'poses'>[]): Map<string, Pose> =>
  new Map(
    sets.flatMap(({ room, poses }) => {
      const pose = poses.at(-1);
      return pose?.own ? [[room.id, pose] as const] : [];
    }),
  );

/** Ids by which openings are spoken of that join rooms with the same covering, and those of them it is parted in. */
export interface RunThrough extends RunBreaks {
  /** Openings, by the name both rooms share, through which the covering could go on. */
  joinedIds: string[];
}

/**
 * Where one covering that lies in several rooms is parted: rooms in place on the storey, each field no longer than the covering's
 * card allows, other heating and other bases always, and wherever somebody asked for it.
 */
export function breaksOfRun(set: RoomSet): RunThrough {
  const alike = [set, ...set.neighbours].filter(({ room }) => room.cardId === set.room.cardId);
  const rooms = alike.map(({ room }) => ({
    id: room.id,
    corners: planOf(room).corners,
    openings: room.openings.filter(({ kind }) => kind !== 'stair'),
  }));
  const { placed } = storeyOf(rooms, ownPoses(alike));
  const extents = rooms.map(({ id, corners }) => {
    const { pose } = placed.find(({ roomId }) => roomId === id)!;
    const at = corners.map((corner) => onStorey(pose, corner));
    const range = (mm: number[]): [number, number] => [Math.min(...mm), Math.max(...mm)];
    return { id, along: range(at.map(({ xMm }) => xMm)), across: range(at.map(({ yMm }) => yMm)) };
  });
  const openings = new Map<string, RunOpening>();
  for (const one of alike)
    for (const { opening, other, far } of joinedOpenings({ room: one.room, neighbours: alike }))
      if (other !== one && opening.kind !== 'stair')
        openings.set(opening.sharedId!, {
          id: opening.sharedId!,
          roomIds: [one.room.id, other.room.id],
          widthMm: opening.widthMm,
          always: moveApart(one.room, other.room) || isBreakAsked(one, opening.id) || isBreakAsked(other, far.id),
        });
  const runM = set.card.longestRunM;
  return {
    ...runBreaks(extents, [...openings.values()], runM === null ? null : runM * 1000),
    joinedIds: [...openings.keys()],
  };
}
