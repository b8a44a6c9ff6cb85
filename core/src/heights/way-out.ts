import type { PointMm } from '../room/index.ts';

/** Room left on each side of what is moved, mm, and how finely its way is sought. */
export const WAY_OUT_MM = { beside: 20, lattice: 50, leaf: 45 } as const;
/** The floor is known to this, mm. */
const CELL_MM = 10;

/** Something that was pulled out of its bay and stands before it: its sizes across and along the way it came. */
export interface Machine {
  widthMm: number;
  depthMm: number;
  /** Its middle once it is out of the bay, and the direction its width lies in, degrees on the plan. */
  at: PointMm;
  turnDeg: number;
}

/** An opening as what is moved meets it: from jamb to jamb, with the leaf that stays in it. */
export interface Exit {
  id: string;
  from: PointMm;
  to: PointMm;
  leafStays: boolean;
}

export type WayOut =
  | { found: true; exitId: string; path: PointMm[]; turns: number }
  /** No opening is wide enough at all, or none can be come to. */
  | { found: false; why: 'no-exit' | 'blocked'; widestMm: number };

/** Clear width of an opening, mm: the leaf stands in it where it is not lifted off. */
export const clearWidthMm = ({ from, to, leafStays }: Exit): number =>
  Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm) - (leafStays ? WAY_OUT_MM.leaf : 0);

/**
 * The way a machine takes out of a room, or why there is none: its rectangle with 20 mm on each side slides on a lattice of
 * 5 cm, and turns by a quarter where its diagonal passes, until it stands before an opening that takes it. The lattice lies
 * along the machine, so that it moves as it is pushed.
 */
export function wayOut(
  isFloor: (xMm: number, yMm: number) => boolean,
  machine: Machine,
  exits: readonly Exit[],
): WayOut {
  const turn = (machine.turnDeg * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const own = ({ xMm, yMm }: PointMm): [number, number] => {
    const [dx, dy] = [xMm - machine.at.xMm, yMm - machine.at.yMm];
    return [dx * c + dy * s, dy * c - dx * s];
  };
  const onPlan = (x: number, y: number): PointMm => ({
    xMm: machine.at.xMm + x * c - y * s,
    yMm: machine.at.yMm + x * s + y * c,
  });
  const sizes = [machine.widthMm, machine.depthMm].map((mm) => mm + 2 * WAY_OUT_MM.beside) as [number, number];
  const gates = exits.map((exit) => ({ exit, ...gateOf(own(exit.from), own(exit.to)) }));
  const wide = gates.filter(({ exit, ux, uy }) =>
    [0, 1].some((turned) => acrossMm(sizes, turned, ux, uy) <= clearWidthMm(exit)),
  );
  const widestMm = Math.max(0, ...exits.map(clearWidthMm));
  if (wide.length === 0) return { found: false, why: 'no-exit', widestMm };
  const free = freeFloor((x, y) => isFloor(...pair(onPlan(x, y))), reachOf(gates));
  const out = sought(free, sizes, (x, y, turned) =>
    wide.find(
      (gate) =>
        standsBefore(gate, sizes, turned, x, y) && acrossMm(sizes, turned, gate.ux, gate.uy) <= clearWidthMm(gate.exit),
    ),
  );
  if (!out) return { found: false, why: 'blocked', widestMm };
  return {
    found: true,
    exitId: out.gate.exit.id,
    path: out.path.map(({ x, y }) => onPlan(x, y)),
    turns: out.path.filter((at, k) => k > 0 && at.turned !== out.path[k - 1]!.turned).length,
  };
}

const pair = ({ xMm, yMm }: PointMm): [number, number] => [xMm, yMm];

interface Gate {
  exit: Exit;
  x: number;
  y: number;
  /** Along the opening. */
  ux: number;
  uy: number;
}

function gateOf([ax, ay]: [number, number], [bx, by]: [number, number]): Omit<Gate, 'exit'> {
  const length = Math.hypot(bx - ax, by - ay) || 1;
  return { x: (ax + bx) / 2, y: (ay + by) / 2, ux: (bx - ax) / length, uy: (by - ay) / length };
}

type Sizes = readonly [widthMm: number, depthMm: number];

/** How wide the rectangle is seen along a direction, mm. */
function acrossMm([widthMm, depthMm]: Sizes, turned: number, ux: number, uy: number): number {
  const [w, d] = turned ? [depthMm, widthMm] : [widthMm, depthMm];
  return Math.abs(w * ux) + Math.abs(d * uy);
}

/** Whether the rectangle stands before the middle of a gate, close against it. */
function standsBefore({ x, y, ux, uy }: Gate, sizes: Sizes, turned: number, atX: number, atY: number): boolean {
  const along = Math.abs((atX - x) * ux + (atY - y) * uy);
  const off = Math.abs((atY - y) * ux - (atX - x) * uy);
  return along <= WAY_OUT_MM.lattice / 2 + 1e-6 && off <= acrossMm(sizes, turned, -uy, ux) / 2 + WAY_OUT_MM.lattice;
}

/** The lattice reaches so far from where the machine stands, mm. */
const reachOf = (gates: readonly { x: number; y: number }[]) =>
  Math.max(...gates.map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y)))) + 1500;

interface FreeFloor {
  reachMm: number;
  /** Whether a rectangle about a place holds floor alone. */
  holds: (x: number, y: number, halfX: number, halfY: number) => boolean;
  /** Whether a disc does. */
  turns: (x: number, y: number, radius: number) => boolean;
}

/** The floor cell by cell, with sums over rectangles from its corner: what lies within any rectangle is four of them. */
function freeFloor(isFloor: (x: number, y: number) => boolean, reachMm: number): FreeFloor {
  const n = 2 * Math.ceil(reachMm / CELL_MM);
  const sums = new Uint32Array((n + 1) * (n + 1));
  const blocked = new Uint8Array(n * n);
  for (let iy = 0; iy < n; iy++)
    for (let ix = 0; ix < n; ix++) {
      const is = isFloor((ix + 0.5 - n / 2) * CELL_MM, (iy + 0.5 - n / 2) * CELL_MM) ? 0 : 1;
      blocked[iy * n + ix] = is;
      const at = (iy + 1) * (n + 1) + ix + 1;
      sums[at] = is + sums[at - 1]! + sums[at - n - 1]! - sums[at - n - 2]!;
    }
  const cell = (mm: number) => Math.round(mm / CELL_MM + n / 2);
  const holds: FreeFloor['holds'] = (x, y, halfX, halfY) => {
    const [left, right, low, high] = [cell(x - halfX), cell(x + halfX), cell(y - halfY), cell(y + halfY)];
    if (left < 0 || low < 0 || right > n || high > n) return false;
    const at = (ix: number, iy: number) => sums[iy * (n + 1) + ix]!;
    return at(right, high) - at(left, high) - at(right, low) + at(left, low) === 0;
  };
  return {
    reachMm,
    holds,
    turns: (x, y, radius) => {
      for (let dy = -radius; dy < radius; dy += CELL_MM) {
        const half = Math.sqrt(Math.max(0, radius ** 2 - Math.min(Math.abs(dy), Math.abs(dy + CELL_MM)) ** 2));
        const iy = Math.floor((y + dy) / CELL_MM + n / 2);
        for (let ix = Math.floor((x - half) / CELL_MM + n / 2); ix < (x + half) / CELL_MM + n / 2; ix++)
          if (ix < 0 || iy < 0 || ix >= n || iy >= n || blocked[iy * n + ix]) return false;
      }
      return true;
    },
  };
}

interface Place {
  x: number;
  y: number;
  turned: number;
}

/** Breadth first over the lattice from where the machine stands: the shortest way comes first. */
function sought(
  free: FreeFloor,
  sizes: Sizes,
  before: (x: number, y: number, turned: number) => Gate | undefined,
): { gate: Gate; path: Place[] } | null {
  const step = WAY_OUT_MM.lattice;
  const half = Math.ceil(free.reachMm / step);
  const n = 2 * half + 1;
  const came = new Int32Array(n * n * 2).fill(-1);
  const key = (i: number, j: number, turned: number) => (turned * n + j + half) * n + i + half;
  const place = (k: number): Place => ({
    x: ((k % n) - half) * step,
    y: ((Math.floor(k / n) % n) - half) * step,
    turned: Math.floor(k / (n * n)),
  });
  const stands = (i: number, j: number, turned: number) =>
    Math.abs(i) <= half &&
    Math.abs(j) <= half &&
    free.holds(i * step, j * step, sizes[turned]! / 2, sizes[1 - turned]! / 2);
  const radius = Math.hypot(...sizes) / 2;
  if (!stands(0, 0, 0)) return null;
  const start = key(0, 0, 0);
  came[start] = start;
  const queue = [start];
  for (let head = 0; head < queue.length; head++) {
    const at = queue[head]!;
    const { x, y, turned } = place(at);
    const gate = before(x, y, turned);
    if (gate) return { gate, path: pathTo(at, came, place) };
    const [i, j] = [x / step, y / step];
    const go = (ni: number, nj: number, nt: number) => {
      const next = Math.abs(ni) <= half && Math.abs(nj) <= half ? key(ni, nj, nt) : -1;
      if (next < 0 || came[next] !== -1 || !stands(ni, nj, nt)) return;
      came[next] = at;
      queue.push(next);
    };
    go(i + 1, j, turned);
    go(i - 1, j, turned);
    go(i, j + 1, turned);
    go(i, j - 1, turned);
    if (came[key(i, j, 1 - turned)] === -1 && free.turns(x, y, radius)) go(i, j, 1 - turned);
  }
  return null;
}

function pathTo(end: number, came: Int32Array, place: (k: number) => Place): Place[] {
  const path = [place(end)];
  for (let at = end; came[at] !== at; at = came[at]!) path.unshift(place(came[at]!));
  return path;
}
