import { regionOf, together, without, type PointMm, type Polygon, type Region } from '../room/index.ts';

/** Something planks keep off, by a gap of its own all round it. */
export interface KeptOff {
  outline: Polygon;
  gapMm: number;
}

export interface LayableFloor {
  /** Anticlockwise. */
  outline: Polygon;
  /** Gap at each wall, mm; below nothing planks reach in under it, as beneath a frame that is undercut. */
  gapsMm: readonly number[];
  /** Floor of openings through which the planks run on. */
  through?: readonly Polygon[];
  holes?: readonly KeptOff[];
  /** Where the floor is parted: a profile's track with a gap on either side of it. */
  breaks?: readonly Polygon[];
}

/**
 * The floor that planks may cover: the outline with every wall moved in by its own gap, less what is kept off, and the floor of openings
 * that are laid through.
 */
export function layableRegion({ outline, gapsMm, through = [], holes = [], breaks = [] }: LayableFloor): Region {
  const open = together([regionOf(outline), ...through.map(regionOf), ...reaching(outline, gapsMm)]);
  const kept = [
    ...alongWalls(outline, gapsMm, through),
    ...holes.map(({ outline: hole, gapMm }) => roundAbout(hole, gapMm)),
    ...breaks.map(regionOf),
  ];
  return without(open, ...kept);
}

interface Edge {
  from: PointMm;
  to: PointMm;
  gapMm: number;
  /** Unit vector into the floor. */
  inX: number;
  inY: number;
}

function edgesOf(outline: Polygon, gapsMm: readonly number[]): Edge[] {
  return outline.map((from, k) => {
    const to = outline[(k + 1) % outline.length]!;
    const length = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm) || 1;
    return {
      from,
      to,
      gapMm: gapsMm[k] ?? 0,
      inX: -(to.yMm - from.yMm) / length,
      inY: (to.xMm - from.xMm) / length,
    };
  });
}

const shifted = ({ xMm, yMm }: PointMm, { inX, inY }: Edge, by: number): PointMm => ({
  xMm: xMm + inX * by,
  yMm: yMm + inY * by,
});

const strip = (edge: Edge, by: number): Polygon => [
  edge.from,
  edge.to,
  shifted(edge.to, edge, by),
  shifted(edge.from, edge, by),
];

/** Where two lines moved inwards meet: the corner of what is kept off about a corner that stands into the floor. */
function mitre(at: PointMm, before: Edge, after: Edge): Polygon | null {
  const det = before.inX * after.inY - before.inY * after.inX;
  if (Math.abs(det) < 1e-9) return null;
  const x = (before.gapMm * after.inY - after.gapMm * before.inY) / det;
  const y = (before.inX * after.gapMm - after.inX * before.gapMm) / det;
  return [at, shifted(at, before, before.gapMm), { xMm: at.xMm + x, yMm: at.yMm + y }, shifted(at, after, after.gapMm)];
}

/** What lies within the gap of each wall, corners that stand into the floor squared off; not where the planks run on through an opening. */
function alongWalls(outline: Polygon, gapsMm: readonly number[], through: readonly Polygon[]): Region[] {
  const edges = edgesOf(outline, gapsMm);
  const ways = through.map(regionOf);
  return edges.flatMap((edge, k): Region[] => {
    if (edge.gapMm <= 0) return [];
    const before = edges[(k + edges.length - 1) % edges.length]!;
    // Turning right, the corner stands into the floor.
    const isReflex = before.inX * edge.inY - before.inY * edge.inX < 0;
    const corner = isReflex && before.gapMm > 0 ? mitre(edge.from, before, edge) : null;
    const kept = [without(regionOf(strip(edge, edge.gapMm)), ...ways)];
    return corner ? [...kept, regionOf(corner)] : kept;
  });
}

/** What planks reach in under at walls with a gap below nothing. */
const reaching = (outline: Polygon, gapsMm: readonly number[]): Region[] =>
  edgesOf(outline, gapsMm).flatMap((edge) => (edge.gapMm < 0 ? [regionOf(strip(edge, edge.gapMm))] : []));

/** Sides of the polygon that stands for a round corner. */
const ROUND = 16;

/** Something with its gap all round it: what is within it of any point of its outline. */
function roundAbout(outline: Polygon, gapMm: number): Region {
  if (gapMm <= 0) return regionOf(outline);
  const sides = outline.map((from, k): Region => {
    const to = outline[(k + 1) % outline.length]!;
    const length = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm) || 1;
    const [nx, ny] = [(-(to.yMm - from.yMm) / length) * gapMm, ((to.xMm - from.xMm) / length) * gapMm];
    return regionOf([
      { xMm: from.xMm + nx, yMm: from.yMm + ny },
      { xMm: to.xMm + nx, yMm: to.yMm + ny },
      { xMm: to.xMm - nx, yMm: to.yMm - ny },
      { xMm: from.xMm - nx, yMm: from.yMm - ny },
    ]);
  });
  const corners = outline.map((corner) => regionOf(roundHole(corner, gapMm)));
  return together([regionOf(outline), ...sides, ...corners]);
}

/** A round thing of that radius, mm, as the polygon that stands about it: nothing comes nearer than the circle. */
export const roundHole = ({ xMm, yMm }: PointMm, radiusMm: number): Polygon =>
  Array.from({ length: ROUND }, (_, k) => {
    const turn = (2 * Math.PI * (k + 0.5)) / ROUND;
    const reach = radiusMm / Math.cos(Math.PI / ROUND);
    return { xMm: xMm + reach * Math.cos(turn), yMm: yMm + reach * Math.sin(turn) };
  });
