import Papa from 'papaparse';
import { roundTo } from '../units/index.ts';
import { safeText } from './safe-text.ts';

/** One piece of a cut list: what it is cut from, and where it goes. */
export interface CutRow {
  material: string;
  /** Number of the roll or sheet. */
  from: number;
  room: string;
  number: number;
  lengthMm: number;
  widthMm: number;
}

/** A cut list as CSV (comma, decimal point), lengths in mm, one row a piece. */
export function cutCsv(rows: readonly CutRow[]): string {
  return Papa.unparse(
    {
      fields: ['material', 'from', 'room', 'number', 'length_mm', 'width_mm'],
      data: rows.map(({ material, from, room, number, lengthMm, widthMm }) => [
        safeText(material),
        from,
        safeText(room),
        number,
        roundTo(lengthMm, 0.1),
        roundTo(widthMm, 0.1),
      ]),
    },
    { newline: '\n' },
  );
}
