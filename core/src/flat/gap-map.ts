import type { Grid } from './grid.ts';
import { passingRuns, visitRuns, type KeptRuns, type Run } from './lines.ts';
import { crownsAlong, edgeScratch, gapsAlong, mayExceed } from './straightedge.ts';

/** Directions a map is shown at and a plan is certified at. */
export const SHOWN_DIRECTIONS = 16;
export const CERTIFIED_DIRECTIONS = 36;

/** One placement of the straightedge on the plan, mm. */
export interface Placement {
  kind: 'gap' | 'crown';
  valueMm: number;
  /** Direction as an angle in [0, pi). */
  angleRad: number;
  /** Contacts of the edge; for a crown, the two free ends. */
  from: [number, number];
  to: [number, number];
  /** Where the value is read: the deepest place, or the middle of the crown. */
  at: [number, number];
}

/** Gap D and crown K for each cell: the largest over all directions, mm (0 outside). */
export interface GapMap {
  gapMm: Float64Array;
  crownMm: Float64Array;
  /** Shares in being over the limit, for telling highs from lows; only filled when a limit was given. */
  contactShare: Float64Array;
  gapShare: Float64Array;
  /** Largest placements, one for each cell over the limit and kind, unsorted; only filled when a limit was given. */
  over: Placement[];
  worstGap: Placement | null;
  worstCrown: Placement | null;
}

interface GapMapOptions {
  edgeMm: number;
  directions?: number;
  /** Collect placements over this, mm. */
  limitMm?: number;
  /** Only the worst of both is wanted: lines that cannot be worse are passed over, and the maps are left unfinished. */
  worstOnly?: boolean;
  /** Lines laid out before on this grid. */
  kept?: KeptRuns | undefined;
}

interface Best {
  value: number;
  x: Float64Array;
}

/** Steps of one edge length: d = L / ceil(L / cell), so that the edge is met exactly. */
export function edgeSteps(edgeMm: number, cellMm: number): { window: number; stepMm: number } {
  const window = Math.ceil(edgeMm / cellMm - 1e-9);
  return { window, stepMm: edgeMm / window };
}

/**
 * Largest gap under, and rocking of, a straightedge of `edgeMm` anywhere on the floor at `directions` directions.
 * Deterministic; time linear in cells and directions.
 */
export function gapMap(grid: Grid, heights: Float64Array, options: GapMapOptions): GapMap {
  const { edgeMm, directions = SHOWN_DIRECTIONS, limitMm, worstOnly = false, kept = passingRuns(grid) } = options;
  const cells = grid.nx * grid.ny;
  const { window, stepMm } = edgeSteps(edgeMm, grid.cellMm);
  const map: GapMap = {
    gapMm: new Float64Array(cells),
    crownMm: new Float64Array(cells),
    contactShare: new Float64Array(limitMm === undefined ? 0 : cells),
    gapShare: new Float64Array(limitMm === undefined ? 0 : cells),
    over: [],
    worstGap: null,
    worstCrown: null,
  };
  const scratch = edgeScratch(Math.ceil(Math.hypot(grid.nx, grid.ny) / (stepMm / grid.cellMm)) + 4);
  const { gap, from, to, crown } = scratch;
  const { gapMm, crownMm, contactShare, gapShare } = map;
  const limit = limitMm ?? Infinity;
  const balance = (n: number, s: number) => Math.min(window / 2, s, n - 1 - s);
  const overGap = overRule(limitMm === undefined ? 0 : cells);
  const overCrown = overRule(limitMm === undefined ? 0 : cells);
  const top: Record<'gap' | 'crown', Best> = {
    gap: { value: 0, x: new Float64Array(7) },
    crown: { value: 0, x: new Float64Array(7) },
  };

  const keep = (kind: 'gap' | 'crown', run: Run, value: number, a: number, s: number, b: number) => {
    const best = top[kind];
    if (value <= best.value) return;
    best.value = value;
    best.x.set([
      run.direction,
      run.xMm + a * run.dxMm,
      run.yMm + a * run.dyMm,
      run.xMm + s * run.dxMm,
      run.yMm + s * run.dyMm,
      run.xMm + b * run.dxMm,
      run.yMm + b * run.dyMm,
    ]);
  };
  const collect = (over: OverRule, run: Run, value: number, a: number, s: number, b: number) => {
    const cell = run.cells[s]!;
    if (over.value[cell]! >= value) return;
    over.value[cell] = value;
    const at = cell * 5;
    over.where[at] = run.direction;
    over.where[at + 1] = run.xMm + s * run.dxMm;
    over.where[at + 2] = run.yMm + s * run.dyMm;
    over.where[at + 3] = (a - s) * stepMm;
    over.where[at + 4] = (b - s) * stepMm;
  };

  const look = (run: Run) => {
    const { length: n, heights: h, cells: at } = run;
    if (worstOnly && !mayExceed(h, n, window, Math.min(top.gap.value, top.crown.value))) return;
    gapsAlong(h, n, window, scratch);
    crownsAlong(h, n, window, crown);
    for (let s = 0; s < n; s++) {
      const cell = at[s]!;
      const g = gap[s]!;
      const k = crown[s]!;
      if (g > gapMm[cell]!) {
        gapMm[cell] = g;
        if (g > top.gap.value) keep('gap', run, g, from[s]!, s, to[s]!);
      }
      if (k > crownMm[cell]!) {
        crownMm[cell] = k;
        if (k > top.crown.value) keep('crown', run, k, s - balance(n, s), s, s + balance(n, s));
      }
      if (g > limit) {
        const [i, j] = [from[s]!, to[s]!];
        const x = g - limit;
        const u = (s - i) / (j - i);
        contactShare[at[i]!] = contactShare[at[i]!]! + (1 - u) * x;
        contactShare[at[j]!] = contactShare[at[j]!]! + u * x;
        gapShare[cell] = gapShare[cell]! + x;
        collect(overGap, run, g, i, s, j);
      }
      if (k > limit) {
        contactShare[cell] = contactShare[cell]! + k - limit;
        collect(overCrown, run, k, s - balance(n, s), s, s + balance(n, s));
      }
    }
  };
  for (let direction = 0; direction < directions; direction++)
    visitRuns(grid, heights, stepMm, direction, directions, look, { kept });
  map.over = [...placementsOf('gap', overGap, directions), ...placementsOf('crown', overCrown, directions)];
  map.worstGap = placementOf('gap', top.gap, directions);
  map.worstCrown = placementOf('crown', top.crown, directions);
  return map;
}

/** The largest placement over the rule for each cell, as numbers: an object apiece in the inner loop costs more than the map. */
interface OverRule {
  value: Float64Array;
  /** Five a cell: direction, place x and y, and the distances along it to both contacts, mm. */
  where: Float64Array;
}

function overRule(cells: number): OverRule {
  return { value: new Float64Array(cells), where: new Float64Array(cells * 5) };
}

function placementsOf(kind: 'gap' | 'crown', over: OverRule, directions: number): Placement[] {
  const found: Placement[] = [];
  for (let cell = 0; cell < over.value.length; cell++) {
    if (over.value[cell] === 0) continue;
    const [direction, x, y, from, to] = over.where.subarray(cell * 5, cell * 5 + 5) as unknown as [
      number,
      number,
      number,
      number,
      number,
    ];
    const angleRad = (Math.PI * direction) / directions;
    const [ux, uy] = [Math.cos(angleRad), Math.sin(angleRad)];
    found.push({
      kind,
      valueMm: over.value[cell]!,
      angleRad,
      from: [x + from * ux, y + from * uy],
      to: [x + to * ux, y + to * uy],
      at: [x, y],
    });
  }
  return found;
}

function placementOf(kind: 'gap' | 'crown', best: Best, directions: number): Placement | null {
  if (best.value <= 0) return null;
  const [direction, ax, ay, sx, sy, bx, by] = best.x as unknown as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return {
    kind,
    valueMm: best.value,
    angleRad: (Math.PI * direction) / directions,
    from: [ax, ay],
    to: [bx, by],
    at: [sx, sy],
  };
}

/** The larger of gap and crown for each cell, or the gap alone where rocking is left out. mm. */
export function deviation(map: GapMap, contactsOnly: boolean): Float64Array {
  return contactsOnly ? map.gapMm : map.gapMm.map((gap, cell) => Math.max(gap, map.crownMm[cell]!));
}

/** The worst placement of a map: rocking counts unless it is left out. */
export function worstOf(map: GapMap, contactsOnly: boolean): Placement | null {
  const { worstGap, worstCrown } = map;
  if (contactsOnly || !worstCrown) return worstGap;
  return worstGap && worstGap.valueMm >= worstCrown.valueMm ? worstGap : worstCrown;
}
