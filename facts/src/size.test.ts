import fc from 'fast-check';
import type { Field, Fields, Spec } from '@maquette/core/fields';
import { aBody } from './invented.ts';
import { FACT_KINDS, KINDS, type FactKind } from './kinds.ts';
import { largestWrite } from './size.ts';

/** The longest a field can be written: every list full, every text of the longest escapes. */
function longest({ spec }: Field): unknown {
  const of: Partial<Record<Spec['type'], (s: never) => unknown>> = {
    figure: () => -1.2345678901234567e-300,
    text: ({ most }: { most: number }) => '\u0007'.repeat(most),
    id: () => 'x'.repeat(64),
    moment: () => '2026-05-04T08:00:00.000Z',
    day: () => '2026-05-04',
    choice: ({ of: words }: { of: string[] }) => [...words].sort((a, b) => String(b).length - String(a).length)[0],
    list: ({ of: item, most }: { of: Field; most: number }) => Array.from({ length: most }, () => longest(item)),
    cells: ({ min, most }: { min: number; most: number }) => Array.from({ length: most }, () => min),
    group: ({ fields }: { fields: Fields }) => longestOf(fields),
    flag: () => false,
    country: () => 'GB',
    zone: () => 'America/Argentina/ComodRivadavia',
    answer: () => null,
  };
  return of[spec.type]!(spec as never);
}
const longestOf = (fields: Fields) =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, longest(field)]));
const WRITE = { baseVersion: 1e15, writeId: 'x'.repeat(64), deleted: false };
const bytes = (kind: FactKind, body: object) => Buffer.byteLength(JSON.stringify({ ...body, ...WRITE }));

test.each(FACT_KINDS)(
  '%s: the longest that its fields can be fits the bound, and the bound is not many times that',
  (kind) => {
    const most = bytes(kind, longestOf(KINDS[kind].fields));
    expect(largestWrite(kind)).toBeGreaterThanOrEqual(most);
    expect(largestWrite(kind)).toBeLessThan(most * 3 + 4000);
    fc.assert(
      fc.property(aBody(kind), (body) => bytes(kind, body) <= largestWrite(kind)),
      { numRuns: 20 },
    );
  },
);
