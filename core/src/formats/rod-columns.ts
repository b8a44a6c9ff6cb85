import type { LengthUnit } from '../units/index.ts';

/** What a column of a rod file can mean. */
export const COLUMN_ROLES = ['setup', 'station', 'x', 'y', 'rod', 'note', 'ignore'] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** Meaning and unit of one column. The unit counts for x, y and rod only. */
export interface ColumnUse {
  role: ColumnRole;
  unit: LengthUnit;
}

/** Header words by role, in the languages people label site notes in. Compared without case, units and punctuation. */
const WORDS: Record<Exclude<ColumnRole, 'ignore'>, readonly string[]> = {
  setup: ['setup', 'set up', 'instrument', 'aufstellung', 'station setup', 'su'],
  station: ['station', 'pt', 'point', 'punkt', 'no', 'nr', 'num', 'number', 'id', 'stn', 'location'],
  x: ['x', 'out from door', 'out', 'along', 'length', 'laenge', 'länge', 'east', 'easting', 'from door'],
  y: ['y', 'across', 'width', 'breite', 'north', 'northing', 'over'],
  rod: ['rod', 'reading', 'staff', 'ablesung', 'lesung', 'level', 'foresight', 'fs', 'value', 'lecture'],
  note: ['note', 'notes', 'remark', 'remarks', 'comment', 'bemerkung', 'remarque'],
};

const UNIT_WORDS: Record<string, LengthUnit> = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  zoll: 'in',
  ft: 'ft',
  feet: 'ft',
  "ft'in": 'ftin',
  ftin: 'ftin',
};

/** Splits `x_m`, `X (cm)`, `rod [in]` into the bare name and the unit it names. */
function splitHeader(header: string): { name: string; unit: LengthUnit | null } {
  const text = header.trim().toLowerCase();
  const match = /^(.*?)[\s_]*[([]\s*([a-z']+)\s*[)\]]$/.exec(text) ?? /^(.*?)[\s_.]+([a-z']+)$/.exec(text);
  const unit = match ? UNIT_WORDS[match[2]!] : undefined;
  const name = (unit ? match![1]! : text)
    .replace(/[_\-.:#]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return { name, unit: unit ?? null };
}

/** Unit a column seems to be in from its values, when its header does not say. */
function unitFromValues(values: readonly string[], role: ColumnRole): LengthUnit {
  const filled = values.filter((value) => value.trim() !== '');
  if (filled.some((value) => /['′]/.test(value))) return 'ftin';
  if (filled.some((value) => /\d\/\d/.test(value))) return 'in';
  if (role === 'rod') return 'mm';
  const numbers = filled.map((value) => Number(value.replace(',', '.'))).filter(Number.isFinite);
  const most = Math.max(0, ...numbers.map(Math.abs));
  return most <= 60 && numbers.some((value) => !Number.isInteger(value)) ? 'm' : 'mm';
}

/** Role and unit of each column from its header and values; each role is given out once, to the first column that claims it. */
export function matchColumns(headers: readonly string[], rows: readonly (readonly string[])[]): ColumnUse[] {
  const given = new Set<ColumnRole>();
  return headers.map((header, column) => {
    const { name, unit } = splitHeader(header);
    const found = (Object.keys(WORDS) as (keyof typeof WORDS)[]).find(
      (role) => WORDS[role].includes(name) && !given.has(role),
    );
    const role: ColumnRole = found ?? 'ignore';
    if (found) given.add(found);
    const values = rows.slice(0, 50).map((row) => row[column] ?? '');
    return { role, unit: unit ?? unitFromValues(values, role) };
  });
}
