import { MM_PER_INCH, type UnitSystem } from '../units/index.ts';

/** How far apart a panel is fixed, mm: along its edges, over its field, and how far inside an edge. Where a board is cut is an edge. */
export interface FixingPitch {
  edgeMm: number;
  fieldMm: number;
  insetMm: number;
}

const inches = (edge: number, field: number, inset: number): FixingPitch => ({
  edgeMm: edge * MM_PER_INCH,
  fieldMm: field * MM_PER_INCH,
  insetMm: inset * MM_PER_INCH,
});

/** Both schools, in round figures of either trade: half as many hold as well over sound boards; the closer one is asked by many sheets of glued vinyl. */
export const PITCHES: Record<UnitSystem, Record<'75/150' | '50/100', FixingPitch>> = {
  metric: {
    '75/150': { edgeMm: 75, fieldMm: 150, insetMm: 10 },
    '50/100': { edgeMm: 50, fieldMm: 100, insetMm: 10 },
  },
  imperial: { '75/150': inches(3, 6, 3 / 8), '50/100': inches(2, 4, 3 / 8) },
};
