import Papa from 'papaparse';
import { safeText } from './safe-text.ts';

/** A line of a price as it was given, or packs as they were bought. */
export type GivenRow =
  | { is: 'quoted'; what: string; cents: number }
  | { is: 'packs'; what: string; batch: string; planned: number; bought: number; opened: number };

const COLUMNS = ['is', 'what', 'price', 'batch', 'planned', 'bought', 'opened'] as const;

/** What was quoted and what was bought as CSV: comma, decimal point, UTF-8; what it costs the installer is not in it. */
export function givenCsv(rows: readonly GivenRow[]): string {
  const cells = rows.map((row) =>
    row.is === 'quoted'
      ? [row.is, safeText(row.what), (row.cents / 100).toFixed(2), '', '', '', '']
      : [row.is, safeText(row.what), '', safeText(row.batch), row.planned, row.bought, row.opened],
  );
  return `${Papa.unparse([[...COLUMNS], ...cells], { newline: '\r\n' })}\r\n`;
}
