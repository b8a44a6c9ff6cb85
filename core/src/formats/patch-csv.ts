import type { Sayable } from '../said/index.ts';
import Papa from 'papaparse';
import { DEPTH_BOUNDS_MM } from '../levelling/index.ts';
import { alongFirstWall, type PointMm } from '../room/index.ts';
import { roundTo } from '../units/index.ts';
import { safeText } from './safe-text.ts';
import type { LevelSheet } from './level-sheet.ts';

const AREA_COLUMNS = [
  'work',
  'label',
  'area_m2',
  'volume_l',
  'mean_mm',
  'deepest_mm',
  'kg',
  'deepest_x_mm',
  'deepest_y_mm',
  ...DEPTH_BOUNDS_MM.map((from, i) => `area_${from}_${DEPTH_BOUNDS_MM[i + 1] ?? 'up'}_mm_m2`),
];
const POINT_COLUMNS = [
  'point',
  'label',
  'number',
  'x_mm',
  'y_mm',
  'tape_1_mm',
  'tape_1_from',
  'tape_2_mm',
  'tape_2_from',
];

/** Places to work on, then the points to chalk with their tapes, as CSV (comma, decimal point). `kgPerL` is the product's; `written` puts what is said into words. */
export function patchCsv(sheet: LevelSheet, kgPerL: number, written: (said: Sayable) => string): string {
  // As a tape finds them: along the first wall from the first corner, and across it.
  const taped = (point: PointMm) => {
    const { xMm, yMm } = alongFirstWall(sheet.plan, point);
    return [roundTo(xMm, 0.1), roundTo(yMm, 0.1)];
  };
  const areas = [
    ...sheet.fills.map((area) => ({ work: 'fill', area, kg: roundTo(area.volumeL * kgPerL, 0.01) })),
    ...sheet.grinding.map((area) => ({ work: 'grind', area, kg: '' })),
  ].map(({ work, area, kg }) => [
    work,
    area.label,
    roundTo(area.areaM2, 0.001),
    roundTo(area.volumeL, 0.001),
    roundTo(area.meanMm, 0.01),
    roundTo(area.deepestMm, 0.01),
    kg,
    ...taped({ xMm: area.deepestAt[0], yMm: area.deepestAt[1] }),
    ...DEPTH_BOUNDS_MM.map((from) => roundTo(area.classes.find(({ fromMm }) => fromMm === from)?.areaM2 ?? 0, 0.001)),
  ]);
  const points = sheet.chalk.map((point) => [
    'chalk',
    point.label,
    point.number,
    ...taped(point.at),
    ...point.tapes.flatMap((tape) => [roundTo(tape.distanceMm, 1), safeText(written(tape.name))]),
  ]);
  return `${Papa.unparse([AREA_COLUMNS, ...areas, [], POINT_COLUMNS, ...points], { newline: '\r\n' })}\r\n`;
}
