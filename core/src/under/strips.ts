import {
  band,
  cutPart,
  regionAreaM2,
  regionOf,
  without,
  type CutLine,
  type Polygon,
  type Region,
} from '../room/index.ts';

/** Material that is rolled out: an underlay that is butted, or a film that laps. */
export interface RollMake {
  widthMm: number;
  lengthMm: number;
  /** How far one strip lies over the next, mm; 0 where they are butted. */
  lapMm: number;
  /** How far it goes past the floor's edge: up a wall, or below nothing short of it, mm. */
  edgeMm: number;
}

/** A floor that is covered, anticlockwise, with what stands on it. */
export interface RolledFloor {
  id: string;
  outline: Polygon;
  islands: readonly Polygon[];
}

/** One strip as it lies: its place across the strips and along them, mm. */
export interface Strip {
  floorId: string;
  fromMm: number;
  widthMm: number;
  startMm: number;
  lengthMm: number;
}

/** How strips lie: along x or along y, from which side, and how much of the first one's width is cut away, mm. */
export interface StripWay {
  direction: 'x' | 'y';
  startMm?: number;
  from?: 'low' | 'high';
}

/** Strips of a floor in one direction from one start, with the seams between them. */
export interface StripLayout {
  floorId: string;
  way: Required<StripWay>;
  strips: Strip[];
  /** Seams inside the floor, m to tape or to lap. */
  seamMm: number;
}

/** An outline moved outwards by so much, every wall by itself; inwards below nothing. */
export function grown(outline: Polygon, byMm: number): Polygon {
  const count = outline.length;
  const moved = outline.map((a, k) => {
    const b = outline[(k + 1) % count]!;
    const length = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) || 1;
    const [nx, ny] = [(b.yMm - a.yMm) / length, -(b.xMm - a.xMm) / length];
    return { nx, ny, c: nx * a.xMm + ny * a.yMm + byMm };
  });
  return outline.map((corner, k) => {
    const [p, q] = [moved[(k + count - 1) % count]!, moved[k]!];
    const det = p.nx * q.ny - p.ny * q.nx;
    return Math.abs(det) < 1e-9
      ? { xMm: corner.xMm + q.nx * byMm, yMm: corner.yMm + q.ny * byMm }
      : { xMm: (p.c * q.ny - q.c * p.ny) / det, yMm: (p.nx * q.c - q.nx * p.c) / det };
  });
}

const regionGrown = ({ outline, islands }: RolledFloor, byMm: number): Region =>
  without(regionOf(grown(outline, byMm)), ...islands.map((island) => regionOf(grown(island, -byMm))));

/** A seam a hair from an edge of the floor is that edge, mm. */
const HAIR_MM = 0.5;

/**
 * Strips of a floor: each as long as every part of the floor within its band, the floor grown all round by how far the material goes
 * up the walls or stays short of them. The first is cut narrower by `startMm`.
 */
export function stripsOf(
  floor: RolledFloor,
  { widthMm, lapMm, edgeMm }: RollMake,
  { direction, startMm = 0, from: begun = 'low' }: StripWay,
): StripLayout {
  const region = regionGrown(floor, edgeMm);
  const bare = edgeMm === 0 ? region : regionGrown(floor, 0);
  const [along, over] = direction === 'x' ? ([0, 1] as const) : ([1, 0] as const);
  const across = (mm: number): CutLine => (direction === 'x' ? { a: 0, b: 1, c: mm } : { a: 1, b: 0, c: mm });
  const places = region.flatMap((part) => part[0]!.map((point) => point[over]));
  const [lowest, highest] = [Math.min(...places), Math.max(...places)];
  const pitchMm = widthMm - lapMm;
  const strips: Strip[] = [];
  let seamMm = 0;
  // From the far side the same, turned round.
  const [first, sign] = begun === 'low' ? [lowest - startMm, 1] : [highest + startMm, -1];
  for (let k = 0; ; k++) {
    const near = first + sign * k * pitchMm;
    const far = near + sign * widthMm;
    const [bandLow, bandHigh] = [Math.min(near, far), Math.max(near, far)];
    // What the strip before reaches to is covered.
    const covered = begun === 'low' ? near + lapMm >= highest - HAIR_MM : near - lapMm <= lowest + HAIR_MM;
    if (k > 0 && covered) break;
    const [low, high] = [Math.max(lowest, bandLow), Math.min(highest, bandHigh)];
    for (const part of band(region, across, low, high)) {
      const reach = part[0]!.map((point) => point[along]);
      const width = part[0]!.map((point) => point[over]);
      const startsMm = Math.min(...reach);
      strips.push({
        floorId: floor.id,
        fromMm: Math.min(...width),
        widthMm: Math.max(...width) - Math.min(...width),
        startMm: startsMm,
        lengthMm: Math.max(...reach) - startsMm,
      });
    }
    if (k > 0) seamMm += bare.reduce((sum, part) => sum + cutPart(part, across(near)).cutMm, 0);
  }
  return { floorId: floor.id, way: { direction, startMm, from: begun }, strips, seamMm };
}

/** Area of a floor as the material covers it, m². */
export const coveredM2 = (floor: RolledFloor, edgeMm: number): number => regionAreaM2(regionGrown(floor, edgeMm));
