import { invented } from './invented-rooms.ts';
import { distanceMm, moveCorner, moveWall, ORIGIN, outlineOf, planOf, rectangleWalls, turnedAsDrawn } from './index.ts';

const SEEDS = Array.from({ length: 60 }, (_, seed) => seed);

/** Walls as a tape reads them: each off by up to 12 mm, so that the chain does not close. */
function taped(seed: number) {
  const { walls, chance } = invented(seed);
  return {
    chance,
    walls: walls.map((wall) => ({ ...wall, lengthMm: wall.lengthMm + Math.round((chance() - 0.5) * 24) })),
  };
}

test('a pulled wall or corner leaves every other taped length and turn as it was, and the closing error on record', () => {
  for (const seed of SEEDS) {
    const { walls, chance } = taped(seed);
    const before = outlineOf(walls, ORIGIN);
    const n = walls.length;
    const index = Math.floor(chance() * n);
    const by = Math.round((chance() - 0.5) * 30) * 5;
    const at = before.corners[index]!;
    const pulled = [
      { own: [index - 1, index, index + 1], shape: moveWall(before.corners, walls, index, by, ORIGIN) },
      {
        own: [index - 1, index],
        shape: moveCorner(before.corners, walls, index, { xMm: at.xMm + by, yMm: at.yMm - 20 }, ORIGIN),
      },
    ];
    for (const { own, shape } of pulled) {
      if (!shape) continue;
      const moved = own.map((i) => (i + n) % n);
      shape.walls.forEach((wall, i) => {
        if (!moved.includes(i)) expect(wall.lengthMm).toBe(walls[i]!.lengthMm);
        if (!moved.includes(i)) expect(wall.drawn).toBe(walls[i]!.drawn);
      });
      const after = outlineOf(shape.walls, shape.start);
      expect(Math.abs(after.closingMm - before.closingMm)).toBeLessThan(1);
    }
    // A wall pulled sideways keeps every angle to the last digit.
    if (pulled[0]!.shape) expect(pulled[0]!.shape.walls.map((w) => w.turnDeg)).toEqual(walls.map((w) => w.turnDeg));
  }
});

test('pulled there and back, walls are as they were taped but for the mark that they are off the drawing', () => {
  const walls = [4003, 2996, 4000, 3005].map((lengthMm) => ({ lengthMm, turnDeg: 90 }));
  const out = moveWall(outlineOf(walls).corners, walls, 1, -250, ORIGIN)!;
  const back = moveWall(outlineOf(out.walls, out.start).corners, out.walls, 1, 250, out.start)!;
  expect(back.walls.map((w) => w.lengthMm)).toEqual([4003, 2996, 4000, 3005]);
  expect(back.start).toEqual(ORIGIN);
});

test('a room fitted to its diagonals is pulled by the angles it is drawn with', () => {
  const room = { walls: rectangleWalls(4000, 3000), diagonals: [{ from: 0, to: 2, lengthMm: 5060 }] };
  const { corners } = planOf(room);
  const drawn = turnedAsDrawn(corners, room.walls);
  const moved = moveWall(corners, drawn, 2, 0, ORIGIN)!;
  outlineOf(moved.walls, moved.start).corners.forEach((corner, i) =>
    expect(distanceMm(corner, corners[i]!)).toBeLessThan(2),
  );
  expect(moved.walls.map((w) => w.lengthMm)).toEqual([4000, 3000, 4000, 3000]);
});
