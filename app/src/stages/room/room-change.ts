import { useState } from 'react';
import {
  fitOpenings,
  openingName,
  openingProblem,
  renumberOpenings,
  type Opening,
  type RoomFacts,
  type Start,
  type Wall,
} from '@maquette/core/room';
import { bodyOf } from '@maquette/facts';
import { useBook, type ShownRoom } from '../../data/use-facts.ts';
import { write, type Change } from '../../data/write.ts';
import { useSay } from '../../ui/shown-in.tsx';

/** Where an opening is after walls were divided or taken out; null where it went with its wall. */
export type Renumber = (opening: Pick<Opening, 'wall' | 'fromMm'>) => { wall: number; fromMm: number } | null;

/**
 * What a room becomes on new walls, however they came about: openings stay on their walls as far as they fit, diagonals go when
 * their corners did. What went is said in the words of the change, and undo brings it back.
 */
export function onWalls(
  room: RoomFacts,
  words: string,
  next: { walls: Wall[]; start?: Start; renumber?: Renumber; keepDiagonals?: boolean },
): { words: string; part: Partial<RoomFacts> } {
  const { walls, start, renumber = (o) => o, keepDiagonals = false } = next;
  const moved = renumberOpenings(room.openings, renumber);
  const fitted = fitOpenings(moved.openings, walls);
  const lost = moved.lost.length + fitted.lost.length;
  const kept = keepDiagonals && walls.length === room.walls.length;
  const gone = kept ? 0 : room.diagonals.length;
  const said = [
    words,
    ...(lost > 0 ? [`${lost} opening${lost === 1 ? '' : 's'} no longer fit and went`] : []),
    ...(gone > 0 ? ['diagonals went with the old corners'] : []),
  ];
  return {
    words: said.join('; '),
    part: { walls, ...(start ? { start } : {}), openings: fitted.openings, ...(gone > 0 ? { diagonals: [] } : {}) },
  };
}

/** Whether an opening of another room is the far side of one shared under this name. One not shared yet goes by its own id. */
export function isFarSide(other: Opening, sharedId: string | null): boolean {
  return sharedId !== null && (other.sharedId ?? other.id) === sharedId;
}

/** An opening two rooms share, as it is seen from the other side. */
export function seenFromBeyond(own: Opening, other: Opening): Opening {
  return {
    ...other,
    kind: own.kind,
    widthMm: own.widthMm,
    hinge: own.hinge === 'start' ? 'end' : 'start',
    swing: own.swing === 'in' ? 'out' : 'in',
    sharedId: own.sharedId,
  };
}

/** Writes parts of a room as one step; openings shared with other rooms of the job are changed there too. */
export function useRoomChange(shown: ShownRoom) {
  const say = useSay();
  const book = useBook();
  const [problem, setProblem] = useState<string | null>(null);
  const change = async (words: string, part: Partial<RoomFacts>): Promise<boolean> => {
    const room = shown.room!;
    const changes: Change[] = [{ kind: 'rooms', id: room.id, body: { ...bodyOf(room), ...part } }];
    const before = room.openings as Opening[];
    const touched = (part.openings ?? []).filter(
      (own) => own.sharedId !== null && JSON.stringify(before.find((o) => o.id === own.id)) !== JSON.stringify(own),
    );
    for (const other of book.rooms.filter((r) => r.id !== room.id && r.jobId === room.jobId)) {
      const far = other.openings as Opening[];
      const next = far.map((o) => {
        const own = touched.find((t) => isFarSide(o, t.sharedId));
        return own ? seenFromBeyond(own, o) : o;
      });
      if (next.every((o, i) => o === far[i])) continue;
      const there = other;
      const wrong = next.flatMap((o) => {
        const why = openingProblem(there.walls, o);
        return why ? [{ o, why }] : [];
      })[0];
      if (wrong) {
        setProblem(`${other.name}, ${say(openingName(there, wrong.o))}: ${say(wrong.why)}`);
        return false;
      }
      changes.push({ kind: 'rooms', id: other.id, body: { ...bodyOf(other), openings: next } });
    }
    const result = await write(words, changes);
    setProblem(result.ok ? null : result.problems.map((p) => `${p.field}: ${p.message}`).join('; '));
    return result.ok;
  };
  return { change, problem };
}

export type RoomChange = ReturnType<typeof useRoomChange>['change'];
