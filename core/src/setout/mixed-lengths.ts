import { seeded } from '../units/index.ts';
import { upTo } from './bounds.ts';
import type { CutList, LaidPiece } from './cut-list.ts';
import type { Division } from './division.ts';
import { breachesAt, neighboursOf, type JointBreach, type JointZone, type Neighbours } from './joints.ts';
import { drawnRow, type MixedLength, type MixedPiece, type Rest } from './mixed-row.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';

/** A floor of planks of several lengths, as its boxes hold them. */
export interface MixedPlan {
  /** First piece, so many between, last piece: the lengths of those between are in the cuts. */
  divisions: Division[];
  cuts: CutList;
  breaches: JointBreach[];
  /** Boxes that hold as many of each length as are laid. */
  boxes: number;
  /** No plan takes fewer boxes by area. */
  leastBoxes: number;
  used: { lengthMm: number; planks: number; bought: number }[];
}

export interface MixedAsk {
  strips: readonly RowStrip[];
  plank: LaidPlank;
  mix: readonly MixedLength[];
  zones?: readonly JointZone[];
  /** So many beginnings of the floor are carried along, and so many rows are drawn after each. */
  carried: number;
  drawn: number;
  seed?: number;
}

interface Course {
  rows: { pieces: MixedPiece[]; planks: number[] }[];
  joints: number[][];
  left: number[];
  rests: Rest[];
  planks: number;
  lostMm: number;
}

/** Length that is lost beside what is laid weighs as it is; a joint that stands too near as so much of it. */
const BREACH_MM = 1e5;
/** A length that runs out before the others do is missed at the end: by how much the stock is out of its mix, in mm a plank. */
const MIX_MM = 40;
/** More boxes than the fewest that are tried before the planks are told not to do. */
const MORE_BOXES = 4;

/** How far what is left is from the mix of a box, in planks. */
function outOfMix(left: readonly number[], mix: readonly MixedLength[]): number {
  const boxes = left.map((count, k) => count / mix[k]!.inBox);
  const mean = boxes.reduce((sum, one) => sum + one, 0) / boxes.length;
  return boxes.reduce((sum, one, k) => sum + Math.abs(one - mean) * mix[k]!.inBox, 0);
}

function jointsIn(strip: RowStrip, pieces: readonly MixedPiece[]): number[] {
  let at = strip.fromMm;
  return pieces.slice(0, -1).map(({ laidMm }) => (at += laidMm));
}

/** A beginning gone on with by one row more. */
function withRow(course: Course, pieces: MixedPiece[], joints: number[], ask: MixedAsk, breaches: number): Course {
  const { plank, mix } = ask;
  const left = [...course.left];
  const gone = new Set(pieces.flatMap(({ rest }) => (rest === null ? [] : [rest])));
  const rests = course.rests.filter((_, k) => !gone.has(k));
  let { planks, lostMm } = course;
  const from = pieces.map(({ of, rest, cutMm }, k): number => {
    if (rest !== null) {
      lostMm += plank.trimMm;
      return course.rests[rest]!.plank;
    }
    left[of!]!--;
    planks++;
    const overMm = mix[of!]!.lengthMm - cutMm - plank.kerfMm;
    if (k === pieces.length - 1 && pieces.length > 1 && overMm >= plank.leastEndMm + plank.trimMm)
      rests.push({ mm: overMm, plank: planks });
    else lostMm += Math.max(0, mix[of!]!.lengthMm - cutMm);
    return planks;
  });
  lostMm += breaches * BREACH_MM;
  return {
    rows: [...course.rows, { pieces, planks: from }],
    joints: [...course.joints, joints],
    left,
    rests,
    planks,
    lostMm,
  };
}

/** What a beginning is worth: what is lost, what lies about, and how far what is left is out of its mix. */
const costOf = ({ lostMm, rests, left }: Course, { mix }: MixedAsk): number =>
  lostMm + 0.35 * rests.reduce((sum, { mm }) => sum + mm, 0) + MIX_MM * outOfMix(left, mix);

function withBoxes(ask: MixedAsk, boxes: number, neighbours: Neighbours): Course | null {
  const { strips, plank, mix, zones = [], carried, drawn, seed = 1 } = ask;
  const draw = seeded(seed * 7919 + boxes);
  const left = mix.map(({ inBox }) => inBox * boxes);
  let courses: Course[] = [{ rows: [], joints: [], left, rests: [], planks: 0, lostMm: 0 }];
  for (const [k, strip] of strips.entries()) {
    const beside = neighbours.pairs.filter(({ a }) => a === k);
    const next: Course[] = [];
    for (const course of courses) {
      const near = beside.flatMap(({ b, apartMm }) => course.joints[b]!.map((atMm) => ({ atMm, apartMm })));
      const row = { strip, plank, mix, left: course.left, rests: course.rests };
      for (let i = 0; i < drawn; i++) {
        const pieces = drawnRow({ ...row, near, zones }, draw);
        if (pieces) next.push(withRow(course, pieces, jointsIn(strip, pieces), ask, 0));
      }
    }
    // Where nothing keeps the rules, they are given up for this row, and told.
    if (next.length === 0)
      for (const course of courses)
        for (let i = 0; i < drawn; i++) {
          const pieces = drawnRow(
            { strip, plank, mix, left: course.left, rests: course.rests, near: [], zones: [] },
            draw,
          );
          if (pieces) next.push(withRow(course, pieces, jointsIn(strip, pieces), ask, 1));
        }
    if (next.length === 0) return null;
    courses = next
      .map((course) => ({ course, cost: costOf(course, ask) }))
      .sort((a, b) => a.cost - b.cost)
      .slice(0, carried)
      .map(({ course }) => course);
  }
  return courses[0]!;
}

/**
 * Rows of planks of several lengths from as few boxes as will do, each box holding its mix: fresh planks may begin a row uncut, only the ends of rows are cut, and what they leave
 * over begins another. A few beginnings of the floor are carried along from row to row, those that lose least. Null where there is nothing to lay, or no mix to lay it from.
 */
export function planMixed(ask: MixedAsk): MixedPlan | null {
  const { strips, plank, mix, zones = [] } = ask;
  if (strips.length === 0 || mix.length === 0) return null;
  const neighbours = neighboursOf(strips, plank);
  const boxMm = mix.reduce((sum, { lengthMm, inBox }) => sum + lengthMm * inBox, 0);
  const laidMm2 = strips.reduce((sum, { areaM2 }) => sum + areaM2 * 1e6, 0);
  const leastBoxes = upTo(laidMm2 / plank.widthMm / boxMm);
  let found: { course: Course; boxes: number } | null = null;
  const longMm = strips.reduce((sum, { fromMm, toMm }) => sum + toMm - fromMm, 0);
  const first = Math.max(leastBoxes, upTo(longMm / boxMm));
  for (let boxes = first; boxes <= first + MORE_BOXES && !isGood(found); boxes++) {
    const course = withBoxes(ask, boxes, neighbours);
    if (course && (found === null || course.lostMm < found.course.lostMm - BREACH_MM / 2)) found = { course, boxes };
  }
  if (!found) return null;
  const { course, boxes } = found;
  const used = mix.map(({ lengthMm, inBox }, k) => ({
    lengthMm,
    planks: inBox * boxes - course.left[k]!,
    bought: inBox * boxes,
  }));
  return {
    divisions: course.rows.map(({ pieces }) => divisionOf(pieces)),
    cuts: cutsOf(strips, course, mix, plank),
    breaches: breachesAt(strips, course.joints, plank, { pairs: neighbours.pairs, triples: [] }, zones),
    boxes,
    leastBoxes,
    used,
  };
}

const isGood = (found: { course: Course } | null): boolean => found !== null && found.course.lostMm < BREACH_MM;

function divisionOf(pieces: readonly MixedPiece[]): Division {
  return {
    startMm: pieces[0]!.laidMm,
    wholes: Math.max(0, pieces.length - 2),
    endMm: pieces.length === 1 ? 0 : pieces.at(-1)!.laidMm,
  };
}

function cutsOf(
  strips: readonly RowStrip[],
  { rows, planks }: Course,
  mix: readonly MixedLength[],
  { kerfMm }: LaidPlank,
): CutList {
  const lengthOf = new Array<number>(planks + 1).fill(0);
  rows.forEach((row) =>
    row.pieces.forEach(({ of }, k) => {
      if (of !== null) lengthOf[row.planks[k]!] = mix[of]!.lengthMm;
    }),
  );
  const pieces = rows.flatMap((row, strip): Omit<LaidPiece, 'number'>[] => {
    let at = strips[strip]!.fromMm;
    return row.pieces.map(({ laidMm, cutMm, of }, k) => {
      const fromMm = at;
      at += laidMm;
      const isUncut = of !== null && cutMm >= mix[of]!.lengthMm - HAIR;
      return {
        strip,
        row: strips[strip]!.row,
        kind: isUncut ? 'whole' : row.pieces.length === 1 ? 'one' : k === 0 ? 'start' : 'end',
        fromMm,
        toMm: at,
        cutMm,
        plank: row.planks[k]!,
        rippedFrom: null,
      };
    });
  });
  const numbered = pieces.map((piece, k): LaidPiece => ({ ...piece, number: k + 1 }));
  return {
    pieces: numbered,
    planks: Array.from({ length: planks }, (_, k) => {
      const own = numbered.filter(({ plank }) => plank === k + 1);
      const cutMm = own.reduce((sum, one) => sum + one.cutMm, 0) + kerfMm * (own.length - 1);
      return {
        number: k + 1,
        pieces: own.map(({ number }) => number),
        ripped: [],
        lengthMm: lengthOf[k + 1]!,
        restMm: Math.max(0, lengthOf[k + 1]! - cutMm),
      };
    }),
  };
}

const HAIR = 1e-6;
