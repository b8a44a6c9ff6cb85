import type { Said, Sayable } from '../said/index.ts';
import type { Wall } from '../room/index.ts';
import type { LengthUnit } from '../units/index.ts';

/** A place on a drawing, in the drawing's own unit, x to the right and y up. */
export type DrawnPoint = readonly [number, number];

/** Units a drawing can be in. */
export const DRAWN_UNITS = ['mm', 'cm', 'm', 'in', 'ft'] as const satisfies readonly LengthUnit[];
export type DrawnUnit = (typeof DRAWN_UNITS)[number];

/** An outline as a file has it: a closed ring on a drawing, or walls as they were taped. */
export interface FileOutline {
  name: string | null;
  /** What its file says of its kind: the layer of a drawing, the kind of a feature. */
  layer: string | null;
  shape: { ring: DrawnPoint[] } | { walls: Wall[] };
  /** Made of single lines that close, not drawn as an outline. */
  ofLines?: boolean;
}

/** What stands in a file of outlines, before anything is chosen or stored. */
export interface OutlinesOfFile {
  outlines: FileOutline[];
  /** The unit the file says it is in; null where it does not say. */
  unit: DrawnUnit | null;
  problems: { line: number; text: string; reason: Said }[];
  missing: Sayable[];
  /** What was left out or straightened, said once for the whole file. */
  remarks: Said[];
}

export const NOTHING_DRAWN: OutlinesOfFile = { outlines: [], unit: null, problems: [], missing: [], remarks: [] };

/** Twice the area of a ring with its sign: positive where it runs anticlockwise. Square units of the drawing. */
export function twiceArea(ring: readonly DrawnPoint[]): number {
  return ring.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = ring[(i + 1) % ring.length]!;
    return sum + x * nextY - nextX * y;
  }, 0);
}

/** A ring without a last point that repeats its first, and without points that repeat the one before. */
export function openRing(ring: readonly DrawnPoint[], withinUnits: number): DrawnPoint[] {
  const apart = (a: DrawnPoint, b: DrawnPoint) => Math.hypot(a[0] - b[0], a[1] - b[1]) > withinUnits;
  const kept = ring.filter((point, i) => i === 0 || apart(point, ring[i - 1]!));
  while (kept.length > 1 && !apart(kept[0]!, kept.at(-1)!)) kept.pop();
  return kept;
}
