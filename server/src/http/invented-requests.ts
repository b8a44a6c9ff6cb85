import fc from 'fast-check';
import { FACT_KINDS, factPath, isRoomKind } from '@maquette/facts';
import { goodWrite } from '@maquette/facts/invented';

const nested = (depth: number): unknown => JSON.parse('['.repeat(depth) + ']'.repeat(depth));
/** Values that programs have stumbled over. */
const NASTY = [
  ...[null, true, -1, 0, 1e308, -0, '', ' ', '\0', 'constructor', '__proto__', 'toString', "'; DROP TABLE jobs; --"],
  ...[
    '../../etc',
    '\ud800',
    '𝟘'.repeat(400),
    'x'.repeat(9000),
    [],
    {},
    [[]],
    { a: { b: [] } },
    nested(2000),
    [null],
    NaN,
  ],
  ...['2026-W18-1', '9999-99-99T99:99:99Z', { constructor: { prototype: 1 } }, ['constructor', '__proto__']],
];
const nasty = fc.constantFrom(...NASTY);
const id = fc.constantFrom(
  'a-1',
  'constructor',
  '__proto__',
  '%00',
  '%2e%2e',
  'A B',
  'x'.repeat(300),
  '\u202e',
  '%',
  '.',
);

/** A write of some kind with some of its fields made nasty, some left out, some added. */
const body = (kind: (typeof FACT_KINDS)[number]) =>
  fc
    .array(fc.tuple(fc.constantFrom(...Object.keys(goodWrite(kind)), '__proto__', 'constructor', 'extra'), nasty), {
      maxLength: 3,
    })
    .chain((changes) =>
      fc.constant(
        `{${[...Object.entries(goodWrite(kind)), ...changes].map(([name, value]) => `${JSON.stringify(name)}:${JSON.stringify(value) ?? 'null'}`).join(',')}}`,
      ),
    );

const write = fc.constantFrom(...FACT_KINDS).chain((kind) =>
  fc.record({
    method: fc.constantFrom('put' as const, 'get' as const, 'post' as const, 'delete' as const),
    path: fc.tuple(id, id).map(([one, room]) => factPath(kind, one, isRoomKind(kind) ? room : null)),
    body: body(kind),
  }),
);
const file = fc.record({
  method: fc.constant('post' as const),
  path: fc.constantFrom('/api/job-files', '/api/job-files?copy=1', '/api/job-files?copy[]=1&copy[a]=2'),
  body: fc
    .record({
      format: fc.constantFrom('maquette-job', 'x'),
      version: fc.constantFrom(1, 2, 3, 4, 5, 'constructor'),
      writtenAt: nasty,
      facts: fc.oneof(
        nasty,
        fc.array(
          fc.record({
            kind: fc.oneof(nasty, fc.constantFrom(...FACT_KINDS)),
            id: nasty,
            roomId: nasty,
            version: nasty,
            writeId: nasty,
            updatedAt: nasty,
            deletedAt: nasty,
            body: nasty,
            replaced: fc.constantFrom([{}], [null], 'x', []),
          }),
          { maxLength: 3 },
        ),
      ),
      pictures: nasty,
    })
    .map((value) => JSON.stringify(value)),
});
const broken = fc.record({
  method: fc.constantFrom('put' as const, 'post' as const),
  path: fc.constantFrom(
    '/api/job-files',
    '/api/jobs/job-1',
    '/api/rooms/room-1/scans/scan-1',
    '/api/rooms/a/photos/b/picture',
  ),
  body: fc.constantFrom(
    '',
    '{',
    '[',
    'null',
    '"',
    '\0',
    '{"a":1}{"b":2}',
    '['.repeat(5000),
    '{"a":'.repeat(3000),
    '\ufeff{}',
  ),
});

/** Requests by somebody who knows every address and every field, and means no good: for tests and benchmarks. */
export const hostile = fc.oneof({ weight: 6, arbitrary: write }, { weight: 3, arbitrary: file }, broken);
