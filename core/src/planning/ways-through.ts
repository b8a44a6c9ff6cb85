import type { RoomSet } from '../assess/room-set.ts';
import type { WayIn } from './facts.ts';

/** So many ways into a room are told apart. */
const WAYS_MOST = 12;

/** Whether a room is come into by itself: as somebody said, else where it has an opening that leads into no other room of the job. */
export function hasOwnWay(set: RoomSet, waysIn: readonly WayIn[], joined: number): boolean {
  const said = waysIn.findLast(({ ofRoomId }) => ofRoomId === set.room.id);
  return said ? said.isOwn : joined === 0 || set.room.openings.length > joined;
}

/**
 * Ways into each room from outside: the rooms one has to go through, nearest first. A room with a way of its own has none on it. One that nothing leads to is come into by itself.
 */
export function waysThrough(
  sets: readonly RoomSet[],
  waysIn: readonly WayIn[],
): Record<string, readonly (readonly string[])[]> {
  const shared = new Map<string, string[]>();
  for (const { room } of sets)
    for (const { sharedId } of room.openings)
      if (sharedId) shared.set(sharedId, [...(shared.get(sharedId) ?? []), room.id]);
  const beside = new Map(
    sets.map(({ room }) => [
      room.id,
      [
        ...new Set(
          room.openings
            .flatMap(({ sharedId }) => (sharedId ? (shared.get(sharedId) ?? []) : []))
            .filter((id) => id !== room.id),
        ),
      ],
    ]),
  );
  const joinedOf = (set: RoomSet) =>
    set.room.openings.filter(({ sharedId }) => sharedId && (shared.get(sharedId)?.length ?? 0) > 1).length;
  const own = new Set(sets.filter((set) => hasOwnWay(set, waysIn, joinedOf(set))).map(({ room }) => room.id));
  const ways: Record<string, readonly (readonly string[])[]> = {};
  for (const { room } of sets) {
    if (own.has(room.id)) continue;
    const found: string[][] = [];
    // Shorter ways first: one that leads through all rooms of another is no way of its own.
    const waiting: string[][] = [[room.id]];
    for (let way = waiting.shift(); way && found.length < WAYS_MOST; way = waiting.shift()) {
      for (const next of beside.get(way.at(-1)!) ?? []) {
        if (way.includes(next)) continue;
        const through = [...way.slice(1), next];
        if (own.has(next)) {
          if (!found.some((other) => other.every((id) => through.includes(id)))) found.push(through);
        } else waiting.push([...way, next]);
      }
    }
    if (found.length > 0) ways[room.id] = found;
  }
  return ways;
}
