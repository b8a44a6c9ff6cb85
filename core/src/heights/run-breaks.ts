/** A room as its covering runs through it: how far it reaches along and across the planks, on the storey's sheet, mm. */
export interface RunRoom {
  id: string;
  along: readonly [from: number, to: number];
  across: readonly [from: number, to: number];
}

/** An opening the covering may run through. */
export interface RunOpening {
  id: string;
  roomIds: readonly [string, string];
  widthMm: number;
  /** Parted whatever the run: other heating, a joint of the building, another base, or asked for. */
  always: boolean;
}

export interface RunBreaks {
  /** Openings the covering is parted in. */
  openingIds: string[];
  /** Rooms longer than the run by themselves: each asks for a line of its own. */
  longRoomIds: string[];
}

/** Up to so many openings every choice is tried; a job with more is parted at each. */
const TRIED_MOST = 16;

/**
 * Where a floating covering is parted so that no field reaches farther than its card allows, along or across: at the fewest
 * openings, and of those at the narrowest. Joints of the building, other heating and other bases part it always. A room that
 * is longer by itself is told apart: no opening helps it.
 */
export function runBreaks(rooms: readonly RunRoom[], openings: readonly RunOpening[], runMm: number | null): RunBreaks {
  const always = openings.filter((opening) => opening.always);
  const free = openings.filter((opening) => !opening.always);
  if (runMm === null) return { openingIds: always.map(({ id }) => id), longRoomIds: [] };
  const longRoomIds = rooms.filter((room) => reachMm([room]) > runMm).map(({ id }) => id);
  const long = new Set(longRoomIds);
  const holds = (through: readonly RunOpening[]) =>
    fields(rooms, through).every((field) => field.length === 1 || reachMm(field) <= runMm);
  // A room that is too long by itself joins nothing: its own line would have to part the others too.
  const joinable = free.filter(({ roomIds }) => !roomIds.some((id) => long.has(id)));
  const parted = free.filter((opening) => !joinable.includes(opening));
  const broken = joinable.length > TRIED_MOST ? joinable : fewest(joinable, holds);
  return { openingIds: [...always, ...parted, ...broken].map(({ id }) => id), longRoomIds };
}

/** The fewest of some openings, and of as many the least in width, without which the rest holds. */
function fewest(openings: readonly RunOpening[], holds: (through: readonly RunOpening[]) => boolean): RunOpening[] {
  let best = [...openings];
  let bestWidth = Infinity;
  for (let chosen = 0; chosen < 2 ** openings.length; chosen++) {
    const broken = openings.filter((_, k) => chosen & (1 << k));
    if (broken.length > best.length) continue;
    const widthMm = broken.reduce((sum, opening) => sum + opening.widthMm, 0);
    if (broken.length === best.length && widthMm >= bestWidth) continue;
    if (!holds(openings.filter((_, k) => !(chosen & (1 << k))))) continue;
    [best, bestWidth] = [broken, widthMm];
  }
  return best;
}

/** Rooms that hang together through openings. */
function fields(rooms: readonly RunRoom[], through: readonly RunOpening[]): RunRoom[][] {
  const left = new Set(rooms);
  const all: RunRoom[][] = [];
  for (const first of rooms) {
    if (!left.delete(first)) continue;
    const field = [first];
    for (const room of field)
      for (const { roomIds } of through) {
        if (!roomIds.includes(room.id)) continue;
        const next = [...left].find(({ id }) => roomIds.includes(id));
        if (next && left.delete(next)) field.push(next);
      }
    all.push(field);
  }
  return all;
}

/** How far rooms reach together, along or across, whichever is more, mm. */
function reachMm(field: readonly RunRoom[]): number {
  const reach = (of: (room: RunRoom) => readonly [number, number]) =>
    Math.max(...field.map((room) => of(room)[1])) - Math.min(...field.map((room) => of(room)[0]));
  return Math.max(
    reach(({ along }) => along),
    reach(({ across }) => across),
  );
}
