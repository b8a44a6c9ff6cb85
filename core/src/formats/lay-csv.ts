import Papa from 'papaparse';
import { roundTo } from '../units/index.ts';

/** One piece in the order of laying; lengths mm. */
export interface LayCsvRow {
  number: number;
  row: number;
  kind: string;
  cutMm: number;
  ripMm: readonly [number, number] | null;
  plank: number;
  restTo: number | null;
  restMm: number;
  isLaid: boolean;
}

/** The cut list of planks as CSV (comma, decimal point), in the order of laying. */
export const layCsv = (rows: readonly LayCsvRow[]): string =>
  Papa.unparse(
    {
      fields: [
        'piece',
        'row',
        'kind',
        'length_mm',
        'left_width_mm',
        'right_width_mm',
        'plank',
        'rest_to',
        'rest_mm',
        'laid',
      ],
      data: rows.map(({ number, row, kind, cutMm, ripMm, plank, restTo, restMm, isLaid }) => [
        number,
        row,
        kind,
        roundTo(cutMm, 0.1),
        ripMm ? roundTo(ripMm[0], 0.1) : '',
        ripMm ? roundTo(ripMm[1], 0.1) : '',
        plank,
        restTo ?? '',
        roundTo(restMm, 0.1),
        isLaid ? 'yes' : 'no',
      ]),
    },
    { newline: '\n' },
  );
