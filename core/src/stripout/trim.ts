import { answerTo, type Answer } from '../layers/index.ts';
import { distanceMm, wallName, type Plan, type RoomFacts } from '../room/index.ts';

/** One length of skirting between openings or corners. */
export interface TrimPiece {
  /** Written on its back: wall and letter, as `W1-a`. */
  label: string;
  wall: number;
  fromMm: number;
  lengthMm: number;
  fate: 'refit' | 'discard';
}

const LEAST_MM = 40;

/** Skirting pieces wall by wall, broken at openings, each with what becomes of it (refit unless answered otherwise). */
export function trimPieces(
  room: Pick<RoomFacts, 'walls' | 'openings'>,
  plan: Plan,
  answers: readonly Answer[],
): TrimPiece[] {
  const n = plan.corners.length;
  return plan.corners.flatMap((corner, wall) => {
    const lengthMm = distanceMm(corner, plan.corners[(wall + 1) % n]!);
    const gaps = room.openings.filter((o) => o.wall === wall).sort((a, b) => a.fromMm - b.fromMm);
    const pieces: [number, number][] = [];
    let at = 0;
    for (const gap of gaps) {
      pieces.push([at, gap.fromMm]);
      at = Math.max(at, gap.fromMm + gap.widthMm);
    }
    pieces.push([at, lengthMm]);
    return pieces
      .filter(([from, to]) => to - from >= LEAST_MM)
      .map(([from, to], i): TrimPiece => {
        const label = `${shortWall(room, wall)}-${String.fromCharCode(97 + (i % 26))}`;
        return {
          label,
          wall,
          fromMm: from,
          lengthMm: to - from,
          fate: answerTo(answers, `trim/${label}`) === 'discard' ? 'discard' : 'refit',
        };
      });
  });
}

/** Labels stay short and unchanging: the wall's number, whatever it is called. */
function shortWall(room: Pick<RoomFacts, 'walls'>, wall: number): string {
  return wallName(
    room.walls.map(({ lengthMm, turnDeg }) => ({ lengthMm, turnDeg })),
    wall,
  );
}
