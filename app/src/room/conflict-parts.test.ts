import fc from 'fast-check';
import { BLANK_SHAPE, newOpening, rectangleWalls } from '@maquette/core/room';
import { FACT_KINDS, KINDS, type FactKind } from '@maquette/facts';
import { aBody } from '@maquette/facts/invented';
import { conflictParts, mixed } from './conflict-parts.ts';
import type { Body } from './differing.ts';

const room = (part: object): Body => ({ ...BLANK_SHAPE, walls: rectangleWalls(4000, 3000), name: 'Parlour', ...part });
const door = newOpening('door-1', 0, 500, 800);
const arch = { ...newOpening('arch-1', 2, 500, 900), kind: 'archway' };

test('of a room the outline is one part, each opening another: one can be taken from either side', () => {
  const mine = room({ walls: rectangleWalls(4100, 3000), openings: [door] });
  const theirs = room({ openings: [{ ...door, widthMm: 760 }, arch] });
  const parts = conflictParts('rooms', mine, theirs, 'metric');
  expect(parts.map(({ key, words }) => [key, words])).toEqual([
    ['walls+start+diagonals', 'Outline'],
    ['openings/door-1', 'Opening: door'],
    ['openings/arch-1', 'Opening: archway'],
  ]);
  expect(parts[1]!.rows).toEqual([{ field: 'width', mine: '800 mm', theirs: '760 mm' }]);
  expect(parts[2]!.rows).toEqual([{ field: 'Drawn', mine: 'no', theirs: 'yes' }]);
  const body = mixed('rooms', mine, theirs, new Set(['openings/arch-1']));
  expect(body).toMatchObject({ walls: mine['walls'], openings: [door, arch] });
});

test('where a thing is comes as one: no mark gets one’s along and the other’s across', () => {
  const mark = { kind: 'squeak', xMm: 100, yMm: 200, note: '' };
  const parts = conflictParts('marks', mark, { ...mark, xMm: 150, yMm: 260 }, 'metric');
  expect(parts.map(({ key }) => key)).toEqual(['xMm+yMm']);
});

/** What a kind states of a body; what is absent is nothing, and a list that is absent is empty. */
const stated = (kind: FactKind, body: Body) =>
  Object.fromEntries(
    Object.entries(KINDS[kind].fields).map(([name, { spec }]) => [
      name,
      body[name] ?? (spec.type === 'list' ? [] : null),
    ]),
  );

test.each(FACT_KINDS)(
  '%s: taking nothing leaves mine, taking every part gives theirs, and what is mixed is of both',
  (kind) => {
    fc.assert(
      fc.property(aBody(kind), aBody(kind), fc.infiniteStream(fc.boolean()), (a, b, coin) => {
        const [mine, theirs] = [a as Body, b as Body];
        const keys = conflictParts(kind, mine, theirs, 'metric').map(({ key }) => key);
        expect(stated(kind, mixed(kind, mine, theirs, new Set()))).toEqual(stated(kind, mine));
        expect(stated(kind, mixed(kind, mine, theirs, new Set(keys)))).toEqual(stated(kind, theirs));
        const some = new Set(keys.filter(() => coin.next().value));
        const body = mixed(kind, mine, theirs, some);
        // Seen from either side, what differs is what was taken from the other.
        expect(
          conflictParts(kind, body, mine, 'metric')
            .map(({ key }) => key)
            .sort(),
        ).toEqual([...some].sort());
        const rest = keys.filter((key) => !some.has(key));
        expect(
          conflictParts(kind, body, theirs, 'metric')
            .map(({ key }) => key)
            .sort(),
        ).toEqual(rest.sort());
      }),
      { numRuns: 25 },
    );
  },
);
