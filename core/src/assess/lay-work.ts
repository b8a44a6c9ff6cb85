import { boxesFor, type FloorPlan } from '../setout/index.ts';
import type { LayGround } from './lay-ground.ts';
import type { ShownPlank } from './lay-piece.ts';

/** What laying a floor takes besides its planks. */
export interface LayWork {
  boxes: { boxes: number; inBox: number; spare: number } | null;
  cuts: { cross: number; rips: number; notches: number; holes: number };
  half: { rows: number; reachMm: number } | null;
}

/** Boxes of so many planks with the spare ones; null where the card does not say what a box covers. */
export function boxesOf({ set, plank, figure }: LayGround, planks: number): LayWork['boxes'] {
  const { packM2 } = set.card;
  if (packM2 === null) return null;
  const inBox = Math.max(1, Math.round((packM2 * 1e6) / (plank.lengthMm * plank.widthMm)));
  const spareShare = figure('spare-pct') / 100;
  return {
    boxes: boxesFor(planks, inBox, spareShare),
    inBox,
    spare: Math.max(1, Math.ceil(planks * spareShare - 1e-9)),
  };
}

/** Saw cuts: across, along, notches and holes. A pair that uses its plank up is one cut. */
export function cutsOf(pieces: readonly ShownPlank[], { cuts }: FloorPlan): LayWork['cuts'] {
  const isCut = new Set(pieces.filter(({ kind }) => kind !== 'whole').map(({ number }) => number));
  const cross = cuts.planks.reduce((sum, used) => {
    const own = used.pieces.filter((number) => isCut.has(number)).length;
    return sum + (own === 0 ? 0 : used.restMm < 1 ? own - 1 || 1 : own);
  }, 0);
  return {
    cross,
    rips: pieces.filter(({ ripMm }) => ripMm !== null).length,
    notches: pieces.reduce((sum, { notches }) => sum + notches.length, 0),
    holes: pieces.reduce((sum, { holes }) => sum + holes.length, 0),
  };
}

/** The row at which about half the floor lies; null where there are too few to part. */
export function halfOf({ strips }: FloorPlan, widthMm: number): LayWork['half'] {
  const areaM2 = strips.reduce((sum, strip) => sum + strip.areaM2, 0);
  let laidM2 = 0;
  for (const [k, strip] of strips.entries()) {
    laidM2 += strip.areaM2;
    if (laidM2 >= areaM2 / 2 && strips[k + 1]?.row !== strip.row)
      return strip.row < 2 ? null : { rows: strip.row + 1, reachMm: strip.lineMm + widthMm };
  }
  return null;
}

/** Off-cuts that wait at once: each from the piece its plank was opened for until the last that is cut from it. */
export function rackOf({ cuts, strips }: FloorPlan): number {
  const rowOf = (number: number) => strips[cuts.pieces[number - 1]!.strip]!.row;
  const waits = cuts.planks.flatMap(({ pieces, ripped }) => {
    const all = [...pieces, ...ripped].map(rowOf);
    const [from, to] = [Math.min(...all), Math.max(...all)];
    return to > from ? [[from, to] as const] : [];
  });
  const rows = Math.max(0, ...strips.map(({ row }) => row));
  return Array.from(
    { length: rows + 1 },
    (_, row) => waits.filter(([from, to]) => from <= row && row < to).length,
  ).reduce((most, count) => Math.max(most, count), 0);
}
