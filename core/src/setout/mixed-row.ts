import { seeded } from '../units/index.ts';
import type { JointZone } from './joints.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';

/** Planks of one length, and how many of them a box holds. */
export interface MixedLength {
  lengthMm: number;
  inBox: number;
}

/** What the end of a row left of a plank: it begins another row. */
export interface Rest {
  mm: number;
  plank: number;
}

/** A piece of a row of planks of several lengths. `of` is the place of its plank's length in the mix, for a plank that is opened for it; `rest` the place of the off-cut it is. */
export interface MixedPiece {
  laidMm: number;
  cutMm: number;
  of: number | null;
  rest: number | null;
}

/** What a row may be made of, and what its joints have to stay away from. */
export interface MixedRowAsk {
  strip: RowStrip;
  plank: LaidPlank;
  mix: readonly MixedLength[];
  /** Planks that are left of each length. */
  left: readonly number[];
  rests: readonly Rest[];
  /** Joints nearby, and how far from each of them another has to stay. */
  near: readonly { atMm: number; apartMm: number }[];
  zones: readonly JointZone[];
}

const HAIR = 1e-6;
type Draw = ReturnType<typeof seeded>;

/** Whether a joint may lie at a place along the row. */
export const mayJoin = ({ near, zones, strip }: MixedRowAsk, atMm: number): boolean =>
  near.every((one) => Math.abs(atMm - one.atMm) >= one.apartMm - HAIR) &&
  zones.every(
    ({ fromMm, toMm, lowMm, highMm }) =>
      lowMm >= strip.highMm || highMm <= strip.lowMm || atMm <= fromMm || atMm >= toMm,
  );

/** One of several, each as likely as it weighs; null where nothing weighs anything. */
function drawn(weights: readonly number[], draw: Draw): number | null {
  const whole = weights.reduce((sum, one) => sum + one, 0);
  if (whole <= 0) return null;
  let at = draw() * whole;
  for (const [k, weight] of weights.entries()) {
    at -= weight;
    if (at < 0 && weight > 0) return k;
  }
  return weights.findLastIndex((one) => one > 0);
}

/** A share of rows begins with what another one left over, where there is something. */
const FROM_REST = 0.75;

/**
 * One way to lay a row of planks of several lengths, drawn at random: it begins with an off-cut or with a plank that nothing is cut from, goes on with whole ones, and only its last
 * piece is cut. Null where what was drawn comes to a joint that may not lie there, or to too short an end.
 */
export function drawnRow(ask: MixedRowAsk, draw: Draw): MixedPiece[] | null {
  const { strip, plank, mix, left, rests } = ask;
  const whole = strip.toMm - strip.fromMm;
  const spare = [...left];
  const pieces: MixedPiece[] = [];
  const longest = Math.max(...mix.map(({ lengthMm }, k) => (spare[k]! > 0 ? lengthMm : 0)));
  let doneMm = 0;
  const take = (of: number, laidMm: number, cutMm: number) => {
    spare[of]!--;
    pieces.push({ laidMm, cutMm, of, rest: null });
    doneMm += laidMm;
  };
  const usable = rests
    .map(({ mm }, k) => ({ k, laidMm: mm - plank.trimMm }))
    .filter(({ laidMm }) => laidMm >= plank.leastEndMm - HAIR && laidMm < whole && mayJoin(ask, strip.fromMm + laidMm));
  if (usable.length > 0 && draw() < FROM_REST) {
    const { k, laidMm } = usable[Math.floor(draw() * usable.length)]!;
    pieces.push({ laidMm, cutMm: laidMm + plank.trimMm, of: null, rest: k });
    doneMm = laidMm;
  }
  for (;;) {
    const restMm = whole - doneMm;
    const isAlone = pieces.length === 0;
    const endMm = restMm + plank.trimMm * (isAlone ? 2 : 1);
    // A row that ends here, or one that goes on: both are drawn where both may be.
    const ends =
      endMm <= longest + HAIR && (isAlone || restMm >= plank.leastEndMm - HAIR)
        ? mix.map(({ lengthMm }, k) => {
            if (spare[k]! <= 0 || lengthMm < endMm - HAIR) return 0;
            const overMm = lengthMm - endMm;
            // Best is next to nothing over, or enough to begin a row with.
            const isOfUse = overMm - plank.kerfMm - plank.trimMm >= plank.leastEndMm;
            return overMm < 30 ? 6 : isOfUse ? 3 : 60 / (60 + overMm);
          })
        : [];
    const goesOn = mix.map(({ lengthMm }, k) =>
      spare[k]! > 0 && restMm - lengthMm >= plank.leastEndMm - HAIR && mayJoin(ask, strip.fromMm + doneMm + lengthMm)
        ? spare[k]!
        : 0,
    );
    const isEnd = ends.some((one) => one > 0) && (goesOn.every((one) => one === 0) || draw() < 0.5);
    if (isEnd) {
      const of = drawn(ends, draw)!;
      take(of, restMm, Math.min(endMm, mix[of]!.lengthMm));
      return pieces;
    }
    const of = drawn(goesOn, draw);
    if (of === null) return null;
    take(of, mix[of]!.lengthMm, mix[of]!.lengthMm);
  }
}
