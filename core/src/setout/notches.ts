import { common, regionAreaM2, regionOf, type Polygon } from '../room/index.ts';

/** A piece by its place in the laying frame, mm. */
export interface PieceBox {
  fromMm: number;
  toMm: number;
  lowMm: number;
  highMm: number;
}

/** A pipe that stands in the floor. */
export interface StandingPipe {
  id: string;
  uMm: number;
  vMm: number;
  diameterMm: number;
  gapMm: number;
}

/** A hole in a piece, from its left end and its start-side edge, face up. */
export interface PipeHole {
  pipeId: string;
  diameterMm: number;
  fromEndMm: number;
  fromEdgeMm: number;
  /** The edge to which it is slotted so that the piece goes round a pipe that stands; its plug is glued back. */
  slotTo: 'start-side' | 'far-side' | 'left-end' | 'right-end';
}

/** Something cut out of a piece at its edge, as a box from its left end and its start-side edge, face up. */
export interface Notch {
  id: string;
  fromEndMm: number;
  fromEdgeMm: number;
  longMm: number;
  wideMm: number;
}

/** The hole a pipe makes in a piece; null where it stands beside it. */
export function pipeHole({ fromMm, toMm, lowMm, highMm }: PieceBox, pipe: StandingPipe): PipeHole | null {
  const { id, uMm, vMm, diameterMm, gapMm } = pipe;
  const wideMm = diameterMm + 2 * gapMm;
  const reach = wideMm / 2;
  if (uMm + reach <= fromMm || uMm - reach >= toMm || vMm + reach <= lowMm || vMm - reach >= highMm) return null;
  const ways = [
    ['start-side', vMm - lowMm],
    ['far-side', highMm - vMm],
    ['left-end', uMm - fromMm],
    ['right-end', toMm - uMm],
  ] as const;
  const [slotTo] = ways.reduce((best, one) => (one[1] < best[1] ? one : best));
  return { pipeId: id, diameterMm: wideMm, fromEndMm: uMm - fromMm, fromEdgeMm: vMm - lowMm, slotTo };
}

/** A notch under this is filled, m². */
const CRUMB_M2 = 4e-4;

/** What is cut out of a piece for something that stands in the floor, by its box; null where that leaves it whole. */
export function notchFor(piece: PieceBox, kept: { id: string; outline: Polygon }): Notch | null {
  const { fromMm, toMm, lowMm, highMm } = piece;
  const box = regionOf([
    { xMm: fromMm, yMm: lowMm },
    { xMm: toMm, yMm: lowMm },
    { xMm: toMm, yMm: highMm },
    { xMm: fromMm, yMm: highMm },
  ]);
  const cut = common(box, regionOf(kept.outline));
  if (regionAreaM2(cut) < CRUMB_M2) return null;
  const points = cut.flatMap((part) => part[0]!);
  const [us, vs] = [points.map(([u]) => u), points.map(([, v]) => v)];
  const [left, near] = [Math.min(...us), Math.min(...vs)];
  return {
    id: kept.id,
    fromEndMm: left - fromMm,
    fromEdgeMm: near - lowMm,
    longMm: Math.max(...us) - left,
    wideMm: Math.max(...vs) - near,
  };
}

/** A place in a piece that is sawn face down: from its other end. */
export const faceDown = <C extends { fromEndMm: number }>(cut: C, pieceMm: number, longMm = 0): C => ({
  ...cut,
  fromEndMm: pieceMm - cut.fromEndMm - longMm,
});
