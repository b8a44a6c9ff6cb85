import fc from 'fast-check';
import { BLANK_SHAPE, rectangleWalls } from '@maquette/core/room';
import { FACT_KINDS, KINDS } from '@maquette/facts';
import { aBody } from '@maquette/facts/invented';
import { differing } from './differing.ts';

test('a reading differs in its rod, in the room’s units, and in its note', () => {
  const one = { setupId: 'setup-1', stationKey: 'a', xMm: 100, yMm: 200, rodMm: 1347, takenAt: '', note: '' };
  expect(differing('readings', one, { ...one, rodMm: 1345, note: 'by the door' }, 'metric')).toEqual([
    { field: 'Rod', mine: '1\u2009347 mm', theirs: '1\u2009345 mm' },
    { field: 'Note', mine: 'nothing', theirs: '“by the door”' },
  ]);
  // 53 in is 1346.2 mm, a sixteenth 1.5875 mm.
  const inches = { ...one, rodMm: 1346.2 };
  expect(differing('readings', inches, { ...inches, rodMm: 1344.6125 }, 'imperial')).toEqual([
    { field: 'Rod', mine: '53 in', theirs: '52 15/16 in' },
  ]);
});

test('of a room’s walls the one that differs is named by its number; a wall more is a count', () => {
  const walls = rectangleWalls(3000, 2000);
  const longer = walls.map((wall, i) => (i === 1 ? { ...wall, lengthMm: 2100 } : wall));
  expect(differing('rooms', { ...BLANK_SHAPE, walls }, { ...BLANK_SHAPE, walls: longer }, 'metric')).toEqual([
    { field: 'Wall 2: length', mine: '2\u2009000 mm', theirs: '2\u2009100 mm' },
  ]);
  const more = [...walls, walls[0]!];
  expect(differing('rooms', { walls }, { walls: more }, 'metric')).toEqual([
    { field: 'Walls', mine: '4 walls', theirs: '5 walls' },
  ]);
});

test('of every kind: the same state differs in nothing, another in something that is said', () => {
  for (const kind of FACT_KINDS)
    fc.assert(
      fc.property(aBody(kind), aBody(kind), (mine, theirs) => {
        const own = Object.keys(KINDS[kind].fields);
        const pick = (body: object) =>
          JSON.stringify(own.map((name) => (body as Record<string, unknown>)[name] ?? null));
        expect(differing(kind, mine as never, mine as never, 'metric')).toEqual([]);
        const rows = differing(kind, mine as never, theirs as never, 'metric');
        expect(rows.length > 0).toBe(pick(mine) !== pick(theirs));
        for (const row of rows) expect([row.field, row.mine, row.theirs].every((text) => text.length > 0)).toBe(true);
      }),
      { numRuns: 20 },
    );
});
