import { gap, say } from '../said/index.ts';
import { cells, figure, kind, moment, text, whole, within, type FactOf, type Held } from '../fields/index.ts';
import type { ScanFloor } from './floor-cells.ts';

/** Scans and their places reach this far from their first point, mm. */
const SCAN_SHEET_MM = 1_000_000;

export const SCAN_RANGES = {
  turnDeg: { min: -180, max: 180 },
  cellMm: { min: 10, max: 200 },
  side: { min: 1, max: 4000 },
  heightTenthMm: { min: -30_000, max: 30_000 },
  cells: 400_000,
} as const;

/** Where a scan lies on the plan: turned anticlockwise about its middle, which lies at x, y. */
const SCAN_PLACE = {
  turnDeg: within(SCAN_RANGES.turnDeg, 'deg'),
  xMm: figure(-SCAN_SHEET_MM, SCAN_SHEET_MM, 'mm'),
  yMm: figure(-SCAN_SHEET_MM, SCAN_SHEET_MM, 'mm'),
} as const;
export type ScanPlace = Held<typeof SCAN_PLACE>;

/** A floor taken from a scan, as it was placed on the plan. */
export const scans = kind(
  'room',
  'Scan',
  {
    fileName: text(200),
    /** Points on the floor that its heights come from. */
    points: whole(1, 1e9),
    takenAt: moment(),
    cellMm: within(SCAN_RANGES.cellMm, 'mm'),
    nx: whole(SCAN_RANGES.side.min, SCAN_RANGES.side.max),
    ny: whole(SCAN_RANGES.side.min, SCAN_RANGES.side.max),
    /** Middle of cell (0, 0), from the scan's first point. */
    x0Mm: figure(-SCAN_SHEET_MM, SCAN_SHEET_MM, 'mm'),
    y0Mm: figure(-SCAN_SHEET_MM, SCAN_SHEET_MM, 'mm'),
    /** Tenths of a millimetre over the floor's own mean plane level, row by row; null where no floor was seen. */
    heightsTenthMm: cells(SCAN_RANGES.heightTenthMm.min, SCAN_RANGES.heightTenthMm.max, SCAN_RANGES.cells),
    /** Spread of one cell's height for noise alone, mm (one standard deviation). */
    noiseMm: figure(0, 100, 'mm'),
    ...SCAN_PLACE,
    note: text(500),
  },
  {
    logged: {
      as: 'scan',
      line: ({ takenAt, fileName, points, noiseMm }) => ({
        at: takenAt,
        what: say('formats.scanLaidOnTheRoom', { fileName }),
        value: say('formats.pointsOnTheFloor', { points }),
        conditions: say('formats.noiseOfACell', { noiseMm: gap(noiseMm) }),
      }),
    },
  },
);
export type Scan = FactOf<typeof scans>;

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
