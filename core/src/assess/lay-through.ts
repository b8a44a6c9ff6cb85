import type { Opening } from '../room/index.ts';
import { joinedOpenings } from './joined-openings.ts';
import type { RoomSet } from './room-set.ts';

/** A room that planks run on into, with its own openings through which they do. */
export interface RoomThrough {
  set: RoomSet;
  /** Ways in and on: openings whose floor is laid as well. */
  doors: ReadonlySet<string>;
  /** Those of them that lead on, farther from where the rows begin. */
  onward: ReadonlySet<string>;
}

const chosenBy = ({ setOuts }: Pick<RoomSet, 'setOuts'>): ReadonlySet<string> =>
  new Set(setOuts.at(-1)?.through.map(({ openingId }) => openingId) ?? []);

/** A room with all the others of its storey about it: those beside it carry no neighbours of their own. */
const among = (set: RoomSet, all: readonly RoomSet[]): Pick<RoomSet, 'room' | 'neighbours'> => ({
  room: set.room,
  neighbours: all.filter((other) => other.room.id !== set.room.id),
});

/** Rooms that the planks of one run on into, however many openings lie between, the nearest first. */
export function roomsThrough(set: RoomSet, all: readonly RoomSet[] = [set, ...set.neighbours]): RoomThrough[] {
  const found = new Map<string, { set: RoomSet; doors: Set<string>; onward: Set<string> }>();
  const waiting: RoomSet[] = [set];
  for (let from = waiting.shift(); from; from = waiting.shift()) {
    const own = chosenBy(from);
    const onward = found.get(from.room.id);
    for (const { opening, other, far } of joinedOpenings(among(from, all))) {
      if (!own.has(opening.id)) continue;
      const known = found.get(other.room.id);
      // Back over the opening one came by is nothing new; another way to a room that is reached is laid as well.
      if (onward && !onward.doors.has(opening.id)) {
        onward.doors.add(opening.id);
        onward.onward.add(opening.id);
      }
      if (other.room.id === set.room.id) continue;
      if (known) known.doors.add(far.id);
      else {
        found.set(other.room.id, { set: other, doors: new Set([far.id]), onward: new Set() });
        waiting.push(other);
      }
    }
  }
  return [...found.values()];
}

/** The room whose planks run on into this one, the farthest of them; of rooms that run into one another the first by its id leads. Null where this one leads. */
export function laidFrom(set: RoomSet): RoomSet['room'] | null {
  const all = [set, ...set.neighbours];
  const reached = (from: RoomSet) => new Set(roomsThrough(from, all).map((one) => one.set.room.id));
  const own = reached(set);
  const leads = set.neighbours.filter(({ room, setOuts, ...other }) => {
    if ((setOuts.at(-1)?.through.length ?? 0) === 0) return false;
    return reached({ room, setOuts, ...other }).has(set.room.id) && !(own.has(room.id) && set.room.id < room.id);
  });
  const [first] = leads
    .map((lead) => ({ room: lead.room, count: reached(lead).size }))
    .sort((a, b) => b.count - a.count || (a.room.id < b.room.id ? -1 : 1));
  return first?.room ?? null;
}

/** Every opening that is laid through, on the side it is left by. */
export function openingsThrough(set: RoomSet): { room: RoomSet['room']; opening: Opening }[] {
  const all = [set, ...set.neighbours];
  return [{ set }, ...roomsThrough(set, all)].flatMap(({ set: from }) => {
    const own = chosenBy(from);
    return joinedOpenings(among(from, all)).flatMap(({ opening }) =>
      own.has(opening.id) ? [{ room: from.room, opening }] : [],
    );
  });
}
