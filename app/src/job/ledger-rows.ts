import type { HeightsOfRoom, RoomSet } from '@maquette/core';
import { ledgerOf, type LedgerRow, type StairJudged } from '@maquette/core/heights';
import { openingName, type Opening } from '@maquette/core/room';
import type { Say } from '../ui/shown-in.tsx';
import type { RoomOfJob } from './use-job-heights.ts';

/** One opening of the job with the names it is spoken of by, and the room it is judged in. */
export interface ShownRow {
  row: LedgerRow;
  room: string;
  otherRoom: string;
  opening: string;
  set: RoomSet;
  heights: HeightsOfRoom;
  /** Risers of the flight that begins there; null where none does, or nobody has read it. */
  stair: StairJudged | null;
}

/**
 * Every opening of a job once. One that two rooms share stands where it was read; where neither side was, under the room that comes
 * first.
 */
export function ledgerRows(rooms: readonly RoomOfJob[], say: Say): ShownRow[] {
  const judged = rooms.flatMap(({ set, heights }) => (heights ? [{ set, heights }] : []));
  const seen = new Set<string>();
  return judged.flatMap(({ set, heights }) =>
    set.room.openings.flatMap((opening): ShownRow[] => {
      const one = heights.judged.openings.find(({ openingId }) => openingId === opening.id);
      const far = farSide(judged, set, opening);
      const name = opening.sharedId ?? opening.id;
      if (!one || seen.has(name)) return [];
      const isHere =
        one.step !== null &&
        !heights.joined.some(({ openingId, readBeyond }) => openingId === opening.id && readBeyond);
      // The other side knows more: it stands there.
      if (far && !isHere && far.known) return [];
      // A flight stands where its risers were read.
      if (far?.hasFlight && !heights.stairs.some(({ openingId }) => openingId === opening.id)) return [];
      seen.add(name);
      const sawMm = heights.undercuts.flatMap(({ openingId, treatment, side, cut }) =>
        openingId === opening.id && treatment === 'saw' && side === 'here' && cut ? [cut.overLyingMm] : [],
      );
      const [row] = ledgerOf([
        { roomId: set.room.id, otherRoomId: far?.set.room.id ?? null, widthMm: opening.widthMm, judged: one, sawMm },
      ]);
      return [
        {
          row: row!,
          room: set.room.name,
          otherRoom: far?.set.room.name ?? '',
          opening: say(openingName(set.room, opening)),
          set,
          heights,
          stair: heights.stairs.find(({ openingId }) => openingId === opening.id) ?? null,
        },
      ];
    }),
  );
}

function farSide(judged: readonly { set: RoomSet; heights: HeightsOfRoom }[], set: RoomSet, { sharedId }: Opening) {
  if (sharedId === null) return null;
  for (const other of judged) {
    if (other.set.room.id === set.room.id) continue;
    const opening = other.set.room.openings.find((one) => (one.sharedId ?? one.id) === sharedId);
    if (!opening) continue;
    const step = other.heights.judged.openings.find(({ openingId }) => openingId === opening.id)?.step ?? null;
    const mirrored = other.heights.joined.some(({ openingId, readBeyond }) => openingId === opening.id && readBeyond);
    return {
      set: other.set,
      known: step !== null && !mirrored,
      hasFlight: other.heights.stairs.some(({ openingId }) => openingId === opening.id),
    };
  }
  return null;
}
