import Papa from 'papaparse';
import type { Field } from '@maquette/core/fields';
import { isFactKind, isRoomKind, KINDS, type FactKind } from './kinds.ts';
import type { SaidProblem } from './problem.ts';

/** A fact in a table: its id (empty for a new one), its room, and what was entered. */
export interface Row {
  id: string;
  roomId: string | null;
  body: Record<string, unknown>;
}

interface TableRead {
  kind: FactKind;
  rows: (Row & { line: number })[];
  /** Lines that are not taken, each with the column and why. */
  problems: (SaidProblem & { line: number })[];
}

/** What is wrong with a write of some kind. */
type Check = (kind: FactKind, write: object) => SaidProblem[];

/** Why a file is no table of facts, in words for whoever chose it. */
export class TableProblem extends Error {}

const ROOM = 'room';
/** Text that a spreadsheet would run, or that begins like text already kept from that. */
const KEPT = /^['=+\-@\t\r]/;

const fieldsOf = (kind: FactKind): [string, Field][] => Object.entries(KINDS[kind].fields);

/** Columns of a kind's table: the id under the kind's own name, the room, and each field under its name with its unit. */
const columnsOf = (kind: FactKind): string[] => [
  kind,
  ...(isRoomKind(kind) ? [ROOM] : []),
  ...fieldsOf(kind).map(([name]) => name),
];

const isPlainText = ({ spec }: Field) =>
  ['text', 'id', 'moment', 'day', 'country', 'zone'].includes(spec.type) ||
  (spec.type === 'choice' && typeof spec.of[0] === 'string');

/** What stands in a cell: text and figures as they are, what has parts as JSON, nothing for null. */
function cellOf(field: Field, value: unknown): string {
  if (value === undefined) return '';
  if (value === null) return field.orNull && !field.mayLack ? '' : 'null';
  if (!isPlainText(field)) return JSON.stringify(value);
  const text = String(value);
  return KEPT.test(text) || (text === '' && field.orNull) ? `'${text}` : text;
}

/** The value a cell stands for; undefined where a field that may lack is left out. Throws what is wrong with it. */
function valueOf(field: Field, cell: string, commaIsPoint: boolean): unknown {
  if (cell === '' && field.mayLack) return undefined;
  if (cell === 'null' && field.mayLack && field.orNull) return null;
  if (cell === '' && field.orNull) return null;
  if (isPlainText(field)) return cell.startsWith("'") ? cell.slice(1) : cell;
  const { spec } = field;
  if (spec.type === 'figure') {
    const figure = Number(commaIsPoint ? cell.replace(',', '.') : cell);
    if (cell.trim() === '' || !Number.isFinite(figure)) throw new Error(`takes a number of ${spec.min} to ${spec.max}`);
    return figure;
  }
  // Spreadsheets write a flag in capitals.
  if (spec.type === 'flag' && /^(true|false)$/i.test(cell)) return cell.toLowerCase() === 'true';
  try {
    return JSON.parse(cell) as unknown;
  } catch {
    throw new Error('takes what the table was saved with: figures, true or false, or a list in JSON');
  }
}

/** Facts of a kind as CSV: comma, decimal point, UTF-8; a line each, to be read again by `readTable`. */
export function tableOf(kind: FactKind, rows: readonly Row[]): string {
  const cells = rows.map(({ id, roomId, body }) => [
    id,
    ...(isRoomKind(kind) ? [roomId ?? ''] : []),
    ...fieldsOf(kind).map(([name, field]) => cellOf(field, body[name])),
  ]);
  return `${Papa.unparse([columnsOf(kind), ...cells], { newline: '\r\n' })}\r\n`;
}

/** What parts the names of the columns: no name holds any of them, where notes may hold all. */
function delimiterOf(text: string): string {
  const [header = ''] = text.split('\n', 1);
  return [';', '\t'].find((sign) => header.includes(sign)) ?? ',';
}

/**
 * Facts out of a table that `tableOf` wrote and people changed since. Each line passes `check`, which is `checkWrite` or says the
 * same, or is named with the column and the reason; columns may stand in any order after the first.
 * @throws TableProblem where the file is no such table at all
 */
export function readTable(text: string, check: Check): TableRead {
  const plain = text.replace(/^\uFEFF/, '');
  const delimiter = delimiterOf(plain);
  const [header = [], ...lines] = Papa.parse<string[]>(plain, { skipEmptyLines: true, delimiter }).data;
  const kind = header[0]?.trim();
  if (!isFactKind(kind))
    throw new TableProblem(`The first column is called “${kind ?? ''}”: that is no kind of fact, such as readings.`);
  const known = columnsOf(kind);
  const strange = header.filter((name) => !known.includes(name.trim()));
  const missing = known.filter((name) => !header.some((given) => given.trim() === name));
  if (strange.length > 0) throw new TableProblem(`There is no column ${strange.join(', ')} in a table of ${kind}.`);
  if (missing.length > 0) throw new TableProblem(`The table of ${kind} has no column ${missing.join(', ')}.`);
  const at = new Map(header.map((name, index) => [name.trim(), index]));
  const commaIsPoint = delimiter !== ',';
  const read: TableRead = { kind, rows: [], problems: [] };
  lines.forEach((cells, index) => {
    const line = index + 2;
    const cell = (name: string) => cells[at.get(name)!] ?? '';
    const body: Record<string, unknown> = {};
    const problems: SaidProblem[] = [];
    for (const [name, field] of fieldsOf(kind)) {
      try {
        const value = valueOf(field, cell(name), commaIsPoint);
        if (value !== undefined) body[name] = value;
      } catch (error) {
        problems.push({ field: name, value: cell(name), message: (error as Error).message });
      }
    }
    if (problems.length === 0)
      problems.push(...check(kind, { ...body, baseVersion: 0, writeId: 'from-a-table', deleted: false }));
    if (problems.length > 0) read.problems.push(...problems.map((problem) => ({ ...problem, line })));
    else read.rows.push({ id: cell(kind).trim(), roomId: isRoomKind(kind) ? cell(ROOM).trim() : null, body, line });
  });
  return read;
}
