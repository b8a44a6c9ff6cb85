import Papa from 'papaparse';
import type { Field } from '@maquette/core/fields';
import { KINDS } from './kinds.ts';
import type { SaidProblem } from './problem.ts';

/** Kinds of card that files hold: coverings, and what lies under them. */
export const CARD_KINDS = ['cards', 'underlays', 'films', 'membranes', 'panels'] as const;
export type CardKind = (typeof CARD_KINDS)[number];
const isCardKind = (name: unknown): name is CardKind => CARD_KINDS.includes(name as CardKind);

export const CARD_FILE_FORMAT = 'maquette-cards';

/** Why a file is no file of cards, in words for whoever chose it. */
export class CardFileProblem extends Error {}

interface CardsRead {
  kind: CardKind;
  cards: { line: number; body: Record<string, unknown> }[];
  /** Cards that are not taken, each with its line or place, the field and why. */
  problems: (SaidProblem & { line: number })[];
}

type Check = (kind: CardKind, write: object) => SaidProblem[];

/** Units by the ends of names, the longest first: a name says what its figure is kept in. */
const BY_END: readonly [end: string, unit: string][] = [
  ['rM2KW', 'm²K/W'],
  ['KgM2', 'kg/m²'],
  ['kgM2', 'kg/m²'],
  ['costM2', '/m²'],
  ['packM2', 'm²'],
  ['Each', '/each'],
  ['kPa', 'kPa'],
  ['KPa', 'kPa'],
  ['Db', 'dB'],
  ['Min', 'min'],
  ['Mm', 'mm'],
  ['Deg', 'deg'],
  ['Rh', '%RH'],
  ['Mc', '%MC'],
  ['Kg', 'kg'],
  ['C', '°C'],
  ['H', 'h'],
  ['M', 'm'],
];

/** Unit of a field, as it is written beside its name; empty for a bare number or what is no number. */
export const unitOfField = (name: string, { spec }: Field): string =>
  spec.type === 'figure' ? (BY_END.find(([end]) => name.endsWith(end))?.[1] ?? '') : '';

/** Lengths in what files give them in, by what one of them is in mm. */
const LENGTHS: Readonly<Record<string, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 };

/** What a figure is multiplied by so that it stands in its field's own unit; null where the unit given is another thing. */
function factor(given: string, own: string): number | null {
  if (given === '' || given === own) return 1;
  const [from, to] = [LENGTHS[given], LENGTHS[own]];
  return from !== undefined && to !== undefined ? from / to : null;
}

const fieldsOf = (kind: CardKind): [string, Field][] => Object.entries(KINDS[kind].fields);

/** Cards of a kind as JSON, with the unit of every figure beside them. */
export function cardsJson(kind: CardKind, cards: readonly object[]): string {
  const units = Object.fromEntries(
    fieldsOf(kind).flatMap(([name, field]) => {
      const unit = unitOfField(name, field);
      return unit ? [[name, unit]] : [];
    }),
  );
  return `${JSON.stringify({ format: CARD_FILE_FORMAT, kind, units, cards }, null, 2)}\n`;
}

/** Cards of a kind as CSV: comma, decimal point; the unit of every figure in square brackets after its name. */
export function cardsCsv(kind: CardKind, cards: readonly object[]): string {
  const header = fieldsOf(kind).map(([name, field], k) => {
    const unit = unitOfField(name, field);
    return `${k === 0 ? `${kind}: ` : ''}${name}${unit ? ` [${unit}]` : ''}`;
  });
  const rows = cards.map((card) =>
    fieldsOf(kind).map(([name]) => {
      const value = (card as Record<string, unknown>)[name];
      return value === null || value === undefined
        ? ''
        : typeof value === 'object'
          ? JSON.stringify(value)
          : String(value);
    }),
  );
  return `${Papa.unparse([header, ...rows], { newline: '\r\n' })}\r\n`;
}

/**
 * Cards out of a JSON or CSV file. Figures in another length than the field's own are converted; a unit that cannot be is named, as is every
 * field that is missing or out of its range. What may be null may be left out, and what an earlier version did not write yet.
 * @throws CardFileProblem where the file holds no cards at all
 */
export function readCards(text: string, check: Check): CardsRead {
  const plain = text.replace(/^\uFEFF/, '');
  return /^\s*[{[]/.test(plain) ? fromJson(plain, check) : fromCsv(plain, check);
}

interface Given {
  line: number;
  value: Record<string, unknown>;
}

/** Each card with its figures in the units of their fields, checked. */
function taken(
  kind: CardKind,
  given: readonly Given[],
  units: Readonly<Record<string, string>>,
  check: Check,
): CardsRead {
  const read: CardsRead = { kind, cards: [], problems: [] };
  for (const { line, value } of given) {
    const body: Record<string, unknown> = {};
    const problems: SaidProblem[] = [];
    for (const [name, field] of fieldsOf(kind)) {
      const given = value[name] === undefined ? KINDS[kind].since[name] : value[name];
      const held = given === undefined || given === '' ? (field.orNull ? null : given) : given;
      if (held === undefined) {
        problems.push({ field: name, value: null, message: 'is missing' });
        continue;
      }
      if (typeof held !== 'number') {
        body[name] = held;
        continue;
      }
      const own = unitOfField(name, field);
      const by = factor(units[name] ?? '', own);
      if (by === null)
        problems.push({ field: name, value: units[name], message: `is kept in ${own || 'plain numbers'}` });
      else body[name] = held * by;
    }
    for (const name of Object.keys(value))
      if (name !== 'id' && !(name in KINDS[kind].fields))
        problems.push({ field: name, value: value[name], message: 'is no field of such a card' });
    if (problems.length === 0)
      problems.push(...check(kind, { ...body, baseVersion: 0, writeId: 'from-a-file', deleted: false }));
    if (problems.length > 0) read.problems.push(...problems.map((problem) => ({ ...problem, line })));
    else read.cards.push({ line, body });
  }
  return read;
}

function fromJson(text: string, check: Check): CardsRead {
  let whole: unknown;
  try {
    whole = JSON.parse(text);
  } catch (error) {
    throw new CardFileProblem(`It is no JSON: ${(error as Error).message}`);
  }
  const { kind, units, cards } = (Array.isArray(whole) ? {} : (whole ?? {})) as Record<string, unknown>;
  if (!isCardKind(kind))
    throw new CardFileProblem(`Its “kind” is ${JSON.stringify(kind) ?? 'missing'}: it takes ${CARD_KINDS.join(', ')}.`);
  if (!Array.isArray(cards)) throw new CardFileProblem('It holds no list called “cards”.');
  const given = cards.map((value: unknown, k): Given => ({
    line: k + 1,
    value:
      typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Record<string, unknown>) : {},
  }));
  const stated = typeof units === 'object' && units !== null ? (units as Record<string, string>) : {};
  return taken(kind, given, stated, check);
}

/** A cell as the value its field takes; text that is none stays as it is, for the check to name. */
function cellValue({ spec }: Field, cell: string, commaIsPoint: boolean): unknown {
  if (cell === '') return '';
  if (spec.type === 'flag') return /^true$/i.test(cell) ? true : /^false$/i.test(cell) ? false : cell;
  if (spec.type === 'figure') {
    const figure = Number(commaIsPoint ? cell.replace(',', '.') : cell);
    return Number.isFinite(figure) ? figure : cell;
  }
  if (spec.type !== 'list' && spec.type !== 'group') return cell;
  try {
    return JSON.parse(cell) as unknown;
  } catch {
    return cell;
  }
}

function fromCsv(text: string, check: Check): CardsRead {
  const [first = ''] = text.split('\n', 1);
  const delimiter = [';', '\t'].find((sign) => first.includes(sign)) ?? ',';
  const [header = [], ...lines] = Papa.parse<string[]>(text, { skipEmptyLines: true, delimiter }).data;
  const kind = header[0]?.split(':')[0]?.trim();
  if (!isCardKind(kind) || !header[0]!.includes(':'))
    throw new CardFileProblem(
      `Its first column is called “${header[0] ?? ''}”: it takes a kind and a name, such as “underlays: name”.`,
    );
  const columns = header.map((name, k) => {
    const [, field = '', unit = ''] = /^(.*?)(?:\[(.*)\])?$/.exec(k === 0 ? name.slice(name.indexOf(':') + 1) : name)!;
    return { field: field.trim(), unit: unit.trim() };
  });
  const fields = new Map(fieldsOf(kind));
  const given = lines.map((cells, k): Given => ({
    line: k + 2,
    value: Object.fromEntries(
      columns.map(({ field }, at) => {
        const of = fields.get(field);
        const cell = (cells[at] ?? '').trim();
        return [field, of ? cellValue(of, cell, delimiter !== ',') : cell];
      }),
    ),
  }));
  return taken(kind, given, Object.fromEntries(columns.map(({ field, unit }) => [field, unit])), check);
}
