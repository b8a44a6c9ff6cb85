/** What a fact can hold. */
export type Json = null | boolean | number | string | readonly Json[] | { readonly [name: string]: Json | undefined };

/** A value that has no one way to be written. */
export class NotCanonical extends Error {}

/**
 * A value as JSON in the one way there is: names in the order of their UTF-16 units, no spaces, numbers as ECMAScript writes them,
 * text as it is, what is absent left out (RFC 8785).
 *
 * @throws NotCanonical where a number is none, or something is neither JSON nor absent
 */
export function canonicalJson(value: Json): string {
  if (typeof value === 'number' && !Number.isFinite(value)) throw new NotCanonical(String(value));
  if (value === null || typeof value === 'boolean' || typeof value === 'number' || typeof value === 'string')
    return JSON.stringify(value);
  if (isList(value)) return `[${value.map(canonicalJson).join(',')}]`;
  if (typeof value !== 'object') throw new NotCanonical(typeof value);
  const parts = Object.keys(value)
    .sort()
    .flatMap((name) => {
      const held = value[name];
      return held === undefined ? [] : [`${JSON.stringify(name)}:${canonicalJson(held)}`];
    });
  return `{${parts.join(',')}}`;
}

const isList = (value: object): value is readonly Json[] => Array.isArray(value);
