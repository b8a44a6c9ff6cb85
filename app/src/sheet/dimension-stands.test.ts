import { dimensionStands, type DimensionedWall, type Stroke } from './dimension-stands.ts';

/** Corners on the screen of a room walked with its floor on the left: y points down. */
const walls = (corners: readonly (readonly [number, number])[], label: string): DimensionedWall[] =>
  corners.map((a, k) => ({ a, b: corners[(k + 1) % corners.length]!, label }));

test('figures of a plain rectangle stand in the middle of their walls', () => {
  expect(
    dimensionStands(
      walls(
        [
          [0, 300],
          [400, 300],
          [400, 0],
          [0, 0],
        ],
        '4 000',
      ),
      [],
    ),
  ).toEqual([0.5, 0.5, 0.5, 0.5]);
});

test('in the notch of an L two dimensions cross: their figures keep off each other and off the lines', () => {
  // The notch is 90 px wide and 88 high: as a kitchen is seen on a phone.
  const notched = walls(
    [
      [46, 352],
      [311, 352],
      [311, 202],
      [222, 202],
      [222, 114],
      [46, 114],
    ],
    '1 400',
  );
  const stands = dimensionStands(notched, []);
  // The line of the short wall crosses the other's at 24 px from its end: no figure stands there.
  const [short, long] = [notched[2]!, notched[3]!];
  const at = (wall: DimensionedWall, share: number) => [
    wall.a[0] + (wall.b[0] - wall.a[0]) * share,
    wall.a[1] + (wall.b[1] - wall.a[1]) * share,
  ];
  expect(at(long, stands[3]!)[1]).toBeLessThan(202 - 24 - 23);
  expect(at(short, stands[2]!)[0]).toBeGreaterThan(222 + 24 + 23);
});

test('a figure stands aside of a door that swings out through its line', () => {
  const room = walls(
    [
      [0, 300],
      [400, 300],
      [400, 0],
      [0, 0],
    ],
    '2 400',
  );
  const leaf: Stroke = [
    [400, 150],
    [480, 150],
  ];
  const stands = dimensionStands(room, [leaf]);
  expect(stands[1]).not.toBe(0.5);
  expect(stands[0]).toBe(0.5);
});
