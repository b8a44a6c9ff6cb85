import Papa from 'papaparse';
import type { LedgerRow } from '../heights/index.ts';
import { roundTo } from '../units/index.ts';
import { safeText } from './safe-text.ts';

/** A row of the ledger with the names it is spoken of by. */
export interface NamedRow {
  row: LedgerRow;
  room: string;
  otherRoom: string;
  opening: string;
}

const COLUMNS = [
  'room',
  'other_room',
  'opening',
  'width_mm',
  'step_least_mm',
  'step_most_mm',
  'bar',
  'packing_start_thin_mm',
  'packing_start_thick_mm',
  'packing_end_thin_mm',
  'packing_end_thick_mm',
  'ramp_mm',
  'leaf',
  'leaf_cut_hinge_mm',
  'leaf_cut_latch_mm',
  'saw_over_what_lies_mm',
  'provisional',
];

const figure = (mm: number | null | undefined) => (mm === null || mm === undefined ? '' : roundTo(mm, 0.01));

/** The door ledger as CSV (comma, decimal point), one row an opening; steps positive where the first room is the higher. */
export function ledgerCsv(rows: readonly NamedRow[]): string {
  const lines = rows.map(({ row, room, otherRoom, opening }) => [
    safeText(room),
    safeText(otherRoom),
    safeText(opening),
    roundTo(row.widthMm, 0.1),
    figure(row.stepMm?.[0]),
    figure(row.stepMm?.[1]),
    row.bar,
    figure(row.packingMm[0]?.[0]),
    figure(row.packingMm[0]?.[1]),
    figure(row.packingMm[1]?.[0]),
    figure(row.packingMm[1]?.[1]),
    figure(row.rampMm),
    row.leaf,
    figure(row.cut?.hingeMm),
    figure(row.cut?.latchMm),
    row.sawMm.map((mm) => roundTo(mm, 0.1)).join(' '),
    row.provisional ? 'yes' : 'no',
  ]);
  return `${Papa.unparse([COLUMNS, ...lines], { newline: '\r\n' })}\r\n`;
}
