import { gap, say, type Said } from '../said/index.ts';
import { figure, flag, mayLack, text, within, type Held } from '../fields/index.ts';
import { distanceMm, firstCrossing, SHEET_MM, signedAreaM2, type Polygon, type PointMm } from './geometry.ts';

export const WALL_LENGTH_MM = { min: 20, max: 60_000 } as const;
export const TURN_DEG = { min: -179, max: 179 } as const;
export const WALL_COUNT = { min: 3, max: 60 } as const;

/** One wall as it was taped: its length, and the turn at its far end (left is positive, 90 is a square inside corner). */
export const WALL = {
  lengthMm: within(WALL_LENGTH_MM, 'mm'),
  turnDeg: within(TURN_DEG, 'deg'),
  /** What people call it, for example `hearth`; absent means W1, W2, ... by order. */
  name: mayLack(text(40)),
  /** Length taken off the drawing after dragging, not off a tape: shown as such until it is measured. */
  drawn: mayLack(flag()),
} as const;
export type Wall = Held<typeof WALL>;

/** Where the first corner lies on the sheet and which way the first wall runs. Dragging the first wall moves it, and nothing else. */
export const START = {
  xMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
  yMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
  headingDeg: figure(-360, 360, 'deg'),
} as const;
export type Start = Held<typeof START>;
export const ORIGIN: Start = { xMm: 0, yMm: 0, headingDeg: 0 };

/** Outline worked out from walls. `closingMm` is how far the last wall ends from the first corner. */
interface Outline {
  corners: Polygon;
  closingMm: number;
  /** Share of the perimeter, for judging whether the tape was misread. */
  closingShare: number;
  problem: OutlineProblem | null;
}

type OutlineProblem =
  | { kind: 'too-few-walls'; words: Said }
  | { kind: 'crossing'; firstWall: number; secondWall: number; words: Said }
  | { kind: 'open'; words: Said }
  | { kind: 'inside-out'; words: Said };

/** Closing error up to this share of the perimeter, or this many mm, is spread over the walls; more is refused. */
const CLOSING_SHARE_LIMIT = 0.02;
const CLOSING_FLOOR_MM = 30;

/** Name of a wall by its place in the order, from 0. */
export function wallName(walls: readonly Wall[], index: number): string {
  return walls[index]?.name?.trim() || `W${index + 1}`;
}

/** Walls of a rectangle `widthMm` along the first wall and `depthMm` across it. */
export function rectangleWalls(widthMm: number, depthMm: number): Wall[] {
  return [widthMm, depthMm, widthMm, depthMm].map((lengthMm) => ({ lengthMm, turnDeg: 90 }));
}

/** Turns a signed turn into words a person on the floor can follow. */
export function turnWords(turnDeg: number): Said {
  if (turnDeg === 90) return say('room.turnLeft');
  if (turnDeg === -90) return say('room.turnRight');
  if (turnDeg === 0) return say('room.straightOn');
  return say('room.turn', { what: turnDeg > 0 ? say('room.left') : say('room.right'), turnDeg: Math.abs(turnDeg) });
}

/**
 * Corners from wall lengths and turns, walked with the room on the left hand.
 * The closing error is spread over the walls in proportion to their lengths (the compass rule of traverse surveying),
 * so the drawn room closes; the error itself is reported, and refused when it is more than a misread tape.
 */
export function outlineOf(walls: readonly Wall[], start: Start = ORIGIN): Outline {
  const corners: PointMm[] = [];
  let [x, y, headingDeg, along] = [0, 0, start.headingDeg, 0];
  const before: number[] = [];
  for (const wall of walls) {
    corners.push({ xMm: x, yMm: y });
    before.push(along);
    x += wall.lengthMm * cosDeg(headingDeg);
    y += wall.lengthMm * sinDeg(headingDeg);
    along += wall.lengthMm;
    headingDeg += wall.turnDeg;
  }
  const closingMm = Math.hypot(x, y);
  const closingShare = along > 0 ? closingMm / along : 0;
  const closed = corners.map((corner, i) => ({
    xMm: start.xMm + corner.xMm - (along > 0 ? (x * before[i]!) / along : 0),
    yMm: start.yMm + corner.yMm - (along > 0 ? (y * before[i]!) / along : 0),
  }));
  return {
    corners: closed,
    closingMm,
    closingShare,
    problem: problemOf(walls, corners, closed, { xMm: x, yMm: y }, closingMm, closingShare),
  };
}

function problemOf(
  walls: readonly Wall[],
  taped: Polygon,
  closed: Polygon,
  end: PointMm,
  closingMm: number,
  share: number,
): OutlineProblem | null {
  if (walls.length < WALL_COUNT.min) {
    return {
      kind: 'too-few-walls',
      words: say('room.wallsARoomNeedsAtLeast', { wallsCount: walls.length, min: WALL_COUNT.min }),
    };
  }
  const open = closingMm > CLOSING_FLOOR_MM && share > CLOSING_SHARE_LIMIT;
  const crossing = open ? firstCrossing([...taped, end], false) : firstCrossing(closed);
  // The line that would close an open chain is not a wall and cannot be named as crossing one.
  if (crossing && crossing.first < walls.length && crossing.second < walls.length) {
    const [first, second] = [wallName(walls, crossing.first), wallName(walls, crossing.second)];
    return {
      kind: 'crossing',
      firstWall: crossing.first,
      secondWall: crossing.second,
      words: say('room.crosses', { second, first }),
    };
  }
  if (open) {
    return {
      kind: 'open',
      words: say('room.outlineOpen', { closingMm: gap(Math.round(closingMm)) }),
    };
  }
  if (signedAreaM2(closed) <= 0) {
    return { kind: 'inside-out', words: say('room.theWallsTurnRightAllRound') };
  }
  return null;
}

/** Exact at right angles, so that square rooms close to zero. */
export function cosDeg(deg: number): number {
  const turn = ((deg % 360) + 360) % 360;
  return turn === 0 ? 1 : turn === 180 ? -1 : turn === 90 || turn === 270 ? 0 : Math.cos((turn * Math.PI) / 180);
}

export function sinDeg(deg: number): number {
  return cosDeg(deg - 90);
}

/** Point on a wall, `alongMm` from its first corner. */
export function pointOnWall(corners: Polygon, wall: number, alongMm: number): PointMm {
  const a = corners[wall % corners.length]!;
  const b = corners[(wall + 1) % corners.length]!;
  const length = distanceMm(a, b);
  const t = length === 0 ? 0 : alongMm / length;
  return { xMm: a.xMm + t * (b.xMm - a.xMm), yMm: a.yMm + t * (b.yMm - a.yMm) };
}
