import { seeded } from '../units/index.ts';
import { cutFromStock } from '../heights/index.ts';
import type { RollMake, Strip } from './strips.ts';

/** A piece cut from a roll: all of a strip, or a part of it that is joined to the next. */
export interface RollPiece {
  /** The strips it serves: one, or narrow ones cut side by side. */
  strips: readonly Strip[];
  /** From the start of the strip, mm. */
  fromMm: number;
  lengthMm: number;
}

export interface RollCut {
  pieces: RollPiece[];
  usedMm: number;
}

export interface RollPlan {
  rolls: RollCut[];
  /** Joints within strips, and how far each lies from the strip's start, mm. */
  joints: { strip: Strip; atMm: number }[];
}

/** Joints keep clear of a strip's ends, and of the joint in the strip beside it, mm. */
export const JOINT_FROM_END_MM = 500;
export const JOINT_APART_MM = 300;

/** Strips of half a roll's width or less are cut side by side: the longest with the next longest that fits beside it. */
export function nested(strips: readonly Strip[], widthMm: number): Strip[][] {
  const left = [...strips].sort((a, b) => b.lengthMm - a.lengthMm);
  const groups: Strip[][] = [];
  while (left.length > 0) {
    const group = [left.shift()!];
    let width = group[0]!.widthMm;
    if (width > widthMm / 2) {
      groups.push(group);
      continue;
    }
    for (let k = 0; k < left.length;) {
      const one = left[k]!;
      if (one.widthMm <= widthMm / 2 && width + one.widthMm <= widthMm + 1e-6) {
        group.push(one);
        width += one.widthMm;
        left.splice(k, 1);
      } else k++;
    }
    groups.push(group);
  }
  return groups;
}

/** Where a strip longer than a roll is cut into whole rolls and a rest: at these places from its start, mm. */
function wholes(lengthMm: number, rollMm: number): number[] {
  const places: number[] = [];
  for (let at = rollMm; at < lengthMm - 1e-6; at += rollMm) places.push(at);
  return places;
}

const pieceOf = (strips: readonly Strip[], fromMm: number, lengthMm: number): RollPiece => ({
  strips,
  fromMm,
  lengthMm,
});

/**
 * Strips cut from the fewest rolls without joints but in those that are longer than a roll: exact by branch and bound (of equals
 * the fewest cuts).
 */
export function cutWhole(strips: readonly Strip[], { widthMm, lengthMm }: RollMake): RollPlan {
  const pieces = nested(strips, widthMm).flatMap((group) => {
    const length = Math.max(...group.map((strip) => strip.lengthMm));
    const places = [0, ...wholes(length, lengthMm), length];
    return places.slice(1).map((to, k) => pieceOf(group, places[k]!, to - places[k]!));
  });
  const plan = cutFromStock(
    pieces.map((piece) => piece.lengthMm),
    [lengthMm],
    0,
  );
  const left = [...pieces];
  const rolls = plan.cuts.map(({ piecesMm, restMm }) => ({
    pieces: piecesMm.map(
      (mm) =>
        left.splice(
          left.findIndex((piece) => piece.lengthMm === mm),
          1,
        )[0]!,
    ),
    usedMm: lengthMm - restMm,
  }));
  return { rolls, joints: jointsOf(pieces) };
}

const jointsOf = (pieces: readonly RollPiece[]): RollPlan['joints'] =>
  pieces.flatMap(({ strips, fromMm }) =>
    fromMm > 1e-6 ? strips.filter(({ lengthMm }) => lengthMm > fromMm).map((strip) => ({ strip, atMm: fromMm })) : [],
  );

/** Orders in which strips are tried. */
const TRIES = 150;

const longestFirst = (groups: readonly Strip[][]) => [...groups].sort((a, b) => longestOf(b) - longestOf(a));
const longestOf = (strips: readonly Strip[]) => Math.max(...strips.map(({ lengthMm }) => lengthMm));

/** A good plan at once: the longest strip first, each from the rest that fits best. What a search compares by. */
export const cutQuickly = (strips: readonly Strip[], make: RollMake, isJoined: boolean): RollPlan =>
  inOrder(longestFirst(nested(strips, make.widthMm)), make, isJoined);

/**
 * Strips cut from the fewest rolls with joints where they may be: rests are used up, a joint half a metre from both ends of its strip and
 * 300 from the joint beside it. Never more rolls than without joints. Ends once no roll could be saved any more. Deterministic.
 */
export function cutJoined(strips: readonly Strip[], make: RollMake, seed = 1): RollPlan {
  const draw = seeded(seed);
  const groups = nested(strips, make.widthMm);
  const leastRolls = Math.ceil(groups.reduce((sum, group) => sum + longestOf(group), 0) / make.lengthMm - 1e-9);
  let best = cutWhole(strips, make);
  const isBetter = (a: RollPlan, b: RollPlan) =>
    a.rolls.length !== b.rolls.length ? a.rolls.length < b.rolls.length : a.joints.length < b.joints.length;
  for (let k = 0; k < TRIES && best.rolls.length > leastRolls; k++) {
    const order =
      k === 0
        ? longestFirst(groups)
        : groups
            .map((group) => ({ group, at: draw() }))
            .sort((a, b) => a.at - b.at)
            .map(({ group }) => group);
    const plan = inOrder(order, make, true);
    if (isBetter(plan, best)) best = plan;
  }
  return best;
}

/** Strips in an order, each from the rest that fits best, else joined from a rest and a new roll, else from a new roll. */
function inOrder(groups: readonly Strip[][], { lengthMm: rollMm }: RollMake, isJoined: boolean): RollPlan {
  const rolls: RollCut[] = [];
  const joints: RollPlan['joints'] = [];
  const restOf = ({ usedMm }: RollCut) => rollMm - usedMm;
  const open = () => {
    const roll: RollCut = { pieces: [], usedMm: 0 };
    rolls.push(roll);
    return roll;
  };
  const take = (roll: RollCut, strips: readonly Strip[], fromMm: number, mm: number) => {
    roll.pieces.push(pieceOf(strips, fromMm, mm));
    roll.usedMm += mm;
  };
  for (const strips of groups) {
    const length = longestOf(strips);
    let at = 0;
    while (length - at > 1e-6) {
      const left = length - at;
      const fits = rolls.filter((roll) => restOf(roll) >= left - 1e-6).sort((a, b) => restOf(a) - restOf(b))[0];
      if (fits) {
        take(fits, strips, at, left);
        break;
      }
      // A rest that may be joined on: the longest first, as it leaves the fewest joints.
      const rest = (isJoined ? rolls : [])
        .map((roll) => ({ roll, mm: jointWithin(strips, joints, at, restOf(roll), length) }))
        .filter(({ mm }) => mm > 0)
        .sort((a, b) => b.mm - a.mm)[0];
      const from =
        rest ??
        (left > rollMm ? { roll: open(), mm: jointWithin(strips, joints, at, rollMm, length) || rollMm } : null);
      if (!from) {
        take(open(), strips, at, left);
        break;
      }
      take(from.roll, strips, at, from.mm);
      at += from.mm;
      for (const strip of strips) if (strip.lengthMm > at) joints.push({ strip, atMm: at });
    }
  }
  return { rolls, joints };
}

/** The longest piece of a rest after which a strip may be joined; 0 where none may. */
function jointWithin(
  strips: readonly Strip[],
  joints: RollPlan['joints'],
  fromMm: number,
  restMm: number,
  lengthMm: number,
): number {
  const shortest = Math.min(...strips.map((strip) => strip.lengthMm));
  const ends = Math.min(lengthMm, shortest);
  let at = Math.min(fromMm + restMm, ends - JOINT_FROM_END_MM);
  const near = joints
    .filter(({ strip }) => strips.some((one) => areNeighbours(one, strip)))
    .map(({ strip, atMm }) => strip.startMm + atMm)
    .sort((a, b) => b - a);
  for (const joint of near) {
    const place = strips[0]!.startMm + at;
    if (Math.abs(place - joint) < JOINT_APART_MM) at = joint - JOINT_APART_MM - strips[0]!.startMm;
  }
  return at - fromMm >= JOINT_FROM_END_MM && at >= JOINT_FROM_END_MM ? at - fromMm : 0;
}

const areNeighbours = (a: Strip, b: Strip): boolean =>
  a.floorId === b.floorId && a.fromMm < b.fromMm + b.widthMm + 1 && b.fromMm < a.fromMm + a.widthMm + 1 && a !== b;
