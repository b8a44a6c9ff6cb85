import type { Field, Spec } from '@maquette/core/fields';
import type { UnitSystem } from '@maquette/core/units';
import { KINDS, type FactKind } from '@maquette/facts';
import { fieldName } from '@maquette/facts/field-name';
import { between, same, type Body, type Differing } from './differing.ts';

/** A part of a fact that differs between two states of it, and can be taken from either. */
export interface ConflictPart {
  /** Names of its fields, or list and id of one thing in a list. */
  key: string;
  words: string;
  rows: Differing[];
}

/** Fields that are one thing: taken from two hands they would say what neither meant. */
const TOGETHER: Partial<Record<FactKind, { words: string; fields: readonly string[] }>> = {
  rooms: { words: 'Outline', fields: ['walls', 'start', 'diagonals'] },
  scans: { words: 'Scan', fields: ['cellMm', 'nx', 'ny', 'x0Mm', 'y0Mm', 'heightsTenthMm', 'points', 'noiseMm'] },
};
/** `xMm` and `yMm`, `fromXMm` and `toYMm`: where it is. */
const PLACE = { words: 'Place', fields: /(^|[a-z])[xyXY]Mm$/ };

interface Thing extends Body {
  readonly id: string;
}

/** Whether a list holds things that bear an id of their own. */
function holdsThings(spec: Spec): spec is Extract<Spec, { type: 'list' }> {
  if (spec.type !== 'list' || spec.of.spec.type !== 'group') return false;
  const id = spec.of.spec.fields['id']?.spec;
  return id?.type === 'id' && id.refers === 'no';
}

/** Groups of a kind's fields that are taken together, in the order in which they are stated. */
function groupsOf(kind: FactKind): { words: string; fields: string[] }[] {
  const together = TOGETHER[kind];
  const groups: { words: string; fields: string[] }[] = [];
  for (const name of Object.keys(KINDS[kind].fields)) {
    const words = together?.fields.includes(name)
      ? together.words
      : PLACE.fields.test(name)
        ? PLACE.words
        : fieldName(name);
    const group = groups.find((other) => other.words === words);
    if (group) group.fields.push(name);
    else groups.push({ words, fields: [name] });
  }
  return groups;
}

const thingsIn = (body: Body, name: string): readonly Thing[] => (body[name] ?? []) as readonly Thing[];

/** What stands in a body under a name: a list that may be left out is an empty one where it is. */
const heldIn = (body: Body, name: string, { spec, mayLack }: Field): unknown =>
  body[name] ?? (mayLack && spec.type === 'list' ? [] : undefined);

/** What a thing in a list is called: `Opening: door`. */
function called(name: string, thing: Thing): string {
  const own = [thing['name'], thing['kind']].find((word) => typeof word === 'string' && word !== '');
  return `${fieldName(name).replace(/s$/, '')}: ${String(own ?? thing.id).replaceAll('-', ' ')}`;
}

function thingParts(
  name: string,
  spec: Extract<Spec, { type: 'list' }>,
  mine: Body,
  theirs: Body,
  units: UnitSystem,
): ConflictPart[] {
  const [here, there] = [thingsIn(mine, name), thingsIn(theirs, name)];
  const ids = [...new Set([...here, ...there].map(({ id }) => id))];
  return ids.flatMap((id) => {
    const [a, b] = [here, there].map((list) => list.find((thing) => thing.id === id));
    if (same(a, b)) return [];
    const words = called(name, (a ?? b)!);
    const rows =
      a && b
        ? between('', spec.of, a, b, units).map((row) => ({ ...row, field: row.field.replace(/^: /, '') }))
        : [{ field: 'Drawn', mine: a ? 'yes' : 'no', theirs: b ? 'yes' : 'no' }];
    return [{ key: `${name}/${id}`, words, rows }];
  });
}

/** The parts in which two states of a fact differ. */
export function conflictParts(kind: FactKind, mine: Body, theirs: Body, units: UnitSystem): ConflictPart[] {
  const { fields }: { fields: Readonly<Record<string, Field>> } = KINDS[kind];
  return groupsOf(kind).flatMap(({ words, fields: names }): ConflictPart[] => {
    const [only, ...more] = names;
    const spec = fields[only!]!.spec;
    if (more.length === 0 && holdsThings(spec)) return thingParts(only!, spec, mine, theirs, units);
    const rows = names.flatMap((name) =>
      between(
        fieldName(name),
        fields[name]!,
        heldIn(mine, name, fields[name]!),
        heldIn(theirs, name, fields[name]!),
        units,
      ),
    );
    return rows.length > 0 ? [{ key: names.join('+'), words, rows }] : [];
  });
}

/** One body of two: mine, but for the parts that are taken from theirs. */
export function mixed(kind: FactKind, mine: Body, theirs: Body, fromTheirs: ReadonlySet<string>): Body {
  const body: Record<string, unknown> = {};
  for (const { fields } of groupsOf(kind)) {
    const from = fromTheirs.has(fields.join('+')) ? theirs : mine;
    for (const name of fields) if (from[name] !== undefined) body[name] = from[name];
  }
  for (const [name, { spec }] of Object.entries<Field>(KINDS[kind].fields)) {
    const taken = [...fromTheirs].filter((key) => key.startsWith(`${name}/`)).map((key) => key.slice(name.length + 1));
    if (taken.length === 0 || !holdsThings(spec)) continue;
    const [here, there] = [thingsIn(mine, name), thingsIn(theirs, name)];
    const sources = new Map(here.map((thing) => [thing.id, thing]));
    for (const id of taken) {
      const thing = there.find((other) => other.id === id);
      if (thing) sources.set(id, thing);
      else sources.delete(id);
    }
    // In their order first: with all of it taken the list is theirs.
    const order = [...there, ...here].map(({ id }) => id);
    body[name] = [...sources.values()].sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
  }
  return body;
}
