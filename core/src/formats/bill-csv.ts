import Papa from 'papaparse';
import { safeText } from './safe-text.ts';

/** One line of a bill as it goes into a spreadsheet; its words are the reader's. */
export interface BillRow {
  id: string;
  what: string;
  kind: string;
  unit: string;
  net: number;
  gross: number;
  packs: number | null;
  packHolds: number | null;
  eachCents: number | null;
  cents: number;
  supplier: string;
  pricedOn: string;
  firstDay: string;
  lastDay: string;
  kg: number;
}

const COLUMNS = [
  'id',
  'what',
  'kind',
  'unit',
  'need',
  'withWaste',
  'packs',
  'packHolds',
  'pricePerPack',
  'price',
  'supplier',
  'pricedOn',
  'firstUsed',
  'lastUsed',
  'kg',
] as const;

const money = (cents: number) => (cents / 100).toFixed(2);
const figure = (value: number) => String(Math.round(value * 1000) / 1000);

/** A bill as CSV: comma, decimal point, UTF-8, a line each and the sum at the end; money without tax. */
export function billCsv(rows: readonly BillRow[]): string {
  const sum = rows.reduce((all, { cents }) => all + cents, 0);
  const cells = rows.map((row) => [
    safeText(row.id),
    safeText(row.what),
    row.kind,
    safeText(row.unit),
    figure(row.net),
    figure(row.gross),
    row.packs === null ? '' : String(row.packs),
    row.packHolds === null ? '' : figure(row.packHolds),
    row.eachCents === null ? '' : money(row.eachCents),
    money(row.cents),
    safeText(row.supplier),
    row.pricedOn,
    row.firstDay,
    row.lastDay,
    figure(row.kg),
  ]);
  const last = COLUMNS.map((name) => (name === 'what' ? 'sum' : name === 'price' ? money(sum) : ''));
  return `${Papa.unparse([[...COLUMNS], ...cells, last], { newline: '\r\n' })}\r\n`;
}
