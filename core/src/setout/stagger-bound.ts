import type { OpenModel } from '../levelling/index.ts';
import { upTo } from './bounds.ts';
import { neighboursOf, stairShortMm, type JointZone, type Neighbours } from './joints.ts';
import { STAIR_MM, type LaidPlank } from './plank.ts';
import { bestPrices, pricedStrips, pricingFor, type BoundOptions, type PricedStrip } from './price-bound.ts';
import {
  CELL_MM,
  costBy,
  patternRow,
  priceRows,
  soundPrices,
  waysRow,
  type Dividing,
  type Pricing,
} from './pricing.ts';
import type { RowStrip } from './rows.ts';

/** A strip of the path through the rows, with its ways and their joints as they lie where the start is the shortest of its cell. */
interface Step {
  strip: number;
  ways: Dividing[];
  joints: number[][];
}

const HAIR = 1e-6;
/** Rounds of prices at most, and how far each round goes from the best prices so far to the newest. */
const ROUNDS = 120;
/** A path of more rows than this takes fewer of them: each takes as much longer. */
const LARGE = 25;
const TOWARDS = 0.4;
const NOWHERE = Infinity;

/**
 * The bound by prices, with joints kept apart: all rows are gone through as one path by two rows before, the row before and the row, every rule loosened by a cell. What the
 * cheapest path costs is a number of planks that no layout of these rows goes under which keeps the rules; prices are bettered by cutting planes (Kelley), and every round stands by
 * itself. Never less than the bound by prices alone. `enough` ends it.
 */
export function staggerBound(
  strips: readonly RowStrip[],
  plank: LaidPlank,
  open: OpenModel,
  { zones = [], enough = Infinity, ...options }: BoundOptions & { zones?: readonly JointZone[]; enough?: number } = {},
): number {
  const neighbours = neighboursOf(strips, plank);
  let best = 0;
  for (const priced of pricedStrips(strips, plank, options)) {
    if (best >= enough) break;
    best = Math.max(best, onLine(strips, priced, plank, pricingFor(priced, plank), neighbours, zones, open, enough));
  }
  return best;
}

function onLine(
  strips: readonly RowStrip[],
  priced: readonly PricedStrip[],
  plank: LaidPlank,
  pricing: Pricing,
  neighbours: Neighbours,
  zones: readonly JointZone[],
  open: OpenModel,
  enough: number,
): number {
  const first = bestPrices(priced, pricing, open);
  if (!first) return 0;
  let best = upTo(first.planks - 1e-7);
  const steps = pathOf(strips, priced, plank, pricing, zones);
  if (best >= enough || steps.length < 2) return best;
  const onPath = new Set(steps.map(({ strip }) => strip));
  const others = priced
    .filter(({ strip }) => !onPath.has(strip))
    .map(({ lengthMm, isSquare }) => pricing.dividings(lengthMm, isSquare));
  const walk = pathWalk(steps, plank, neighbours);
  const { columns } = pricing;
  const cost = new Float64Array(columns + 1);
  cost[columns] = -1;
  const upper = new Float64Array(cost.length).fill(1);
  upper[columns] = 1e5;
  const model = open(cost, new Float64Array(cost.length), upper);
  try {
    model.addRows([...priceRows(pricing), ...first.patterns.map(patternRow)]);
    let at = first.price;
    let bestPrice = first.price;
    let bestValue = first.planks;
    const rounds = ROUNDS * Math.min(1, LARGE / steps.length);
    for (let round = 0; round < rounds; round++) {
      const walked = walk(at);
      // Not one layout keeps the rules, however they are loosened: there is nothing to bound.
      if (!walked) return best;
      const rest = others.map((ways) => ways.reduce((low, way) => (costBy(at, way) < costBy(at, low) ? way : low)));
      const value = walked.cost + rest.reduce((sum, way) => sum + costBy(at, way), 0);
      if (value > bestValue) [bestValue, bestPrice] = [value, at];
      best = Math.max(best, upTo(value - 1e-7));
      if (best >= enough) return best;
      // All rows cost no more than this one layout of them does, whatever the prices.
      model.addRows([waysRow(columns, [...walked.ways, ...rest])]);
      const solved = model.solve();
      // No prices whatever prove a plank more.
      if (!solved || upTo(solved.values[columns]! - 1e-7) <= best) return best;
      const newest = solved.values;
      const { pattern, worth } = pricing.dearest(newest.slice(0, columns));
      if (worth > 1 + 1e-4) model.addRows([patternRow(pattern)]);
      const mixed = bestPrice.map((one, k) => (1 - TOWARDS) * one + TOWARDS * newest[k]!);
      at = soundPrices(mixed, pricing);
    }
    return best;
  } finally {
    model.close();
  }
}

/** The longest strip of each row that is priced and square: the path goes through those. */
function pathOf(
  strips: readonly RowStrip[],
  priced: readonly PricedStrip[],
  { lengthMm: len }: LaidPlank,
  pricing: Pricing,
  zones: readonly JointZone[],
): Step[] {
  const byRow = new Map<number, PricedStrip>();
  for (const one of priced) {
    // A strip of one piece has no joint that another would have to keep off.
    if (!one.isSquare || one.lengthMm <= len + HAIR) continue;
    const { row } = strips[one.strip]!;
    const held = byRow.get(row);
    if (!held || one.lengthMm > held.lengthMm) byRow.set(row, one);
  }
  return [...byRow.entries()]
    .sort(([a], [b]) => a - b)
    .map(([, { strip, lengthMm, isSquare }]): Step => {
      const { fromMm, lowMm, highMm } = strips[strip]!;
      const jointsOf = ({ startMm, wholes }: Dividing) =>
        Array.from({ length: wholes + 1 }, (_, k) => fromMm + startMm + k * len);
      const near = zones.filter((zone) => zone.lowMm < highMm && zone.highMm > lowMm);
      const ways = pricing
        .dividings(lengthMm, isSquare)
        .filter((way) =>
          jointsOf(way).every((at) => near.every((zone) => at <= zone.fromMm || at >= zone.toMm - way.roomMm)),
        );
      return { strip, ways, joints: ways.map(jointsOf) };
    });
}

/** The cheapest path by prices through all steps, and the ways it takes; null where none keeps the loosened rules. */
function pathWalk(
  steps: readonly Step[],
  { lengthMm: len }: LaidPlank,
  { pairs, triples }: Neighbours,
): (price: Float64Array) => { cost: number; ways: Dividing[] } | null {
  const apartOf = new Map(pairs.map(({ a, b, apartMm }) => [`${a}/${b}`, apartMm]));
  const isTriple = new Set(triples.map((triple) => triple.join('/')));
  /** Which ways of two steps may lie beside one another; null where nothing holds them apart. */
  const beside = (a: Step, b: Step): Uint8Array[] | null => {
    const apartMm = apartOf.get(`${b.strip}/${a.strip}`);
    if (apartMm === undefined) return null;
    return a.joints.map((own, i) =>
      Uint8Array.from(b.joints, (others, j) => {
        const loose = Math.max(a.ways[i]!.roomMm, b.ways[j]!.roomMm) + HAIR;
        return own.every((at) => others.every((other) => Math.abs(at - other) + loose >= apartMm)) ? 1 : 0;
      }),
    );
  };
  const next = steps.map((step, k) => (k === 0 ? null : beside(steps[k - 1]!, step)));
  const second = steps.map((step, k) => (k < 2 ? null : beside(steps[k - 2]!, step)));
  const stairs = steps.map(
    (step, k) => k >= 2 && isTriple.has(`${steps[k - 2]!.strip}/${steps[k - 1]!.strip}/${step.strip}`),
  );
  return (price) => {
    const costs = steps.map(({ ways }) => ways.map((way) => costBy(price, way)));
    if (costs.some((one) => one.length === 0)) return null;
    /** Cheapest path that ends with way i of the step before and way j of this one. */
    let held = costs[0]!.map((one) => [one]);
    const from: Int32Array[][] = [];
    for (let k = 1; k < steps.length; k++) {
      const [before, here] = [steps[k - 1]!, steps[k]!];
      const isFirst = k === 1;
      const back = before.ways.map(() => new Int32Array(here.ways.length).fill(-1));
      const now = before.ways.map(() => new Array<number>(here.ways.length).fill(NOWHERE));
      for (let i = 0; i < before.ways.length; i++) {
        // Of the first step there is none before: one path leads to each of its ways.
        const ranked = isFirst
          ? [{ a: 0, cost: held[i]![0]! }]
          : held.map((row, a) => ({ a, cost: row[i]! })).sort((x, y) => x.cost - y.cost);
        for (let j = 0; j < here.ways.length; j++) {
          if (next[k] && next[k]![i]![j] === 0) continue;
          for (const { a, cost } of ranked) {
            if (cost === NOWHERE) break;
            if (!isFirst) {
              if (second[k] && second[k]![a]![j] === 0) continue;
              if (stairs[k] && isStair(steps[k - 2]!.joints[a]!, before.joints[i]!, here.joints[j]!, len)) continue;
            }
            now[i]![j] = cost + costs[k]![j]!;
            back[i]![j] = a;
            break;
          }
        }
      }
      from.push(back);
      held = now;
    }
    return traced(steps, held, from);
  };
}

/** Three steps alike even where each start may lie anywhere in its cell. */
const isStair = (a: readonly number[], b: readonly number[], c: readonly number[], len: number): boolean =>
  stairShortMm(a[0]!, b[0]!, c[0]!, len) > 2 * CELL_MM + HAIR && STAIR_MM > 2 * CELL_MM;

function traced(
  steps: readonly Step[],
  held: readonly (readonly number[])[],
  from: readonly Int32Array[][],
): { cost: number; ways: Dividing[] } | null {
  let [cost, i, j] = [NOWHERE, -1, -1];
  held.forEach((row, a) =>
    row.forEach((one, b) => {
      if (one < cost) [cost, i, j] = [one, a, b];
    }),
  );
  if (cost === NOWHERE) return null;
  const ways: Dividing[] = [];
  for (let k = steps.length - 1; k >= 1; k--) {
    ways.unshift(steps[k]!.ways[j]!);
    const a = from[k - 1]![i]![j]!;
    [i, j] = [a, i];
  }
  ways.unshift(steps[0]!.ways[j]!);
  return { cost, ways };
}
