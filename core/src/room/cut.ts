import { twiceAreaMm2, type Region, type RegionPart, type RegionRing } from './region.ts';

/** A straight line a x + b y = c, with (a, b) of length 1. Its `low` side is a x + b y <= c. */
export interface CutLine {
  a: number;
  b: number;
  c: number;
}

/** The line through two points; its low side lies to the right of the way from p to q. */
export function lineThrough(px: number, py: number, qx: number, qy: number): CutLine {
  const length = Math.hypot(qx - px, qy - py) || 1;
  const a = -(qy - py) / length;
  const b = (qx - px) / length;
  return { a, b, c: a * px + b * py };
}

interface Crossing {
  x: number;
  y: number;
  /** Place along the line. */
  t: number;
  /** Whether the ring comes into the kept side here. */
  enters: boolean;
  chain: number;
  used: boolean;
}

/**
 * Cuts one connected part by a line and returns what lies on each side, and how long the cut is inside the part, mm.
 * Points on the line count as low, which is the same as moving the line by nothing at all towards high: no case is special,
 * no area is lost. Chains of the rings are linked along the line by pairs of crossings (even-odd), after Weiler and Atherton.
 */
export function cutPart(
  part: RegionPart,
  line: CutLine,
): { low: Region; high: Region; cutMm: number; spans: [number, number][] } {
  const low = keep(part, line, true);
  const high = keep(part, line, false);
  return { low: low.region, high: high.region, cutMm: low.cutMm, spans: low.spans };
}

function keep(
  part: RegionPart,
  line: CutLine,
  wantLow: boolean,
): { region: Region; cutMm: number; spans: [number, number][] } {
  const { a, b, c } = line;
  const whole: RegionRing[] = [];
  const chains: [number, number][][] = [];
  const entries: Crossing[] = [];
  const exits: Crossing[] = [];
  for (const ring of part) {
    const n = ring.length;
    const side: boolean[] = new Array<boolean>(n);
    let count = 0;
    for (let i = 0; i < n; i++) {
      side[i] = a * ring[i]![0] + b * ring[i]![1] - c <= 1e-7 === wantLow;
      if (side[i]) count++;
    }
    if (count === n) {
      whole.push(ring);
      continue;
    }
    if (count === 0) continue;
    let start = 0;
    while (side[start]) start++;
    let chain: [number, number][] | null = null;
    for (let k = 0; k <= n; k++) {
      const i = (start + k) % n;
      const previous = (start + k - 1 + n) % n;
      if (k > 0 && side[i] !== side[previous]) {
        const [px, py] = ring[previous]!;
        const [qx, qy] = ring[i]!;
        const dp = a * px + b * py - c;
        const dq = a * qx + b * qy - c;
        const u = dp === dq ? 0 : Math.min(1, Math.max(0, dp / (dp - dq)));
        const [x, y] = [px + u * (qx - px), py + u * (qy - py)];
        const crossing = { x, y, t: -b * x + a * y, enters: side[i]!, used: false };
        if (side[i]) {
          chain = [[x, y]];
          entries.push({ ...crossing, chain: chains.length });
          chains.push(chain);
        } else {
          chain!.push([x, y]);
          exits.push({ ...crossing, chain: chains.length - 1 });
          chain = null;
        }
      }
      if (k < n && side[i] && chain) chain.push([ring[i]![0], ring[i]![1]]);
    }
  }
  // Along the line, seen from the kept side, the inside runs between neighbours: an exit joins the entry it is paired with.
  const all = [...entries, ...exits].sort((p, q) => p.t - q.t || (p.enters === wantLow ? -1 : 1));
  let cutMm = 0;
  const spans: [number, number][] = [];
  const partner = new Map<Crossing, Crossing>();
  for (let i = 0; i + 1 < all.length; i += 2) {
    const [p, q] = [all[i]!, all[i + 1]!];
    partner.set(p, q);
    partner.set(q, p);
    cutMm += q.t - p.t;
    if (q.t - p.t > 1e-6) spans.push([p.t, q.t]);
  }
  const rings: RegionRing[] = [...whole];
  const exitOf = new Map(exits.map((exit) => [exit.chain, exit]));
  for (const first of entries) {
    if (first.used) continue;
    const ring: [number, number][] = [];
    let entry: Crossing | undefined = first;
    while (entry && !entry.used) {
      entry.used = true;
      ring.push(...chains[entry.chain]!);
      const next: Crossing | undefined = partner.get(exitOf.get(entry.chain)!);
      entry = next?.enters ? next : undefined;
    }
    rings.push(tidy(ring));
  }
  return { region: nest(rings), cutMm, spans };
}

/** The ring without repeated points. */
function tidy(ring: [number, number][]): RegionRing {
  return ring.filter((p, i) => {
    const q = ring[(i + ring.length - 1) % ring.length]!;
    return Math.abs(p[0] - q[0]) > 1e-6 || Math.abs(p[1] - q[1]) > 1e-6;
  });
}

/** Rings put together into parts: each hole with the outer ring round it. */
function nest(rings: readonly RegionRing[]): Region {
  const sound = rings.filter((ring) => ring.length >= 3 && Math.abs(twiceAreaMm2(ring)) > 1e-3);
  const outers = sound.filter((ring) => twiceAreaMm2(ring) > 0).map((ring) => [ring]);
  for (const hole of sound) {
    if (twiceAreaMm2(hole) > 0) continue;
    const owner = outers.find((part) => ringHolds(part[0]!, hole)) ?? outers[0];
    owner?.push(hole);
  }
  return outers;
}

function ringHolds(outer: RegionRing, hole: RegionRing): boolean {
  const [x, y] = [(hole[0]![0] + hole[1]![0]) / 2, (hole[0]![1] + hole[1]![1]) / 2];
  let inside = false;
  for (let i = 0, j = outer.length - 1; i < outer.length; j = i++) {
    const [ax, ay] = outer[i]!;
    const [bx, by] = outer[j]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}

/** What of a region lies on one side of a line. */
export function sideOf(region: Region, line: CutLine, side: 'low' | 'high'): Region {
  return region.flatMap((part) => cutPart(part, line)[side]);
}

/** What of a region lies between two parallel lines, part by part. */
export function band(region: Region, line: (mm: number) => CutLine, lowMm: number, highMm: number): Region {
  return sideOf(sideOf(region, line(lowMm), 'high'), line(highMm), 'low');
}
