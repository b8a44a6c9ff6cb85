import { edgeScratch, crownsAlong, gapsAlong } from './straightedge.ts';
import type { Grid } from './grid.ts';

/** A placement of an edge that would best break a verdict, and how likely it is to. */
export interface Breaker {
  fromXMm: number;
  fromYMm: number;
  toXMm: number;
  toYMm: number;
  /** Share of the drawn floors that break the rule under it, 0 to 1. */
  chance: number;
  /** What an edge there shows on average over the drawn floors, mm. */
  meanMm: number;
}

/** Placements are weighed this far apart, mm, and in so many directions. */
const LATTICE_MM = 250;
const DIRECTIONS = 8;
/** Samples along a placement lie this far apart, mm. */
const SAMPLE_MM = 100;
/** Where a whole edge fits nowhere, as much of it as does; less says nothing. mm */
const SHORTEST_MM = 300;
/** Placements named. */
const BREAKERS = 3;

interface Candidate {
  fromXMm: number;
  fromYMm: number;
  toXMm: number;
  toYMm: number;
  /** Cell below and to the left of each sample and how far beyond its middle the sample lies. */
  base: Int32Array;
  fx: Float32Array;
  fy: Float32Array;
  fails: number;
  sumMm: number;
}

/**
 * The critic of a verdict: weighs placements of an edge all over a floor against floors drawn to agree with its readings, and names
 * the three that would best break the rule, each well apart from the others (flatness definitions, section 1).
 */
export function criticOver(grid: Grid, edgeMm: number, gapMm: number, contactsOnly: boolean) {
  const candidates = candidatesOver(grid, edgeMm);
  const longest = Math.max(2, ...candidates.map(({ base }) => base.length));
  const scratch = edgeScratch(longest + 4);
  const heights = new Float64Array(longest);
  return {
    /** Takes one drawn floor into account. */
    see(floorMm: Float64Array): void {
      for (const candidate of candidates) {
        const { base, fx, fy } = candidate;
        const n = base.length;
        for (let s = 0; s < n; s++) {
          const at = base[s]!;
          const [x, y] = [fx[s]!, fy[s]!];
          const low = floorMm[at]! + (x > 0 ? x * (floorMm[at + 1]! - floorMm[at]!) : 0);
          const above = at + grid.nx;
          const high = y > 0 ? floorMm[above]! + (x > 0 ? x * (floorMm[above + 1]! - floorMm[above]!) : 0) : 0;
          heights[s] = y > 0 ? low + y * (high - low) : low;
        }
        gapsAlong(heights, n, n - 1, scratch);
        if (!contactsOnly) crownsAlong(heights, n, n - 1, scratch.crown);
        let worst = 0;
        for (let s = 0; s < n; s++) worst = Math.max(worst, scratch.gap[s]!, contactsOnly ? 0 : scratch.crown[s]!);
        candidate.sumMm += worst;
        if (worst > gapMm) candidate.fails++;
      }
    },
    /** The placements that would best break the rule after so many floors; none near one that was laid already. */
    named(draws: number, laid: readonly Pick<Breaker, 'fromXMm' | 'fromYMm' | 'toXMm' | 'toYMm'>[]): Breaker[] {
      const ranked = candidates
        .map(({ fromXMm, fromYMm, toXMm, toYMm, fails, sumMm }): Breaker => ({
          fromXMm,
          fromYMm,
          toXMm,
          toYMm,
          chance: fails / draws,
          meanMm: sumMm / draws,
        }))
        .sort((a, b) => b.chance - a.chance || b.meanMm - a.meanMm);
      const taken: Breaker[] = [];
      for (const one of ranked) {
        if (taken.length >= BREAKERS) break;
        if (laid.some((other) => isSame(one, other))) continue;
        if (taken.every((other) => isApart(one, other, edgeMm))) taken.push(one);
      }
      return taken;
    },
  };
}

type Placed = Pick<Breaker, 'fromXMm' | 'fromYMm' | 'toXMm' | 'toYMm'>;

const middleOf = (p: Placed) => [(p.fromXMm + p.toXMm) / 2, (p.fromYMm + p.toYMm) / 2] as const;
const awayMm = (a: Placed, b: Placed) => Math.hypot(middleOf(a)[0] - middleOf(b)[0], middleOf(a)[1] - middleOf(b)[1]);

/** Angle between two placements, 0 to pi/2. */
function turnBetween(a: Placed, b: Placed): number {
  const [aa, ab] = [a, b].map((p) => Math.atan2(p.toYMm - p.fromYMm, p.toXMm - p.fromXMm));
  const turn = Math.abs(aa! - ab!) % Math.PI;
  return Math.min(turn, Math.PI - turn);
}

/** Laid there already, as near as an edge is laid by hand. */
const SAME_MM = 150;
const isSame = (a: Placed, b: Placed) => awayMm(a, b) < SAME_MM && turnBetween(a, b) < Math.PI / 16;

/** Half an edge between their middles, or a quarter with 45 degrees between them. */
function isApart(a: Placed, b: Placed, edgeMm: number): boolean {
  const away = awayMm(a, b);
  return away >= edgeMm / 2 || (away >= edgeMm / 4 && turnBetween(a, b) >= Math.PI / 4 - 1e-9);
}

function candidatesOver(grid: Grid, edgeMm: number): Candidate[] {
  const whole: Candidate[] = [];
  const parts: Candidate[] = [];
  for (const { ix, iy, ux, uy, back, ahead, half } of spansOver(grid, edgeMm)) {
    const made = (list: Candidate[], from: number, to: number) =>
      list.push(candidateOn(grid, ix + ux * from, iy + uy * from, ux, uy, (to - from) * grid.cellMm));
    if (ahead >= half && back >= half) made(whole, -half, half);
    else if ((ahead + back) * grid.cellMm >= SHORTEST_MM) made(parts, -back, ahead);
  }
  return whole.length > 0 ? whole : parts;
}

/** Whether a whole edge fits on the floor in any of the placements weighed. */
export function edgeFits(grid: Grid, edgeMm: number): boolean {
  for (const { ahead, back, half } of spansOver(grid, edgeMm)) if (ahead >= half && back >= half) return true;
  return false;
}

/** How far floor reaches to both sides of each place of the lattice in each direction, in cells, up to half an edge. */
function* spansOver(grid: Grid, edgeMm: number) {
  const step = Math.max(1, Math.round(LATTICE_MM / grid.cellMm));
  const half = edgeMm / 2 / grid.cellMm;
  for (let iy = step >> 1; iy < grid.ny; iy += step)
    for (let ix = step >> 1; ix < grid.nx; ix += step) {
      if (!grid.inside[iy * grid.nx + ix]) continue;
      for (let d = 0; d < DIRECTIONS; d++) {
        const angle = (Math.PI * d) / DIRECTIONS;
        const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
        const ahead = freeAlong(grid, ix, iy, ux, uy, half);
        const back = freeAlong(grid, ix, iy, -ux, -uy, half);
        yield { ix, iy, ux, uy, ahead, back, half };
      }
    }
}

/** How far a line stays on the floor from a cell on, in cells, up to `most`. */
function freeAlong({ nx, ny, inside }: Grid, ix: number, iy: number, ux: number, uy: number, most: number): number {
  const on = (t: number) => {
    const [x, y] = [ix + ux * t, iy + uy * t];
    if (x < 0 || y < 0 || x > nx - 1 || y > ny - 1) return false;
    return [Math.floor(x), Math.ceil(x)].every((cx) =>
      [Math.floor(y), Math.ceil(y)].every((cy) => inside[cy * nx + cx] === 1),
    );
  };
  let t = 0;
  while (t < most && on(Math.min(most, t + 0.5))) t = Math.min(most, t + 0.5);
  return t;
}

function candidateOn(grid: Grid, x: number, y: number, ux: number, uy: number, lengthMm: number): Candidate {
  const steps = Math.max(2, Math.ceil(lengthMm / SAMPLE_MM));
  const base = new Int32Array(steps + 1);
  const [fx, fy] = [new Float32Array(steps + 1), new Float32Array(steps + 1)];
  for (let s = 0; s <= steps; s++) {
    const t = (lengthMm / grid.cellMm / steps) * s;
    const [px, py] = [Math.max(0, x + ux * t), Math.max(0, y + uy * t)];
    const [bx, by] = [Math.min(grid.nx - 1, Math.floor(px + 1e-6)), Math.min(grid.ny - 1, Math.floor(py + 1e-6))];
    base[s] = by * grid.nx + bx;
    fx[s] = bx === grid.nx - 1 || px - bx < 1e-5 ? 0 : px - bx;
    fy[s] = by === grid.ny - 1 || py - by < 1e-5 ? 0 : py - by;
  }
  const [x0, y0] = [grid.x0Mm + x * grid.cellMm, grid.y0Mm + y * grid.cellMm];
  return {
    fromXMm: Math.round(x0),
    fromYMm: Math.round(y0),
    toXMm: Math.round(x0 + ux * lengthMm),
    toYMm: Math.round(y0 + uy * lengthMm),
    base,
    fx,
    fy,
    fails: 0,
    sumMm: 0,
  };
}
