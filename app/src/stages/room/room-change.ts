import { useState } from 'react';
import type { Opening, RoomFacts } from '@maquette/core/room';
import { bodyOf } from '../../data/merge.ts';
import { useBook, type ShownRoom } from '../../data/use-facts.ts';
import { write, type Change } from '../../data/write.ts';

/** An opening two rooms share, as it is seen from the other side. */
export function seenFromBeyond(own: Opening, other: Opening): Opening {
  return {
    ...other,
    kind: own.kind,
    widthMm: own.widthMm,
    hinge: own.hinge === 'start' ? 'end' : 'start',
    swing: own.swing === 'in' ? 'out' : 'in',
    beyondLevelMm: own.beyondLevelMm === null ? other.beyondLevelMm : own.beyondLevelMm === 0 ? 0 : -own.beyondLevelMm,
  };
}

/** Writes parts of a room as one step; openings shared with other rooms of the job are changed there too. */
export function useRoomChange(shown: ShownRoom) {
  const book = useBook();
  const [problem, setProblem] = useState<string | null>(null);
  const change = async (words: string, part: Partial<RoomFacts>): Promise<boolean> => {
    const room = shown.room!;
    const changes: Change[] = [{ kind: 'rooms', id: room.id, body: { ...bodyOf(room), ...part } as never }];
    for (const own of part.openings ?? []) {
      if (own.sharedId === null) continue;
      const before = (room.openings as Opening[]).find((o) => o.id === own.id);
      if (before && JSON.stringify(before) === JSON.stringify(own)) continue;
      for (const other of book.rooms.filter((r) => r.id !== room.id && r.jobId === room.jobId)) {
        const openings = other.openings as Opening[];
        if (!openings.some((o) => o.sharedId === own.sharedId)) continue;
        const next = openings.map((o) => (o.sharedId === own.sharedId ? seenFromBeyond(own, o) : o));
        changes.push({ kind: 'rooms', id: other.id, body: { ...bodyOf(other), openings: next } as never });
      }
    }
    const result = await write(words, changes);
    setProblem(result.ok ? null : result.problems.map((p) => `${p.field}: ${p.message}`).join('; '));
    return result.ok;
  };
  return { change, problem };
}

export type RoomChange = ReturnType<typeof useRoomChange>['change'];
