import type { Opening } from '../room/index.ts';
import type { RoomSet } from './room-set.ts';

/** An opening that leads into another room of the job, with that room and its own side of the opening. */
export interface JoinedOpening {
  opening: Opening;
  other: RoomSet;
  far: Opening;
}

const sharedAs = ({ sharedId, id }: Opening) => sharedId ?? id;

/** Openings of a room that lead into rooms of its job: named alike on both sides. */
export const joinedOpenings = ({ room, neighbours }: Pick<RoomSet, 'room' | 'neighbours'>): JoinedOpening[] =>
  room.openings.flatMap((opening): JoinedOpening[] => {
    if (opening.sharedId === null) return [];
    for (const other of neighbours) {
      const far = other.room.openings.find((one) => sharedAs(one) === opening.sharedId);
      if (far) return [{ opening, other, far }];
    }
    return [];
  });
