import { readOut } from '@maquette/words';
import {
  areaM2,
  contains,
  newOpening,
  openingProblem,
  firstCrossing,
  outlineOf,
  rectangleWalls,
  shapeProblem,
  tapeFrom,
  wallName,
  type Wall,
} from './index.ts';

const walls = (...list: [number, number][]): Wall[] => list.map(([lengthMm, turnDeg]) => ({ lengthMm, turnDeg }));

test('a rectangle in two numbers closes to nothing', () => {
  const outline = outlineOf(rectangleWalls(5400, 4200));
  expect(outline.problem).toBeNull();
  expect(outline.closingMm).toBe(0);
  expect(areaM2(outline.corners)).toBeCloseTo(22.68, 9);
});

test('an L is the rectangle less its notch', () => {
  const outline = outlineOf(walls([4000, 90], [1500, 90], [2000, -90], [1500, 90], [2000, 90], [3000, 90]));
  expect(outline.problem).toBeNull();
  expect(areaM2(outline.corners)).toBeCloseTo(4 * 3 - 2 * 1.5, 9);
});

test('a small closing error is shown and spread; the drawn room closes', () => {
  const outline = outlineOf(walls([5000, 90], [4000, 90], [5012, 90], [3995, 90]));
  expect(outline.problem).toBeNull();
  expect(outline.closingMm).toBeCloseTo(Math.hypot(12, 5), 6);
  // Compass rule: the adjustment of a corner grows with the length walked to it.
  expect(outline.corners[1]!.xMm).toBeCloseTo(5000 + (12 * 5000) / 18007, 3);
});

test('a large closing error is refused in words', () => {
  expect(readOut(outlineOf(walls([5000, 90], [4000, 90], [4000, 90], [4000, 90])).problem)).toMatchObject({
    kind: 'open',
    words: expect.stringContaining('1000 mm'),
  });
});

test('a crossing names the walls, by their own names where they have one', () => {
  const crossed = walls([4000, 90], [3000, 90], [2000, 90], [4000, -90], [2000, -90], [1000, 180]);
  crossed[3]!.name = 'bay';
  const { problem } = outlineOf(crossed);
  expect(readOut(problem)).toMatchObject({ kind: 'crossing', firstWall: 0, secondWall: 3, words: 'bay crosses W1' });
  expect(wallName(crossed, 3)).toBe('bay');
});

test('a wall folded back on itself counts as crossing', () => {
  expect(
    firstCrossing([
      { xMm: 0, yMm: 0 },
      { xMm: 1000, yMm: 0 },
      { xMm: 400, yMm: 0 },
    ]),
  ).not.toBeNull();
});

test('walls turned right all round are refused: the room lies on the left hand', () => {
  expect(outlineOf(walls([3000, -90], [2000, -90], [3000, -90], [2000, -90])).problem?.kind).toBe('inside-out');
});

test('two walls are no room', () => {
  expect(outlineOf(walls([3000, 90], [2000, 90])).problem?.kind).toBe('too-few-walls');
});

test('a door must lie on its wall', () => {
  const room = rectangleWalls(3000, 2000);
  const door = newOpening('d', 1, 1300, 800);
  expect(readOut(openingProblem(room, door))).toContain('2100 mm');
  expect(openingProblem(room, { ...door, fromMm: 1200 })).toBeNull();
  expect(shapeProblem({ walls: room, openings: [{ ...door, wall: 7 }] })).toMatchObject({ field: 'openings' });
});

test('two tapes at right angles fix a point', () => {
  const room = {
    walls: rectangleWalls(5000, 4000),
    openings: [newOpening('d', 0, 100, 800)],
  };
  const plan = { corners: outlineOf(room.walls).corners, islands: [] };
  expect(readOut(tapeFrom(room, plan, { xMm: 4400, yMm: 900 }))).toEqual([
    { wall: 1, name: 'W2', distanceMm: 600 },
    { wall: 0, name: 'the door wall', distanceMm: 900 },
  ]);
  expect(contains(plan.corners, 4400, 900)).toBe(true);
});
