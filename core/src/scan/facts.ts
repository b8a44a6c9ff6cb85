import type { ScanFloor } from './floor-cells.ts';

/** Where a scan lies on the plan: turned anticlockwise about its middle, which lies at x, y. */
export interface ScanPlace {
  turnDeg: number;
  xMm: number;
  yMm: number;
}

/** A floor taken from a scan, as it was placed on the plan. */
export interface Scan extends ScanFloor, ScanPlace {
  id: string;
  fileName: string;
  /** Points on the floor that its heights come from. */
  points: number;
  takenAt: string;
  note: string;
}

export const SCAN_RANGES = {
  turnDeg: { min: -180, max: 180 },
  cellMm: { min: 10, max: 200 },
  side: { min: 1, max: 4000 },
  heightTenthMm: { min: -30_000, max: 30_000 },
  cells: 400_000,
} as const;

/** Middle of a scan's box in its own frame, mm. */
export function scanMiddle({ x0Mm, y0Mm, nx, ny, cellMm }: ScanFloor): [number, number] {
  return [x0Mm + ((nx - 1) / 2) * cellMm, y0Mm + ((ny - 1) / 2) * cellMm];
}

/** Takes places of a scan's own frame to the plan. */
export function toPlan(floor: ScanFloor, { turnDeg, xMm, yMm }: ScanPlace): (x: number, y: number) => [number, number] {
  const [mx, my] = scanMiddle(floor);
  const turn = (turnDeg * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return (x, y) => [xMm + c * (x - mx) - s * (y - my), yMm + s * (x - mx) + c * (y - my)];
}

/** Takes places of the plan to a scan's own frame. */
export function toScan(floor: ScanFloor, { turnDeg, xMm, yMm }: ScanPlace): (x: number, y: number) => [number, number] {
  const [mx, my] = scanMiddle(floor);
  const turn = (turnDeg * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return (x, y) => [mx + c * (x - xMm) + s * (y - yMm), my - s * (x - xMm) + c * (y - yMm)];
}
