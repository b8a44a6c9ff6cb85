import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import type { Fields } from '@maquette/core/fields';
import { shapeProblem, type RoomFacts } from '@maquette/core/room';
import { isShipped } from '@maquette/core/coverings';
import { KINDS, type FactKind } from './kinds.ts';
import { WRITE } from './made.ts';
import type { SaidProblem } from './problem.ts';
import { shapeOf, type Shape } from './shape.ts';

function shown(value: unknown): unknown {
  if (typeof value === 'string') return value.length > 60 ? `${value.slice(0, 60)}...` : value;
  if (typeof value === 'object' && value !== null)
    return Array.isArray(value) ? `a list of ${value.length}` : 'an object';
  return value ?? null;
}

function flatten(errors: readonly ValidationError[], path: string): SaidProblem[] {
  return errors.flatMap((error) => {
    const field =
      path === ''
        ? error.property
        : /^\d+$/.test(error.property)
          ? `${path}[${error.property}]`
          : `${path}.${error.property}`;
    const own = Object.entries(error.constraints ?? {}).slice(0, 1);
    const problems = own.map(([rule, message]) => ({
      field,
      value: shown(error.value),
      message: rule === 'whitelistValidation' ? 'is not a known field' : message,
    }));
    return [...problems, ...flatten(error.children ?? [], field)];
  });
}

/** Deeper than anything of ours: what takes an object apart calls itself at each level. */
const DEEPEST = 40;

/**
 * What must not be handed to whatever makes instances of plain objects: a field called `constructor` is taken for the class to
 * make, and thousands of lists in one another use up the stack. Null where there is nothing of the kind.
 */
function unfit(plain: unknown): SaidProblem | null {
  const open: { value: unknown; path: string; depth: number }[] = [{ value: plain, path: '', depth: 0 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, path, depth } = next;
    if (typeof value !== 'object' || value === null) continue;
    if (depth > DEEPEST) return { field: path.slice(0, 60), value: shown(value), message: 'is nested too deep' };
    // A scan has a hundred thousand figures: nothing is made of an item that holds nothing.
    if (Array.isArray(value)) {
      value.forEach((inner: unknown, index) => {
        if (typeof inner === 'object' && inner !== null)
          open.push({ value: inner, path: `${path}[${index}]`, depth: depth + 1 });
      });
      continue;
    }
    for (const [name, inner] of Object.entries(value)) {
      const at = path === '' ? name : `${path}.${name}`;
      if (name === 'constructor' || name === '__proto__')
        return { field: at, value: shown(inner), message: 'is not a known field' };
      if (typeof inner === 'object' && inner !== null) open.push({ value: inner, path: at, depth: depth + 1 });
    }
  }
  return null;
}

/** Problems with `plain` as an instance of a class: unknown fields, wrong types and ranges. Empty when it passes. */
export function checkShape(shape: Shape, plain: unknown): SaidProblem[] {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return [{ field: '', value: shown(plain), message: 'takes a JSON object' }];
  const strange = unfit(plain);
  if (strange) return [strange];
  const instance = plainToInstance(shape, plain);
  return flatten(
    validateSync(instance, {
      whitelist: true,
      forbidNonWhitelisted: true,
      forbidUnknownValues: true,
      validationError: { target: false },
    }),
    '',
  );
}

const classes = new Map<FactKind, Shape>();

/** The class a write of a kind is checked by: the server's, the forms' and the import's alike. */
export function classOf(kind: FactKind): Shape {
  let made = classes.get(kind);
  if (!made) classes.set(kind, (made = shapeOf({ ...KINDS[kind].fields, ...WRITE })));
  return made;
}

/** What a kind asks of a body beyond its single fields. */
const BEYOND: Partial<Record<FactKind, (body: Record<string, unknown>) => SaidProblem[]>> = {
  rooms: (body) => {
    const room = body as unknown as RoomFacts;
    const wrong = shapeProblem(room);
    if (!wrong) return [];
    return [{ field: wrong.field, value: `${room[wrong.field].length} ${wrong.field}`, message: wrong.message }];
  },
};

const ofFields = new WeakMap<Fields, Shape>();

/** The class that some fields make: what a form over them is checked by. Made once for a set of fields. */
export function classOfFields(fields: Fields): Shape {
  let made = ofFields.get(fields);
  if (!made) ofFields.set(fields, (made = shapeOf(fields)));
  return made;
}

/** Problems with a write of some kind. */
export function checkWrite(kind: FactKind, plain: unknown): SaidProblem[] {
  const problems = checkShape(classOf(kind), plain);
  return problems.length > 0 ? problems : (BEYOND[kind]?.(plain as Record<string, unknown>) ?? []);
}

const ID = /^[a-z0-9][a-z0-9-]{2,63}$/;

/** Problems with the id a fact is to be stored under. */
export function checkId(kind: FactKind, id: string): SaidProblem[] {
  if (!ID.test(id))
    return [{ field: 'id', value: id, message: 'takes an id of 3 to 64 small letters, digits and hyphens' }];
  if (kind === 'cards' && isShipped(id))
    return [{ field: 'id', value: id, message: 'is a shipped card: copy it and edit the copy' }];
  return [];
}
