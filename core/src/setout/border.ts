import { regionAreaM2, without, type Region } from '../room/index.ts';
import type { LaidPlank } from './plank.ts';
import { cutPlanks, type CutPiece } from './stock.ts';

/** One side of a border: as long as its middle line, in whole staves and a rest. */
export interface BorderRun {
  lengthMm: number;
  wholes: number;
  restMm: number;
}

/** Straight rows round a floor of another pattern. */
export interface Border {
  runs: BorderRun[];
  planks: number;
  /** What the border covers. */
  region: Region;
  areaM2: number;
}

/** A shorter side is a crumb, mm. */
const CRUMB_MM = 3;
const HAIR = 1e-6;

/**
 * A border of so many rows along the walls: every side is laid in whole staves and one rest, by its middle line, its corners mitred or butted alike; rests share staves. The floor of openings
 * is laid with it, by its area.
 *
 * @param whole - all of the floor
 * @param within - the floor without its openings, every wall moved in by so many mm
 */
export function borderRound(
  whole: Region,
  within: (insetMm: number) => Region,
  rows: number,
  plank: LaidPlank,
): Border {
  const { lengthMm: len, widthMm } = plank;
  const sides = Array.from({ length: rows }, (_, row) => within((row + 0.5) * widthMm)).flatMap((region) =>
    region.flatMap((part) => {
      const ring = part[0]!;
      return ring.map((a, k) => {
        const b = ring[(k + 1) % ring.length]!;
        return Math.hypot(b[0] - a[0], b[1] - a[1]);
      });
    }),
  );
  const doorwaysMm = (regionAreaM2(without(whole, within(0))) * 1e6) / widthMm;
  const runs = [...sides, doorwaysMm]
    .filter((lengthMm) => lengthMm > CRUMB_MM)
    .map((lengthMm): BorderRun => {
      const wholes = Math.floor(lengthMm / len + HAIR);
      return { lengthMm, wholes, restMm: Math.max(0, lengthMm - wholes * len) };
    });
  const rests = runs.flatMap(({ restMm }, id): CutPiece[] =>
    restMm > CRUMB_MM ? [{ id, need: 'none', lengthMm: restMm }] : [],
  );
  const region = without(whole, within(rows * widthMm));
  return {
    runs,
    planks: runs.reduce((sum, { wholes }) => sum + wholes, 0) + cutPlanks(rests, plank).length,
    region,
    areaM2: regionAreaM2(region),
  };
}
