import { ALL_FIGURES, PRICE, type AnyFigureName } from '@maquette/core/figures';
import type { FactKind } from '@maquette/facts';

type Body = Readonly<Record<string, unknown>>;

/** Kinds that are nobody else's business: what things cost the installer, work that may come, and how people are reached. */
const PRIVATE_KINDS: ReadonlySet<FactKind> = new Set(['prices', 'surprises', 'contacts']);

/** Figures that say how a price is made, though they are no price themselves. */
const PRICING: ReadonlySet<unknown> = new Set<AnyFigureName>(['margin-pct', 'round-to', 'grinder-resale-pct']);

/** Whether a fact stands in a chain by its digest alone, and nowhere else in a bundle. */
export function isPrivate(kind: FactKind, body: Body): boolean {
  if (PRIVATE_KINDS.has(kind)) return true;
  if (kind !== 'figures') return false;
  const spec = Object.hasOwn(ALL_FIGURES, String(body['name'])) && ALL_FIGURES[body['name'] as AnyFigureName];
  // A figure that nobody knows here may say anything.
  return !spec || spec.source === PRICE || PRICING.has(body['name']);
}

/** Fields of any other fact that are not shown, with what stands in their place where a field has to be. */
const PRIVATE_FIELDS: Readonly<Record<string, (kind: FactKind) => unknown>> = {
  note: () => '',
  costM2: (kind) => (kind === 'cards' ? null : 0),
  costEach: () => 0,
};

const saysSomething = (kind: FactKind, body: Body, field: string) =>
  field in body && body[field] !== PRIVATE_FIELDS[field]!(kind);

/** Whether a fact says something that is left out where it is shown. */
export const hasPrivate = (kind: FactKind, body: Body): boolean =>
  Object.keys(PRIVATE_FIELDS).some((field) => saysSomething(kind, body, field));

/** A body as a chain shows it: without what is private in it. */
export const shownBody = (body: Body): Body =>
  Object.fromEntries(Object.entries(body).filter(([field]) => !(field in PRIVATE_FIELDS)));

/** A body as a file of the job shows it, which takes every field: nothing in place of what is private. */
export const blankedBody = (kind: FactKind, body: Body): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(body).map(([field, value]) => [
      field,
      field in PRIVATE_FIELDS ? PRIVATE_FIELDS[field]!(kind) : value,
    ]),
  );
