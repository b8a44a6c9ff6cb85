import fc, { type Arbitrary } from 'fast-check';
import type { Field, Fields, Question } from '@maquette/core/fields';
import { BLANK_SHAPE, newOpening, rectangleWalls } from '@maquette/core/room';
import { KINDS, type FactKind } from './kinds.ts';
import { QUESTIONS } from './questions.ts';

type Body = Record<string, unknown>;

/** Ids as devices make them: no two alike. */
export const anId: Arbitrary<string> = fc.uuid({ version: 7 });

/** Letters that files and forms have to carry unharmed. */
const LETTER = fc.constantFrom('a', 'Z', '7', ' ', 'é', '½', '’', '"', ',', ';', '=', '-', '\n', '/', '\\');

function anyOf(field: Field): Arbitrary<unknown> {
  const held = heldBy(field);
  return field.orNull ? fc.option(held, { nil: null }) : held;
}

function heldBy({ spec }: Field): Arbitrary<unknown> {
  switch (spec.type) {
    case 'figure':
      return spec.whole
        ? fc.integer({ min: spec.min, max: spec.max })
        : fc.double({ min: spec.min, max: spec.max, noNaN: true }).map((n) => n + 0);
    case 'text':
      return fc.string({ unit: LETTER, maxLength: Math.min(12, spec.most) });
    case 'id':
      return anId;
    case 'flag':
      return fc.boolean();
    case 'moment':
      return fc
        .date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
        .map((date) => date.toISOString());
    case 'day':
      return fc.constantFrom('', '2026-05-04', '2027-12-31');
    case 'country':
      return fc.constantFrom('GB', 'US', 'DE');
    case 'zone':
      return fc.constantFrom('Europe/London', 'America/New_York');
    case 'choice':
      return fc.constantFrom(...spec.of);
    case 'list':
      return fc.array(anyOf(spec.of), { minLength: spec.least, maxLength: Math.min(spec.most, spec.least + 3) });
    case 'group':
      return aGroup(spec.fields);
    case 'cells':
    case 'answer':
      return fc.constant(null);
  }
}

function aGroup(fields: Fields): Arbitrary<Body> {
  const all = Object.entries(fields);
  return fc.record(Object.fromEntries(all.map(([name, field]) => [name, anyOf(field)])), {
    requiredKeys: all.filter(([, field]) => !field.mayLack).map(([name]) => name),
    // As JSON is read.
    noNullPrototype: true,
  });
}

const answered = ({ question, takes }: Question): Arbitrary<Body> =>
  anyOf(takes).map((answer) => ({ question, answer }));

/** What fields of a kind ask of each other. */
const TOGETHER: Partial<Record<FactKind, Arbitrary<Body>>> = {
  answers: fc.constantFrom(...QUESTIONS.values()).chain(answered),
  rooms: fc
    .record({ wide: fc.integer({ min: 1500, max: 9000 }), deep: fc.integer({ min: 1500, max: 9000 }), door: anId })
    .map(({ wide, deep, door }) => ({
      ...BLANK_SHAPE,
      walls: rectangleWalls(wide, deep),
      openings: [{ ...newOpening(door, 0, 100, 800), sharedId: door }],
      secondBase: null,
    })),
  scans: fc.record({ nx: fc.integer({ min: 1, max: 4 }), ny: fc.integer({ min: 1, max: 4 }) }).chain(({ nx, ny }) =>
    fc.record({
      nx: fc.constant(nx),
      ny: fc.constant(ny),
      heightsTenthMm: fc.array(fc.option(fc.integer({ min: -300, max: 300 }), { nil: null }), {
        minLength: nx * ny,
        maxLength: nx * ny,
      }),
    }),
  ),
};

/** Any body a kind takes. */
export function aBody(kind: FactKind): Arbitrary<Body> {
  return fc
    .tuple(aGroup(KINDS[kind].fields), TOGETHER[kind] ?? fc.constant({}))
    .map(([body, together]) => ({ ...body, ...together }));
}

const WRITE = { baseVersion: 0, writeId: 'write-1', deleted: false };

/** A write of a kind that is taken: always the same one. */
export function goodWrite(kind: FactKind): Body {
  const [body] = fc.sample(aBody(kind), { seed: 7, numRuns: 1 });
  return { ...body, ...WRITE };
}
