import {
  distanceMm,
  fixtureOutline,
  FIXTURES,
  placeOnWall,
  wallName,
  type Fixture,
  type Plan,
  type RoomFacts,
} from '../room/index.ts';
import type { TrimFate } from './facts.ts';

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
/** What stands this near to a wall stands against it: there is no skirting to take off behind it. */
const AGAINST_MM = 60;

/** Stretches of a wall without skirting to lift: openings, and what stands against the wall. */
function gapsOf(
  room: Pick<RoomFacts, 'openings' | 'fixtures'>,
  plan: Plan,
  wall: number,
): { fromMm: number; toMm: number }[] {
  const standing = room.fixtures
    .filter((f) => FIXTURES[f.kind].standing === 'island' && !f.round)
    .map((f) => ({ place: placeOnWall(plan.corners, f, wall), span: spanAlong(plan, f, wall) }))
    .filter(({ place }) => Math.abs(place.offMm) < AGAINST_MM)
    .map(({ place, span }) => ({ fromMm: place.alongMm, toMm: place.alongMm + span }));
  return [
    ...room.openings.filter((o) => o.wall === wall).map((o) => ({ fromMm: o.fromMm, toMm: o.fromMm + o.widthMm })),
    ...standing,
  ].sort((a, b) => a.fromMm - b.fromMm);
}

/** How far a fixture reaches along a wall, mm. */
function spanAlong(plan: Plan, fixture: Fixture, wall: number): number {
  const [a, b] = [plan.corners[wall]!, plan.corners[(wall + 1) % plan.corners.length]!];
  const length = distanceMm(a, b) || 1;
  const along = fixtureOutline(fixture).map(
    (p) => ((p.xMm - a.xMm) * (b.xMm - a.xMm) + (p.yMm - a.yMm) * (b.yMm - a.yMm)) / length,
  );
  return Math.max(...along) - Math.min(...along);
}

/** Skirting pieces wall by wall, broken at openings and at what stands against the wall, each with what becomes of it (refit unless answered otherwise). */
export function trimPieces(
  room: Pick<RoomFacts, 'walls' | 'openings' | 'fixtures'>,
  plan: Plan,
  fates: readonly TrimFate[],
): TrimPiece[] {
  const n = plan.corners.length;
  return plan.corners.flatMap((corner, wall) => {
    const lengthMm = distanceMm(corner, plan.corners[(wall + 1) % n]!);
    const gaps = gapsOf(room, plan, wall);
    const pieces: [number, number][] = [];
    let at = 0;
    for (const gap of gaps) {
      pieces.push([at, Math.min(gap.fromMm, lengthMm)]);
      at = Math.max(at, gap.toMm);
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
          fate: fates.findLast((f) => f.piece === label)?.fate ?? 'refit',
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
