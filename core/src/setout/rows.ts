import { band, regionAreaM2, type CutLine, type Polygon, type Region, type RegionPart } from '../room/index.ts';
import type { LayingFrame } from './frame.ts';

/** What of a row is laid in one: from wall to wall along the row, mm in the laying frame. */
export interface RowStrip {
  /** Rows from the start wall on, from 0. */
  row: number;
  part: RegionPart;
  /** The line at which the row begins, whether the floor reaches to it or not. */
  lineMm: number;
  /** By its longest extent along the row. */
  fromMm: number;
  toMm: number;
  /** Edges of what is laid of the row, across it. */
  lowMm: number;
  highMm: number;
  areaM2: number;
}

/** A region in the laying frame: x is u, y is v. Rings keep their turn: outer ones anticlockwise. */
export function inFrame(region: Region, { to }: LayingFrame): Region {
  return region.map((part) =>
    part.map((ring) => {
      const turned = ring.map(([xMm, yMm]) => to({ xMm, yMm }));
      // A frame laid left to right is a mirror of the sheet.
      return isMirror(to) ? [...turned].reverse() : turned;
    }),
  );
}

function isMirror(to: LayingFrame['to']): boolean {
  const [o, x, y] = [to({ xMm: 0, yMm: 0 }), to({ xMm: 1, yMm: 0 }), to({ xMm: 0, yMm: 1 })];
  return (x[0] - o[0]) * (y[1] - o[1]) - (x[1] - o[1]) * (y[0] - o[0]) < 0;
}

/** Points of a polygon in the laying frame. */
export const framed = (polygon: Polygon, { to }: Pick<LayingFrame, 'to'>): [number, number][] => polygon.map(to);

const ACROSS = (c: number): CutLine => ({ a: 0, b: 1, c });

/** What is smaller is filled and not laid: m², and mm either way. */
const CRUMB_M2 = 4e-4;
const CRUMB_MM = 3;

export const spanOf = (part: RegionPart, of: 0 | 1): [number, number] => {
  const at = part[0]!.map((point) => point[of]);
  return [Math.min(...at), Math.max(...at)];
};

/** Lowest and highest place of a region across the rows, mm. */
export function acrossOf(region: Region): [number, number] {
  const spans = region.map((part) => spanOf(part, 1));
  return [Math.min(...spans.map(([low]) => low)), Math.max(...spans.map(([, high]) => high))];
}

/**
 * Strips of a region in the laying frame: rows of a cover width w whose first one leaves `firstMm` at the start line. A row that is
 * parted, by something that stands there, has more than one.
 */
export function rowStrips(region: Region, widthMm: number, firstMm: number): RowStrip[] {
  if (region.length === 0) return [];
  const [low, high] = acrossOf(region);
  const first = low + firstMm - widthMm;
  const strips: RowStrip[] = [];
  for (let row = 0; first + row * widthMm < high - CRUMB_MM; row++) {
    const at = first + row * widthMm;
    for (const part of band(region, ACROSS, at, at + widthMm)) {
      const [fromMm, toMm] = spanOf(part, 0);
      const [lowMm, highMm] = spanOf(part, 1);
      const areaM2 = regionAreaM2([part]);
      if (areaM2 < CRUMB_M2 || toMm - fromMm < CRUMB_MM || highMm - lowMm < CRUMB_MM) continue;
      strips.push({ row, part, lineMm: at, fromMm, toMm, lowMm, highMm, areaM2 });
    }
  }
  return strips.sort((a, b) => a.row - b.row || a.fromMm - b.fromMm);
}
