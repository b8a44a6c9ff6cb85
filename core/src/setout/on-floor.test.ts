import { regionOf } from '../room/index.ts';
import { frameAlong } from './frame.ts';
import { boxAt, outline } from './invented-floors.ts';
import { faceDown, notchFor, pipeHole } from './notches.ts';
import { chalkLine, rowTable } from './row-table.ts';
import { rowStrips } from './rows.ts';
import { tiltedMm, wayIn } from './way-in.ts';

test('a pipe of 22 in a piece, gap 10: a hole of 42, from the left end and the start-side edge', () => {
  const piece = { fromMm: 1300, toMm: 2590, lowMm: 192, highMm: 384 };
  const pipe = { id: 'p', uMm: 1600, vMm: 300, diameterMm: 22, gapMm: 10 };
  const hole = pipeHole(piece, pipe)!;
  expect(hole).toEqual({ pipeId: 'p', diameterMm: 42, fromEndMm: 300, fromEdgeMm: 108, slotTo: 'far-side' });
  expect(faceDown(hole, 1290).fromEndMm).toBe(990);
  expect(pipeHole(piece, { ...pipe, uMm: 1270 })).toBeNull();
  // Half in the piece: its hole is open at the joint.
  expect(pipeHole(piece, { ...pipe, uMm: 1295 })).toMatchObject({ fromEndMm: -5, slotTo: 'left-end' });
});

test('a notch by its box from the left end and the start-side edge; mirrored where it is sawn face down', () => {
  const piece = { fromMm: 0, toMm: 1290, lowMm: 192, highMm: 384 };
  const notch = notchFor(piece, { id: 'hearth', outline: boxAt(400, 300, 300, 500) })!;
  expect(notch).toEqual({ id: 'hearth', fromEndMm: 400, fromEdgeMm: 108, longMm: 300, wideMm: 84 });
  expect(faceDown(notch, 1290, notch.longMm).fromEndMm).toBe(590);
  expect(notchFor(piece, { id: 'far', outline: boxAt(400, 500, 300, 500) })).toBeNull();
});

test('a last row 110 wide and 8 thick angles in at 25 degrees where 53.7 are free', () => {
  expect(tiltedMm(110, 8, 25)).toBeCloseTo(53.7, 1);
  const piece = { wideMm: 110, longMm: 600, thickMm: 8 };
  const all = { angleDeg: 25, slides: true, taps: true, shaves: true };
  const way = (freeMm: number | null, openMm: number, allowed = all) => wayIn(piece, { freeMm, openMm }, allowed);
  expect(way(null, 0)).toBe('angled');
  expect(way(54, 0)).toBe('angled');
  expect(way(53, 700)).toBe('along');
  expect(way(53, 500)).toBe('tapped');
  expect(way(53, 500, { ...all, taps: false })).toBe('shaved');
  expect(way(53, 500, { ...all, taps: false, shaves: false })).toBeNull();
  expect(way(7, 700)).toBeNull();
});

test('the table of rows over a floor that tapers, and the line that is snapped after the first row', () => {
  const region = regionOf(outline([0, 0], [4000, 0], [4000, 1000], [0, 920]));
  const strips = rowStrips(region, 200, 150);
  const table = rowTable(
    strips,
    strips.map(({ fromMm, toMm }) => ({ startMm: toMm - fromMm, wholes: 0, endMm: 0 })),
  );
  expect(table).toHaveLength(6);
  expect([table[0]!.leftWideMm, table[0]!.rightWideMm]).toEqual([150, 150]);
  // The last row begins at 950: it is there where the floor is deep enough.
  expect(table.at(-1)!.rightWideMm).toBeCloseTo(50, 0);
  const frame = frameAlong({ xMm: 0, yMm: 0 }, { xMm: 4000, yMm: 0 }, 'right-to-left');
  expect(chalkLine(strips, frame, 200, 1)).toEqual({
    from: { xMm: 0, yMm: 150 },
    to: { xMm: 4000, yMm: 150 },
    afterRow: 1,
  });
  expect(chalkLine(strips, frame, 200, 9)).toBeNull();
});
