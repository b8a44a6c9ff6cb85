import type { Fixture } from './fixtures.ts';
import { distanceMm, distanceToSegmentMm, type PointMm, type Polygon } from './geometry.ts';

/** Where a fixture is, as one tapes it: along a wall from its start, and off it. Round things to their middle, others to the near edge. */
export interface WallPlace {
  wall: number;
  alongMm: number;
  offMm: number;
}

function wallFrame(corners: Polygon, wall: number) {
  const a = corners[wall]!;
  const b = corners[(wall + 1) % corners.length]!;
  const length = distanceMm(a, b) || 1;
  const [ux, uy] = [(b.xMm - a.xMm) / length, (b.yMm - a.yMm) / length];
  return { a, ux, uy, length, headingDeg: (Math.atan2(uy, ux) * 180) / Math.PI };
}

/** Half of the fixture's reach along a wall and across it, mm: 0 for round things, which are taped to their middle. */
function halves(fixture: Fixture, headingDeg: number): { along: number; across: number } {
  if (fixture.round) return { along: 0, across: 0 };
  const turn = ((fixture.turnDeg - headingDeg) * Math.PI) / 180;
  const [c, s] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
  return {
    along: (fixture.widthMm * c + fixture.depthMm * s) / 2,
    across: (fixture.widthMm * s + fixture.depthMm * c) / 2,
  };
}

/** The wall a fixture stands nearest to. */
export function nearestWall(corners: Polygon, xMm: number, yMm: number): number {
  let [best, least] = [0, Infinity];
  corners.forEach((a, i) => {
    const apart = distanceToSegmentMm(xMm, yMm, a, corners[(i + 1) % corners.length]!);
    if (apart < least) [best, least] = [i, apart];
  });
  return best;
}

/** Where a fixture is, taped from a wall. */
export function placeOnWall(corners: Polygon, fixture: Fixture, wall: number): WallPlace {
  const { a, ux, uy, headingDeg } = wallFrame(corners, wall);
  const [dx, dy] = [fixture.xMm - a.xMm, fixture.yMm - a.yMm];
  const half = halves(fixture, headingDeg);
  return {
    wall,
    alongMm: Math.round((dx * ux + dy * uy - half.along) * 10) / 10,
    offMm: Math.round((-dx * uy + dy * ux - half.across) * 10) / 10,
  };
}

/** The point that lies so far along a wall from its start, and so far off it into the room, mm. */
export function tapedFromWall(corners: Polygon, { wall, alongMm, offMm }: WallPlace): PointMm {
  const { a, ux, uy } = wallFrame(corners, wall);
  return {
    xMm: Math.round((a.xMm + alongMm * ux - offMm * uy) * 10) / 10,
    yMm: Math.round((a.yMm + alongMm * uy + offMm * ux) * 10) / 10,
  };
}

/** The fixture set at a place taped from a wall; with `turned` its back is laid along that wall. */
export function setOnWall(corners: Polygon, fixture: Fixture, place: WallPlace, turned = false): Fixture {
  const { headingDeg } = wallFrame(corners, place.wall);
  const moved = turned && !fixture.round ? { ...fixture, turnDeg: Math.round(headingDeg * 1000) / 1000 } : fixture;
  const half = halves(moved, headingDeg);
  const middle = { wall: place.wall, alongMm: place.alongMm + half.along, offMm: place.offMm + half.across };
  return { ...moved, ...tapedFromWall(corners, middle) };
}
