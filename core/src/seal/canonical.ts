/** A value that has no one way to be written. */
export class NotCanonical extends Error {}

/**
 * A value as JSON in the one way there is: names in the order of their UTF-16 units, no spaces, numbers as ECMAScript writes them,
 * text as it is, what is absent left out (RFC 8785).
 *
 * @throws NotCanonical where a number is none, or something is neither JSON nor absent
 */
export function canonicalJson(value: unknown): string {
  if (typeof value === 'number' && !Number.isFinite(value)) throw new NotCanonical(String(value));
  if (value === null || typeof value === 'boolean' || typeof value === 'number' || typeof value === 'string')
    return JSON.stringify(value);
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  if (typeof value !== 'object') throw new NotCanonical(typeof value);
  const parts = Object.entries(value)
    .filter(([, held]) => held !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, held]) => `${JSON.stringify(name)}:${canonicalJson(held)}`);
  return `{${parts.join(',')}}`;
}
