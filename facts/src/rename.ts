import type { Field, Fields } from '@maquette/core/fields';
import { KINDS, type FactKind } from './kinds.ts';

const ID = /[a-z0-9][a-z0-9-]{2,63}/g;

/** A body under new ids: every reference its kind declares is followed, in nested things and inside keys too. */
export function renamed(
  kind: FactKind,
  body: Record<string, unknown>,
  ids: ReadonlyMap<string, string>,
): Record<string, unknown> {
  return inFields(KINDS[kind].fields, body, ids);
}

/** A key under new ids: what stands before its first slash says what kind of key it is, and is no id whatever else bears that name. */
function inKey(key: string, ids: ReadonlyMap<string, string>): string {
  const from = key.indexOf('/') + 1;
  return key.slice(0, from) + key.slice(from).replace(ID, (id) => ids.get(id) ?? id);
}

function inFields(fields: Fields, body: Record<string, unknown>, ids: ReadonlyMap<string, string>) {
  return Object.fromEntries(
    Object.entries(body).map(([name, value]) => [name, fields[name] ? inField(fields[name], value, ids) : value]),
  );
}

function inField({ spec }: Field, value: unknown, ids: ReadonlyMap<string, string>): unknown {
  if (value === null || value === undefined) return value;
  if (spec.type === 'id') return ids.get(value as string) ?? value;
  if (spec.type === 'text') return spec.carriesIds ? inKey(value as string, ids) : value;
  if (spec.type === 'list') return (value as unknown[]).map((item) => inField(spec.of, item, ids));
  if (spec.type === 'group') return inFields(spec.fields, value as Record<string, unknown>, ids);
  return value;
}

/** Ids of things that stand in lists of a fact: they are new in a copy too. */
export function ownIdsOf(kind: FactKind, body: Record<string, unknown>): string[] {
  return Object.entries(KINDS[kind].fields).flatMap(([name, field]) => ownIdsIn(field, body[name]));
}

function ownIdsIn({ spec }: Field, value: unknown): string[] {
  if (value === null || value === undefined) return [];
  if (spec.type === 'id') return spec.refers === 'no' ? [value as string] : [];
  if (spec.type === 'list') return (value as unknown[]).flatMap((item) => ownIdsIn(spec.of, item));
  if (spec.type === 'group')
    return Object.entries(spec.fields).flatMap(([name, field]) =>
      ownIdsIn(field, (value as Record<string, unknown>)[name]),
    );
  return [];
}
