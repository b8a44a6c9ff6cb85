import simplify from 'simplify-js';
import { distanceMm, tapeFrom, type Plan, type PointMm, type RoomFacts, type WallDistance } from '../room/index.ts';
import { isSpot, type Patch } from './patches.ts';

/** One point to chalk on the floor, by two tapes. */
export interface ChalkPoint {
  /** Stays the same while the point does: a chalked point is ticked under it. */
  key: string;
  label: string;
  /** Number within its area, from 1. */
  number: number;
  of: number;
  at: PointMm;
  tapes: WallDistance[];
}

/** A chalked line may leave the outline by this much: fewer tapes to pull, and the edge is feathered anyway. */
const LEAVES_MM = 80;
/** Chalk is set to the nearest this much, mm. */
const CHALK_MM = 10;

/**
 * Corners of every area in the order they are chalked: the area nearest to where one stands next, round its outline from the
 * corner nearest to that place; a spot by its middle alone. Distances as a tape is read, to the centimetre.
 */
export function chalkPoints(room: RoomFacts, plan: Plan, areas: readonly Patch[], start: PointMm): ChalkPoint[] {
  const points: ChalkPoint[] = [];
  let here = start;
  const left = areas.flatMap((area) =>
    isSpot(area)
      ? [{ label: area.label, outline: corners([area.deepestAt]) }]
      : area.outlines.map((outline) => ({ label: area.label, outline: corners(outline) })),
  );
  while (left.length > 0) {
    const away = left.map(({ outline }) => Math.min(...outline.map((p) => distanceMm(here, p))));
    const [{ label, outline }] = left.splice(away.indexOf(Math.min(...away)), 1) as [(typeof left)[number]];
    const from = outline.map((p) => distanceMm(here, p));
    const first = from.indexOf(Math.min(...from));
    const round = [...outline.slice(first), ...outline.slice(0, first)];
    round.forEach((at, i) =>
      points.push({
        key: `chalk/${label}/${at.xMm},${at.yMm}`,
        label,
        number: i + 1,
        of: round.length,
        at,
        tapes: tapeFrom(room, plan, at),
      }),
    );
    here = round[0]!;
  }
  return points;
}

function corners(outline: readonly (readonly [number, number])[]): PointMm[] {
  const closed = outline.map(([x, y]) => ({ x, y }));
  const set = simplify(closed, LEAVES_MM, true).map(({ x, y }) => ({ xMm: chalk(x), yMm: chalk(y) }));
  return set.filter((p, i) => {
    const next = set[(i + 1) % set.length]!;
    return set.length === 1 || p.xMm !== next.xMm || p.yMm !== next.yMm;
  });
}

const chalk = (mm: number) => Math.round(mm / CHALK_MM) * CHALK_MM;
