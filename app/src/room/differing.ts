import type { Field, Fields } from '@maquette/core/fields';
import { formatArea, formatRod, unitLabel, type UnitSystem } from '@maquette/core/units';
import { KINDS, type FactKind } from '@maquette/facts';
import { fieldName } from '@maquette/facts/field-name';
import { timesIn } from '@maquette/words';

/** One field in which two states of a fact differ, with both values as a person reads them. */
export interface Differing {
  field: string;
  mine: string;
  theirs: string;
}

export type Body = Readonly<Record<string, unknown>>;

export const same = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

function written({ spec }: Field, value: unknown, units: UnitSystem): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  switch (spec.type) {
    case 'figure':
      if (spec.unit === 'mm') return `${formatRod(Number(value), units)} ${unitLabel(units)}`;
      if (spec.unit === 'm²') return formatArea(Number(value), units);
      return `${String(value)}${spec.unit ? ` ${spec.unit === 'deg' ? '°' : spec.unit}` : ''}`;
    case 'flag':
      return value ? 'yes' : 'no';
    case 'moment':
      return timesIn('').localTime(String(value));
    case 'choice':
      return String(value).replaceAll('-', ' ');
    case 'list':
      return `${(value as readonly unknown[]).length} ${spec.what}`;
    case 'cells':
      return 'other cells';
    case 'id':
      return 'another one';
    default:
      return typeof value === 'object' ? JSON.stringify(value) : `“${String(value)}”`;
  }
}

/** Where one field differs: a list in its items, a group in its fields. */
export function between(name: string, field: Field, mine: unknown, theirs: unknown, units: UnitSystem): Differing[] {
  if (same(mine, theirs)) return [];
  const { spec } = field;
  if (spec.type === 'group' && mine && theirs)
    return inGroup(spec.fields, mine as Body, theirs as Body, units, `${name}: `);
  if (spec.type === 'list') {
    const [a, b] = [(mine ?? []) as readonly unknown[], (theirs ?? []) as readonly unknown[]];
    // Lists as long as one another differ in some of their items, which are named by their number.
    if (a.length === b.length)
      return a.flatMap((item, i) => between(`${name.replace(/s$/, '')} ${i + 1}`, spec.of, item, b[i], units));
  }
  return [{ field: name, mine: written(field, mine, units), theirs: written(field, theirs, units) }];
}

const inGroup = (fields: Fields, mine: Body, theirs: Body, units: UnitSystem, before = ''): Differing[] =>
  Object.entries(fields).flatMap(([name, field]) =>
    between(
      before === '' ? fieldName(name) : `${before}${fieldName(name).toLowerCase()}`,
      field,
      mine[name],
      theirs[name],
      units,
    ),
  );

/** The fields in which two states of a fact differ, as the kind states them, in the units asked for. */
export const differing = (kind: FactKind, mine: Body, theirs: Body, units: UnitSystem): Differing[] =>
  inGroup(KINDS[kind].fields, mine, theirs, units);
