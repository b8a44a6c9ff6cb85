import { gap, gapFigure, say, type Said } from '../said/index.ts';
import { boundsMm, type Plan, type PointMm } from '../room/index.ts';
import { EDGE_RANGES, type EdgeWalk } from './facts.ts';

export const edgeLengthMm = (walk: Pick<EdgeWalk, 'fromXMm' | 'fromYMm' | 'toXMm' | 'toYMm'>) =>
  Math.hypot(walk.toXMm - walk.fromXMm, walk.toYMm - walk.fromYMm);

/** A placement counts for a rule when its edge is the rule's own to within this share. */
const OWN_LENGTH_SHARE = 0.03;

/** Whether an edge of a rule's own length was laid. */
export const isOwnLength = (walk: EdgeWalk, edgeMm: number) =>
  Math.abs(edgeLengthMm(walk) / edgeMm - 1) <= OWN_LENGTH_SHARE;

/** Plan place of a distance along a walk. */
export function alongEdge(walk: EdgeWalk, atMm: number): PointMm {
  const t = atMm / (edgeLengthMm(walk) || 1);
  return { xMm: walk.fromXMm + t * (walk.toXMm - walk.fromXMm), yMm: walk.fromYMm + t * (walk.toYMm - walk.fromYMm) };
}

/** Readings of one placement: heights against the edge's own line, whose level and tilt nobody knows. */
interface EdgeReading extends PointMm {
  walkId: string;
  /** Metres along the edge from its middle. */
  alongM: number;
  /** Height over the edge's line, mm: nothing where it touches, below it elsewhere. */
  offMm: number;
}

/** What a placement says of the floor under it: contacts at nothing, gaps below; rocking, both ends below the contact. */
export function edgeReadings(walk: EdgeWalk): EdgeReading[] {
  const length = edgeLengthMm(walk);
  const reading = (atMm: number, offMm: number): EdgeReading => ({
    ...alongEdge(walk, atMm),
    walkId: walk.id,
    alongM: (atMm - length / 2) / 1000,
    offMm,
  });
  const ends = walk.rocksMm === null ? [] : [reading(0, -walk.rocksMm), reading(length, -walk.rocksMm)];
  return [
    ...walk.contactsMm.map((at) => reading(at, 0)),
    ...ends,
    ...walk.gaps.map(({ atMm, gapMm }) => reading(atMm, -gapMm)),
  ];
}

/** Largest gap read under a placement, rocking included; where it is, along the edge. */
export function worstUnder(walk: EdgeWalk): { gapMm: number; atMm: number; rocks: boolean } {
  const worst = walk.gaps.reduce((most, gap) => (gap.gapMm > most.gapMm ? gap : most), { gapMm: 0, atMm: 0 });
  const rocks = walk.rocksMm !== null && walk.rocksMm > worst.gapMm;
  return rocks ? { gapMm: walk.rocksMm!, atMm: walk.contactsMm[0] ?? 0, rocks } : { ...worst, rocks: false };
}

/** Why a placement says nothing as entered, or null: one gap alone has unknown level and tilt. */
export function edgeProblem(walk: EdgeWalk): Said | null {
  const length = edgeLengthMm(walk);
  if (length < EDGE_RANGES.lengthMm.min || length > EDGE_RANGES.lengthMm.max)
    return say('flat.edgeLengthOutOfRange', {
      length: gap(Math.round(length)),
      min: gapFigure(EDGE_RANGES.lengthMm.min),
      max: gap(EDGE_RANGES.lengthMm.max),
    });
  const outside = [...walk.contactsMm, ...walk.gaps.map((g) => g.atMm)].find((at) => at < 0 || at > length + 1);
  if (outside !== undefined)
    return say('flat.liesPastTheEdge', { outside: gap(Math.round(outside)), length: gap(Math.round(length)) });
  if (walk.rocksMm === null && walk.contactsMm.length < 2) return say('flat.anEdgeThatLiesStillTouches');
  if (walk.rocksMm !== null && walk.contactsMm.length !== 1) return say('flat.anEdgeThatRocksTouchesAt');
  return null;
}

/** The edge and plan places where it is proposed to be laid, both ways across a floor. */
export interface ProposedEdge {
  key: string;
  fromXMm: number;
  fromYMm: number;
  toXMm: number;
  toYMm: number;
}

/** What laying and reading one edge, and one staff reading, take, seconds: told beforehand, never judged by. */
export const EDGE_SECONDS = 35;
export const STAFF_SECONDS = 20;

/** Lines of placements stand this far apart, as a share of the edge: a cell between four of them is narrower than most humps. */
const LINES_APART = 0.35;
const WALL_MM = 100;

/** Stretches of floor along a line across the room, from one wall or island to the next. mm along the line. */
export function floorRuns(plan: Plan, horizontal: boolean, atMm: number): [fromMm: number, toMm: number][] {
  const crossings: number[] = [];
  for (const ring of [plan.corners, ...plan.islands])
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const [pa, pb] = horizontal ? [a.yMm, b.yMm] : [a.xMm, b.xMm];
      // Half-open, so that a corner counts once.
      if (pa <= atMm === pb <= atMm) return;
      const t = (atMm - pa) / (pb - pa);
      crossings.push(horizontal ? a.xMm + t * (b.xMm - a.xMm) : a.yMm + t * (b.yMm - a.yMm));
    });
  crossings.sort((p, q) => p - q);
  return Array.from({ length: Math.floor(crossings.length / 2) }, (_, i) => [crossings[2 * i]!, crossings[2 * i + 1]!]);
}

/**
 * Placements proposed both ways across a room, edges end to end along each line with the last drawn back to the wall, 100 mm off the
 * walls. Every second line comes first, both ways, then those between: a floor that is over is found sooner.
 */
export function proposeEdges(plan: Plan, edgeMm: number): ProposedEdge[] {
  const bounds = boundsMm(plan.corners);
  const [wide, between]: [ProposedEdge[], ProposedEdge[]] = [[], []];
  for (const horizontal of [true, false]) {
    const [low, high] = horizontal ? [bounds.minY, bounds.maxY] : [bounds.minX, bounds.maxX];
    const count = Math.max(1, Math.ceil((high - low - 2 * WALL_MM) / (edgeMm * LINES_APART)));
    for (let i = 0; i <= count; i++) {
      const at = Math.round(low + WALL_MM + ((high - low - 2 * WALL_MM) * i) / count);
      (i % 2 === 0 ? wide : between).push(...edgesAlong(plan, horizontal, at, edgeMm));
    }
  }
  return [...wide, ...between];
}

/** Edges end to end along one line across the room. */
function edgesAlong(plan: Plan, horizontal: boolean, at: number, edgeMm: number): ProposedEdge[] {
  return floorRuns(plan, horizontal, at).flatMap(([from, to]): ProposedEdge[] => {
    const [first, last] = [from + WALL_MM, to - WALL_MM];
    const free = last - first;
    if (free < EDGE_RANGES.lengthMm.min) return [];
    const length = Math.min(edgeMm, free);
    const edges = Math.max(1, Math.ceil(free / length - 1e-6));
    return Array.from({ length: edges }, (_, k) => {
      const start = Math.round(edges === 1 ? first : first + ((free - length) * k) / (edges - 1));
      const end = Math.round(start + length);
      return {
        key: `edge/${horizontal ? 'h' : 'v'}/${at}/${start}`,
        ...(horizontal
          ? { fromXMm: start, fromYMm: at, toXMm: end, toYMm: at }
          : { fromXMm: at, fromYMm: start, toXMm: at, toYMm: end }),
      };
    });
  });
}

/** A proposed placement counts as laid when an edge lies with both ends this near to its own, either way round. mm */
const SAME_PLACE_MM = 200;

export function isLaid(edge: ProposedEdge, walks: readonly EdgeWalk[]): boolean {
  const near = (ax: number, ay: number, bx: number, by: number) => Math.hypot(ax - bx, ay - by) <= SAME_PLACE_MM;
  return walks.some(
    (w) =>
      (near(w.fromXMm, w.fromYMm, edge.fromXMm, edge.fromYMm) && near(w.toXMm, w.toYMm, edge.toXMm, edge.toYMm)) ||
      (near(w.fromXMm, w.fromYMm, edge.toXMm, edge.toYMm) && near(w.toXMm, w.toYMm, edge.fromXMm, edge.fromYMm)),
  );
}
