import { runBreaks, type RunOpening, type RunRoom } from './run-breaks.ts';

const room = (id: string, fromMm: number, toMm: number): RunRoom => ({ id, along: [fromMm, toMm], across: [0, 3000] });
const opening = (a: string, b: string, widthMm = 800, always = false): RunOpening => ({
  id: `${a}${b}`,
  roomIds: [a, b],
  widthMm,
  always,
});
/** Three rooms of 4 m in a row. */
const ROW = [room('a', 0, 4000), room('b', 4100, 8100), room('c', 8200, 12200)];

test('what stays within the run is laid through', () => {
  expect(runBreaks(ROW, [opening('a', 'b'), opening('b', 'c')], 13_000)).toEqual({ openingIds: [], longRoomIds: [] });
  expect(runBreaks(ROW, [opening('a', 'b'), opening('b', 'c')], null).openingIds).toEqual([]);
});

test('past the run it is parted at the fewest openings, and of those at the narrowest', () => {
  expect(runBreaks(ROW, [opening('a', 'b', 900), opening('b', 'c', 800)], 10_000).openingIds).toEqual(['bc']);
  expect(runBreaks(ROW, [opening('a', 'b'), opening('b', 'c')], 8000).openingIds).toEqual(['ab', 'bc']);
  // Two ways round: parting the ring at one place is not enough.
  const ring = [opening('a', 'b'), opening('b', 'c'), opening('a', 'c', 600)];
  expect(runBreaks(ROW, ring, 10_000).openingIds).toHaveLength(2);
});

test('joints, heating and other bases part it whatever the run; across counts as along', () => {
  expect(runBreaks(ROW, [opening('a', 'b', 800, true), opening('b', 'c')], 13_000).openingIds).toEqual(['ab']);
  const beside = [room('a', 0, 4000), { ...room('d', 0, 4000), across: [3100, 12_000] as const }];
  expect(runBreaks(beside, [opening('a', 'd')], 10_000).openingIds).toEqual(['ad']);
});

test('a room longer than the run asks for a line of its own, and joins nothing', () => {
  const rooms = [room('a', 0, 4000), room('hall', 4100, 16_100)];
  expect(runBreaks(rooms, [opening('a', 'hall')], 10_000)).toEqual({ openingIds: ['ahall'], longRoomIds: ['hall'] });
});
