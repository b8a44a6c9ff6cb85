import { contains, distanceToSegmentMm, type PointMm, type Polygon } from '../room/index.ts';
import { MM_PER_INCH, type UnitSystem } from '../units/index.ts';
import type { FixingPitch } from './pitches.ts';

const spaces = (lengthMm: number, pitchMm: number) => Math.ceil(lengthMm / pitchMm - 1e-9);

/** Fixings of a rectangle: along its four edges, and in its field. */
export function fixingsOfRectangle(widthMm: number, lengthMm: number, { edgeMm, fieldMm, insetMm }: FixingPitch) {
  const [a, b] = [widthMm - 2 * insetMm, lengthMm - 2 * insetMm];
  const edge = 2 * (spaces(a, edgeMm) + spaces(b, edgeMm));
  const field = Math.max(0, spaces(a, fieldMm) - 1) * Math.max(0, spaces(b, fieldMm) - 1);
  return { edge, field, all: edge + field };
}

/** Fixings of any other shape: side by side, and the field's lattice of its box wherever that lies well inside. */
export function fixingsOfShape(outline: Polygon, { edgeMm, fieldMm, insetMm }: FixingPitch) {
  const sides = outline.map((from, k) => [from, outline[(k + 1) % outline.length]!] as const);
  const lengthOf = ([a, b]: readonly [PointMm, PointMm]) => Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
  const edge = sides.reduce((sum, side) => sum + Math.max(0, spaces(lengthOf(side) - 2 * insetMm, edgeMm)), 0);
  const xs = outline.map(({ xMm }) => xMm);
  const ys = outline.map(({ yMm }) => yMm);
  const lines = (from: number, to: number) => {
    const inside = to - from - 2 * insetMm;
    const count = spaces(inside, fieldMm);
    return Array.from({ length: Math.max(0, count - 1) }, (_, k) => from + insetMm + (inside * (k + 1)) / count);
  };
  let field = 0;
  for (const xMm of lines(Math.min(...xs), Math.max(...xs)))
    for (const yMm of lines(Math.min(...ys), Math.max(...ys)))
      if (contains(outline, xMm, yMm) && sides.every(([a, b]) => distanceToSegmentMm(xMm, yMm, a, b) >= fieldMm / 2))
        field++;
  return { edge, field, all: edge + field };
}

/** Lengths fixings are sold in, mm. */
const SOLD_MM: Record<UnitSystem, readonly number[]> = {
  metric: [12, 16, 20, 25, 30, 35, 40, 45, 50],
  imperial: [1 / 2, 5 / 8, 3 / 4, 7 / 8, 1, 1 + 1 / 8, 1 + 1 / 4, 1 + 1 / 2, 1 + 3 / 4, 2].map((x) => x * MM_PER_INCH),
};

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
  units: UnitSystem = 'metric',
): FixingLength {
  const held = SOLD_MM[units].filter((mm) => mm >= 3 * panelMm - 1e-6);
  if (isLocated && !isHeated && held.length > 0) return { lengthMm: held[0]!, why: null };
  if (thinnestBaseMm === null) return { lengthMm: null, why: 'measure' };
  const within = held.find((mm) => mm <= panelMm + thinnestBaseMm - 2 + 1e-6);
  if (within !== undefined) return { lengthMm: within, why: null };
  return { lengthMm: null, why: isHeated || isLocated ? 'none' : 'services' };
}
