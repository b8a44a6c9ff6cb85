import type { FigureOf } from '../figures/index.ts';
import { worstPlacements, gapMap, type Grid, type Placement } from '../flat/index.ts';
import { restOf, type Beam } from './beam.ts';
import { TELEGRAPH } from './telegraph.ts';

/** What a row of planks is taken to be: assumptions, shown and editable. */
interface PlankMake {
  lengthMm: number;
  widthMm: number;
  thicknessMm: number;
  /** Modulus of elasticity along the plank, N/mm2. */
  modulusNPerMm2: number;
  /** A joint's stiffness against turning, as a share of the plank's own over a hand's width. */
  jointShare: number;
  /** What lies beneath them, N/mm3: force on a square millimetre for each millimetre it gives. */
  bedNPerMm3: number;
  footN: number;
}

/** The make that a job's figures and a covering's thickness describe. */
export function plankMake(thicknessMm: number, figure: FigureOf): PlankMake {
  return {
    lengthMm: figure('plank-length-mm'),
    widthMm: figure('plank-width-mm'),
    thicknessMm,
    modulusNPerMm2: figure('plank-modulus'),
    jointShare: figure('plank-joint-share'),
    bedNPerMm3: figure('plank-bed'),
    footN: figure('foot-n'),
  };
}

/** A place where planks are soft: how much air lies under them, and what a foot does there. */
interface SoftPlace {
  at: [number, number];
  /** Air under the planks before anybody steps there, mm. */
  gapMm: number;
  /** How far they go down under a foot, mm. */
  sinksMm: number;
  /** Largest turn of a joint near the foot, degrees. */
  jointDeg: number;
}

/** A joint that the floor bends by itself. */
interface BentJoint {
  at: [number, number];
  jointDeg: number;
}

export interface PlankReport {
  /** Softest first; of places near together only the softest. */
  soft: SoftPlace[];
  /** The joints that lie bent most before anybody steps on them, worst first. */
  bent: BentJoint[];
  rows: number;
  planks: number;
  /** Rows whose touching places did not come to rest: their figures are left out. */
  unsettled: number;
  make: PlankMake;
  /** Degrees from along the first wall that the rows run. */
  alongDeg: 0 | 90;
}

const STEP_MM = 50;
/** A hand's width: what a joint's share is measured over, mm. */
const JOINT_OVER_MM = 100;
/** A foot presses over this length, mm. */
const FOOT_MM = 100;
/** Rows step by a third of a plank from one to the next. */
const STAGGER = 1 / 3;
/** Density of planks, N/mm3: 1000 kg/m3, heavy for wood and light for vinyl. */
const WEIGHT_N_PER_MM3 = 9.81e-6;
const SHORTEST_RUN_NODES = 8;
/** Air thinner than this is no place to step on for a look, mm. */
const GAP_WORTH_MM = 0.15;
/** A joint bent by less than this lies flat to any eye, degrees. */
const BENT_WORTH_DEG = 0.05;
const PLACES = 8;
const BENT_PLACES = 4;
const APART_MM = 400;
const FEET_A_ROW = 3;

/** Stiffness and joints of one run of floor under a row. `firstMm` is the length of its first piece. */
function beamOf(floorMm: Float64Array, firstMm: number, make: PlankMake): { beam: Beam; joints: number[] } {
  const { widthMm, thicknessMm, modulusNPerMm2, jointShare, bedNPerMm3, lengthMm } = make;
  const bending = (modulusNPerMm2 * widthMm * thicknessMm ** 3) / 12;
  const plank = bending / STEP_MM ** 3;
  // Turning stiffness c = share x EI / 100 mm; the bend over two steps turns by bend / step.
  const joint = (jointShare * bending) / JOINT_OVER_MM / STEP_MM ** 2;
  const bendNPerMm = new Float64Array(floorMm.length).fill(plank);
  const joints: number[] = [];
  for (let at = firstMm; at < (floorMm.length - 2) * STEP_MM; at += lengthMm) {
    const node = Math.round(at / STEP_MM);
    if (node < 1) continue;
    bendNPerMm[node] = Math.min(plank, joint);
    joints.push(node);
  }
  return {
    beam: {
      stepMm: STEP_MM,
      floorMm,
      bendNPerMm,
      bedNPerMm: bedNPerMm3 * widthMm * STEP_MM,
      weightN: WEIGHT_N_PER_MM3 * widthMm * thicknessMm * STEP_MM,
    },
    joints,
  };
}

/**
 * Rows of planks laid over a floor: air under each and what a foot does at the worst places of every row. A ranking and a
 * warning, never a proof of strength: each row is taken by itself, and a joint's stiffness is an assumption.
 */
export function planksOver(
  grid: Grid,
  heights: Float64Array,
  make: PlankMake,
  alongDeg: 0 | 90,
  shouldStop: () => boolean = () => false,
): PlankReport {
  const { nx, ny, cellMm } = grid;
  const [along, across] = alongDeg === 0 ? [nx, ny] : [ny, nx];
  const cellOf = (i: number, row: number) => (alongDeg === 0 ? row * nx + i : i * nx + row);
  const report: PlankReport = { soft: [], bent: [], rows: 0, planks: 0, unsettled: 0, make, alongDeg };
  const found: SoftPlace[] = [];
  const bent: BentJoint[] = [];
  const rowsApart = make.widthMm / cellMm;
  for (let r = 0; (r + 0.5) * rowsApart < across; r++) {
    if (shouldStop()) break;
    const row = Math.min(across - 1, Math.round((r + 0.5) * rowsApart - 0.5));
    for (const [from, to] of runsOf(along, (i) => grid.inside[cellOf(i, row)] === 1)) {
      const nodes = Math.floor(((to - from) * cellMm) / STEP_MM) + 1;
      if (nodes < SHORTEST_RUN_NODES) continue;
      const place = (node: number) => from + (node * STEP_MM) / cellMm;
      const floorMm = Float64Array.from({ length: nodes }, (_, node) => {
        const at = place(node);
        const low = Math.min(to - 1, Math.floor(at));
        const [a, b] = [heights[cellOf(low, row)]!, heights[cellOf(low + 1, row)]!];
        return a + (at - low) * (b - a);
      });
      const firstMm = make.lengthMm * (1 - ((r * STAGGER) % 1));
      const { beam, joints } = beamOf(floorMm, firstMm, make);
      report.rows++;
      report.planks += joints.length + 1;
      const rest = restOf(beam);
      if (!rest.settled) {
        report.unsettled++;
        continue;
      }
      const spot = (node: number): [number, number] => {
        const cell = Math.round(place(node));
        const [ix, iy] = alongDeg === 0 ? [cell, row] : [row, cell];
        return [grid.x0Mm + ix * cellMm, grid.y0Mm + iy * cellMm];
      };
      for (const node of joints) {
        const jointDeg = turnAt(rest.planksMm, node);
        if (jointDeg >= BENT_WORTH_DEG) bent.push({ at: spot(node), jointDeg });
      }
      for (const node of deepest(rest.planksMm, floorMm, rest.touches)) {
        const load = new Float64Array(nodes);
        const half = FOOT_MM / STEP_MM / 2;
        const under = Array.from({ length: 2 * half + 1 }, (_, k) => node - half + k).filter(
          (i) => i >= 0 && i < nodes,
        );
        for (const i of under) load[i] = make.footN / under.length;
        const pressed = restOf(beam, load, rest.touches);
        if (!pressed.settled) {
          report.unsettled++;
          continue;
        }
        found.push({
          at: spot(node),
          gapMm: rest.planksMm[node]! - floorMm[node]!,
          sinksMm: rest.planksMm[node]! - pressed.planksMm[node]!,
          jointDeg: turnNear(pressed.planksMm, joints, node, make.lengthMm),
        });
      }
    }
  }
  found.sort((a, b) => b.sinksMm - a.sinksMm || b.gapMm - a.gapMm);
  bent.sort((a, b) => b.jointDeg - a.jointDeg);
  report.soft = apart(found, PLACES);
  report.bent = apart(bent, BENT_PLACES);
  return report;
}

/** The first of a list, those near one that was taken left out. */
function apart<T extends { at: [number, number] }>(list: readonly T[], most: number): T[] {
  const taken: T[] = [];
  for (const one of list) {
    if (taken.length >= most) break;
    if (taken.every(({ at }) => Math.hypot(at[0] - one.at[0], at[1] - one.at[1]) >= APART_MM)) taken.push(one);
  }
  return taken;
}

function runsOf(n: number, on: (i: number) => boolean): [number, number][] {
  const runs: [number, number][] = [];
  for (let i = 0; i < n; i++) {
    if (!on(i)) continue;
    const from = i;
    while (i + 1 < n && on(i + 1)) i++;
    runs.push([from, i]);
  }
  return runs;
}

/** The middle of each stretch that hangs free, the widest gaps first. */
function deepest(planksMm: Float64Array, floorMm: Float64Array, touches: Uint8Array): number[] {
  const nodes: number[] = [];
  for (const [from, to] of runsOf(touches.length, (i) => touches[i] === 0)) {
    let worst = from;
    for (let i = from; i <= to; i++) if (planksMm[i]! - floorMm[i]! > planksMm[worst]! - floorMm[worst]!) worst = i;
    if (planksMm[worst]! - floorMm[worst]! >= GAP_WORTH_MM) nodes.push(worst);
  }
  const gap = (i: number) => planksMm[i]! - floorMm[i]!;
  return nodes.sort((a, b) => gap(b) - gap(a)).slice(0, FEET_A_ROW);
}

/** The largest turn at a joint within a plank's length of the foot, degrees. */
function turnNear(planksMm: Float64Array, joints: readonly number[], node: number, lengthMm: number): number {
  const near = joints.filter((joint) => Math.abs(joint - node) * STEP_MM <= lengthMm);
  return Math.max(0, ...near.map((joint) => turnAt(planksMm, joint)));
}

/** Turn of the planks at a node, degrees. */
function turnAt(planksMm: Float64Array, i: number): number {
  return (Math.atan(Math.abs(planksMm[i - 1]! - 2 * planksMm[i]! + planksMm[i + 1]!) / STEP_MM) * 180) / Math.PI;
}

/** Ridges and hollows that a glued covering would show: over half a millimetre under 200 mm, worst first. Lips come on top. */
export function telegraphing(grid: Grid, heights: Float64Array): Placement[] {
  const { over } = gapMap(grid, heights, { edgeMm: TELEGRAPH.edgeMm, limitMm: TELEGRAPH.gapMm });
  return over.length === 0 ? [] : worstPlacements(over, TELEGRAPH.edgeMm);
}
