import { isPrivateFigure } from '@maquette/core/figures';
import type { FactKind } from '@maquette/facts';

type Body = Readonly<Record<string, unknown>>;

/** Kinds that are nobody else's business: what things cost the installer, work that may come, and how people are reached. */
const PRIVATE_KINDS: ReadonlySet<FactKind> = new Set(['prices', 'surprises', 'contacts']);

/** Whether a fact stands in a chain by its digest alone, and nowhere else in a bundle. */
export function isPrivate(kind: FactKind, body: Body): boolean {
  if (PRIVATE_KINDS.has(kind)) return true;
  return kind === 'figures' && isPrivateFigure(String(body['name']));
}

/** Fields of any other fact, at any depth, that are not shown, with what stands in their place where a field has to be. */
const PRIVATE_FIELDS: Readonly<Record<string, (kind: FactKind) => unknown>> = {
  note: () => '',
  costM2: (kind) => (kind === 'cards' ? null : 0),
  costEach: () => 0,
};

const isObject = (value: unknown): value is Body => typeof value === 'object' && value !== null;

/** Whether something says, at any depth, what is left out where it is shown: pipes have notes within their room. */
export function hasPrivate(kind: FactKind, value: unknown): boolean {
  if (Array.isArray(value)) return value.some((one) => hasPrivate(kind, one));
  if (!isObject(value)) return false;
  return Object.entries(value).some(([field, held]) =>
    field in PRIVATE_FIELDS ? held !== PRIVATE_FIELDS[field]!(kind) : hasPrivate(kind, held),
  );
}

/** A copy in which each private field, at any depth, is what `instead` makes of it; `undefined` leaves it out. */
function withoutPrivate(value: unknown, instead: (field: string) => unknown): unknown {
  if (Array.isArray(value)) return value.map((one) => withoutPrivate(one, instead));
  if (!isObject(value)) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([field, held]) => {
      if (!(field in PRIVATE_FIELDS)) return [[field, withoutPrivate(held, instead)]];
      const shown = instead(field);
      return shown === undefined ? [] : [[field, shown]];
    }),
  );
}

/** A body as a chain shows it: without what is private in it. */
export const shownBody = (body: Body): Body => withoutPrivate(body, () => undefined) as Body;

/** A body as a file of the job shows it, which takes every field: nothing in place of what is private. */
export const blankedBody = (kind: FactKind, body: Body): Record<string, unknown> =>
  withoutPrivate(body, (field) => PRIVATE_FIELDS[field]!(kind)) as Record<string, unknown>;
