import { figureStands } from './figure-stands.ts';

/** A grid of stations 600 mm apart: rows from the door wall up. */
const grid = (columns: number, rows: number) =>
  Array.from({ length: columns * rows }, (_, i) => ({
    key: `${i % columns},${Math.floor(i / columns)}`,
    xMm: 100 + 600 * (i % columns),
    yMm: 100 + 600 * Math.floor(i / columns),
  }));

test('figures stand over their crosses, but those along a wall stand into the room', () => {
  const stands = figureStands(grid(4, 3), 600);
  expect(stands.get('1,1')).toEqual({ dx: 0, dy: -6 });
  // Left wall, right wall: aside. Far wall: under the cross.
  expect(stands.get('0,1')!.dx).toBeGreaterThan(0);
  expect(stands.get('3,1')!.dx).toBeLessThan(0);
  expect(stands.get('1,2')!.dy).toBeGreaterThan(0);
  expect(stands.get('1,0')!.dy).toBeLessThan(0);
});

test('inside corners of an L count as walls: what has no station beyond stands clear', () => {
  const ell = grid(4, 3).filter(({ xMm, yMm }) => xMm < 1000 || yMm < 1000);
  const stands = figureStands(ell, 600);
  expect(stands.get('3,1')!.dy).toBeGreaterThan(0);
  expect(stands.get('1,2')!.dx).toBeLessThan(0);
  expect(stands.get('1,1')).toEqual({ dx: 0, dy: -6 });
});

test('a station alone has nowhere to lean', () => {
  expect(figureStands(grid(1, 1), 600).get('0,0')).toEqual({ dx: 0, dy: 15 });
});
