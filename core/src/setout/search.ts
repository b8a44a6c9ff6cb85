import { seeded } from '../units/index.ts';
import { divide, nearestStart, startsOf, type Division } from './division.ts';
import { breachesOf, jointsOf, neighboursOf, type JointBreach, type JointZone } from './joints.ts';
import { piecesOf } from './pieces.ts';
import { pathThrough } from './path.ts';
import type { LaidPlank } from './plank.ts';
import { rowsCount } from './rows-count.ts';
import type { RowStrip } from './rows.ts';
import { RULE_WEIGHT, strainOf } from './strain.ts';

export interface RowsAsk {
  strips: readonly RowStrip[];
  plank: LaidPlank;
  zones?: readonly JointZone[];
  /** Tries, and the number they are drawn from: the same ask is answered the same way. */
  steps: number;
  seed?: number;
  /** Fewer are not possible: found, the search is over. */
  leastPlanks?: number;
  /** Divisions to begin with: what was shown before, or what a simpler way makes. */
  from?: readonly Division[];
  /** Strips that lie already: they stay as they are, and the others are found round them. */
  held?: ReadonlyMap<number, Division> | undefined;
  tell?: ((share: number) => void) | undefined;
  shouldStop?: (() => boolean) | undefined;
}

/** Every strip divided, with the planks that takes and the rules it does not keep. */
export interface RowsPlan {
  divisions: Division[];
  planks: number;
  breaches: JointBreach[];
}

/** A rule weighs so many planks at first, and at the end: a stiff start misses what a soft one finds. */
const SOFT_PLANKS = 0.3;
const STIFF_PLANKS = 6;
/** Every other course ends softer: it comes to fewer planks more often, and more often breaks a rule. */
const PLIANT_PLANKS = 2;
const WARM = 0.4;
const COLD = 0.08;
/** What is missing to a plank fewer weighs so much of one. */
const NEAR = 0.6;
const NUDGE_MM = 60;
/** So many of the tries change places of strips, and of those so many turn a run of rows round. */
const SWAPPED = 0.4;
const TURNED = 0.12;
/** Tries of one course from soft to stiff, for each strip. */
const CYCLE = 1000;
const TOLD_EVERY = 512;

/** Rules that are broken, weighed; nothing where all are kept. */
const breachWeight = (breaches: readonly JointBreach[]) =>
  breaches.reduce((sum, { rule }) => sum + RULE_WEIGHT[rule], 0);

/** Whether one plan is better than another: the rules first, then the planks. */
export function isBetter(a: RowsPlan, b: RowsPlan): boolean {
  const [rulesA, rulesB] = [breachWeight(a.breaches), breachWeight(b.breaches)];
  return rulesA < rulesB - 1e-9 || (rulesA < rulesB + 1e-9 && a.planks < b.planks);
}

/** Strips from k to j by the pairs that change places when they are turned round. */
const turned = (k: number, j: number): [number, number][] =>
  Array.from({ length: Math.floor((j - k + 1) / 2) }, (_, i): [number, number] => [k + i, j - i]);

/**
 * Starts of all strips that keep the rules and take few planks, by annealing in courses from soft rules to stiff ones: a strip is tried with a start from what
 * another leaves over, an end that leaves another's start over, a joint just so far from its neighbour's, another strip's start, a little beside, or
 * anywhere. Planks are counted exactly each time.
 */
export function searchRows(ask: RowsAsk): RowsPlan {
  const { strips, plank, zones = [], steps, seed = 1, leastPlanks = 0, from, tell, shouldStop, held = new Map() } = ask;
  const draw = seeded(seed);
  const neighbours = neighboursOf(strips, plank);
  const lengths = strips.map(({ fromMm, toMm }) => toMm - fromMm);
  const starts = lengths.map((mm, k): [number, number][] => {
    const lies = held.get(k);
    return lies ? [[lies.startMm, lies.startMm]] : startsOf(mm, plank);
  });
  const count = rowsCount(strips, plank);
  const divisions: Division[] = [];
  const joints: number[][] = strips.map(() => []);
  const strain = strainOf(strips, plank, neighbours, zones, joints);
  const divisionAt = (k: number, wishMm: number): Division => {
    const lies = held.get(k);
    if (lies) return lies;
    // To the millimetre downwards: a piece that is a hair longer than what is left over does not come from it.
    const startMm = nearestStart(starts[k]!, Math.floor(wishMm + 1e-6));
    return divide(lengths[k]!, startMm, plank) ?? { startMm: lengths[k]!, wholes: 0, endMm: 0 };
  };
  const put = (k: number, division: Division) => {
    divisions[k] = division;
    joints[k] = jointsOf(strips[k]!, division, plank.lengthMm);
  };
  const anywhere = (k: number): number => {
    const spans = starts[k]!;
    let at = draw() * spans.reduce((sum, [low, high]) => sum + high - low + 1, 0);
    for (const [low, high] of spans) {
      if (at <= high - low + 1) return low + Math.max(0, at - 1);
      at -= high - low + 1;
    }
    return spans.at(-1)![1];
  };
  const begun = from ?? pathThrough(strips, plank, neighbours, zones, divisionAt, anywhere);
  begun.forEach((division, k) => put(k, held.get(k) ?? division));
  divisions.forEach((division, k) => count.set(k, piecesOf(division, plank)));
  /** Of all strips together: each is put beside those before it, so that no two are counted twice. */
  const strainOfAll = (): number => {
    const all = [...joints];
    joints.fill([]);
    return all.reduce((sum, own, k) => {
      joints[k] = own;
      return sum + strain(k);
    }, 0);
  };
  const planNow = (): RowsPlan => ({
    divisions: [...divisions],
    planks: count.planks(),
    breaches: breachesOf(strips, divisions, plank, neighbours, zones),
  });
  let best = planNow();
  let near = best.planks + NEAR * count.missing();
  let bent = strainOfAll();
  let leastBent = bent;
  const take = (plan: RowsPlan) => {
    plan.divisions.forEach((division, k) => {
      put(k, division);
      count.set(k, piecesOf(division, plank));
    });
    near = count.planks() + NEAR * count.missing();
    bent = strainOfAll();
  };
  /** The start by which a joint of a strip comes to a place. */
  const startAt = (k: number, jointMm: number): number => {
    const off = (jointMm - strips[k]!.fromMm) % plank.lengthMm;
    return off < 0 ? off + plank.lengthMm : off;
  };
  const leftOf = (mm: number) => plank.lengthMm - plank.kerfMm - mm - 2 * plank.trimMm;
  const wish = (k: number): number => {
    const kind = draw();
    const other = divisions[Math.floor(draw() * strips.length)]!;
    // Without locks a piece may be turned: what a start leaves over begins a strip as well as what an end does.
    const isTurned = plank.ends === 'plain' && draw() < 0.5;
    if (kind < 0.3) return leftOf(isTurned ? other.startMm : other.endMm);
    if (kind < 0.6) return startAt(k, strips[k]!.toMm - leftOf(isTurned ? other.endMm : other.startMm));
    if (kind < 0.75) {
      const beside = neighbours.pairs.length > 0 ? strain.beside(k, draw) : null;
      if (beside) return startAt(k, beside.atMm + (draw() < 0.5 ? beside.apartMm : -beside.apartMm));
    }
    return kind < 0.85 ? divisions[k]!.startMm + (draw() - 0.5) * 2 * NUDGE_MM : anywhere(k);
  };
  /** What is tried next: two strips change places, a run of rows is turned round, or one strip is divided another way. */
  const move = (): [number, Division][] => {
    const k = Math.floor(draw() * strips.length);
    const kind = draw();
    if (kind < SWAPPED && strips.length > 1) {
      const j =
        kind < TURNED
          ? Math.min(strips.length - 1, k + 1 + Math.floor(draw() * 6))
          : Math.floor(draw() * strips.length);
      const pairs: [number, number][] = kind < TURNED ? turned(k, j) : [[k, j]];
      return pairs.flatMap(([a, b]): [number, Division][] => [
        [a, divisionAt(a, divisions[b]!.startMm)],
        [b, divisionAt(b, divisions[a]!.startMm)],
      ]);
    }
    const tried = divisionAt(k, wish(k));
    return tried.startMm === divisions[k]!.startMm ? [] : [[k, tried]];
  };
  const courses = Math.max(1, Math.round(steps / (CYCLE * strips.length)));
  const each = Math.ceil(steps / courses);
  for (let step = 0; step < steps; step++) {
    if (step % TOLD_EVERY === 0) {
      if (shouldStop?.()) break;
      tell?.(step / steps);
    }
    if (best.planks <= leastPlanks && best.breaches.length === 0) break;
    const through = (step % each) / each;
    // Every other course begins with the best there is, the others go on from where they came to.
    if (step > 0 && step % each === 0 && (step / each) % 2 === 0) take(best);
    const warmth = WARM * (COLD / WARM) ** through;
    const end = Math.floor(step / each) % 2 === 0 ? STIFF_PLANKS : PLIANT_PLANKS;
    const stiff = SOFT_PLANKS * (end / SOFT_PLANKS) ** through;
    const moved = move();
    if (moved.length === 0) continue;
    const held = moved.map(([k]) => divisions[k]!);
    const strained = moved.reduce((sum, [k, division]) => {
      const before = strain(k);
      put(k, division);
      return sum + strain(k) - before;
    }, 0);
    const luck = -Math.log(1 - draw()) * warmth;
    const back = (counted: boolean) => {
      for (let i = moved.length - 1; i >= 0; i--) {
        put(moved[i]![0], held[i]!);
        if (counted) count.set(moved[i]![0], piecesOf(held[i]!, plank));
      }
    };
    // What breaks rules by far more than planks could make good is not counted.
    if (stiff * strained > luck + 2) {
      back(false);
      continue;
    }
    for (const [k, division] of moved) count.set(k, piecesOf(division, plank));
    const planks = count.planks();
    const nearly = planks + NEAR * count.missing();
    if (nearly - near + stiff * strained > luck) {
      back(true);
      continue;
    }
    near = nearly;
    bent += strained;
    // While no plan keeps every rule, one that bends them less is looked at.
    const isWorthIt =
      bent < 1e-6
        ? best.breaches.length > 0 || planks < best.planks
        : best.breaches.length > 0 && (bent < leastBent - 1e-6 || (bent < leastBent + 1e-6 && planks < best.planks));
    if (isWorthIt) {
      leastBent = Math.min(bent, leastBent);
      const now = planNow();
      if (isBetter(now, best)) best = now;
    }
  }
  return best;
}
