import { contains, distanceToSegmentMm, type PointMm, type Polygon } from '../room/index.ts';

/** How far apart a panel is fixed, mm: along its edges, and over its field. Where a board is cut is an edge. */
export interface FixingPitch {
  edgeMm: number;
  fieldMm: number;
}
/** Both schools: half as many hold as well over sound boards; the closer one is asked by many sheets of glued vinyl. */
export const USUAL_PITCH: FixingPitch = { edgeMm: 75, fieldMm: 150 };
export const CLOSE_PITCH: FixingPitch = { edgeMm: 50, fieldMm: 100 };

/** Fixings stand so far inside an edge, mm. */
export const INSET_MM = 10;

const spaces = (lengthMm: number, pitchMm: number) => Math.ceil(lengthMm / pitchMm - 1e-9);

/** Fixings of a rectangle: along its four edges, and in its field. */
export function fixingsOfRectangle(widthMm: number, lengthMm: number, { edgeMm, fieldMm }: FixingPitch) {
  const [a, b] = [widthMm - 2 * INSET_MM, lengthMm - 2 * INSET_MM];
  const edge = 2 * (spaces(a, edgeMm) + spaces(b, edgeMm));
  const field = Math.max(0, spaces(a, fieldMm) - 1) * Math.max(0, spaces(b, fieldMm) - 1);
  return { edge, field, all: edge + field };
}

/** Fixings of any other shape: side by side, and the field's lattice of its box wherever that lies well inside. */
export function fixingsOfShape(outline: Polygon, { edgeMm, fieldMm }: FixingPitch) {
  const sides = outline.map((from, k) => [from, outline[(k + 1) % outline.length]!] as const);
  const lengthOf = ([a, b]: readonly [PointMm, PointMm]) => Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
  const edge = sides.reduce((sum, side) => sum + Math.max(0, spaces(lengthOf(side) - 2 * INSET_MM, edgeMm)), 0);
  const xs = outline.map(({ xMm }) => xMm);
  const ys = outline.map(({ yMm }) => yMm);
  const lines = (from: number, to: number) => {
    const inside = to - from - 2 * INSET_MM;
    const count = spaces(inside, fieldMm);
    return Array.from({ length: Math.max(0, count - 1) }, (_, k) => from + INSET_MM + (inside * (k + 1)) / count);
  };
  let field = 0;
  for (const xMm of lines(Math.min(...xs), Math.max(...xs)))
    for (const yMm of lines(Math.min(...ys), Math.max(...ys)))
      if (contains(outline, xMm, yMm) && sides.every(([a, b]) => distanceToSegmentMm(xMm, yMm, a, b) >= fieldMm / 2))
        field++;
  return { edge, field, all: edge + field };
}

/** Lengths fixings are sold in, mm. */
export const FIXINGS_MM: readonly number[] = [12, 16, 20, 25, 30, 35, 40, 45, 50];

/** Fixings that hold a panel, and whether their points may come out beneath its base. */
export type FixingLength = { lengthMm: number; why: null } | { lengthMm: null; why: 'measure' | 'none' | 'services' };

/**
 * The shortest length sold that holds a panel in its base: three times the panel, and two short of coming through the base where it is
 * thinnest. Where nothing lies beneath that was located it may come through; over heating never.
 */
export function fixingLength(
  panelMm: number,
  thinnestBaseMm: number | null,
  { isLocated, isHeated }: { isLocated: boolean; isHeated: boolean },
  soldMm: readonly number[] = FIXINGS_MM,
): FixingLength {
  const held = [...soldMm].sort((a, b) => a - b).filter((mm) => mm >= 3 * panelMm);
  if (isLocated && !isHeated && held.length > 0) return { lengthMm: held[0]!, why: null };
  if (thinnestBaseMm === null) return { lengthMm: null, why: 'measure' };
  const within = held.find((mm) => mm <= panelMm + thinnestBaseMm - 2);
  if (within !== undefined) return { lengthMm: within, why: null };
  return { lengthMm: null, why: isHeated || isLocated ? 'none' : 'services' };
}
