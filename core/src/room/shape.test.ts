import { readOut } from '@maquette/words';
import { invented } from './invented-rooms.ts';
import {
  adjustToDiagonals,
  areaM2,
  areasOf,
  common,
  cutPart,
  diagonalProblem,
  distanceMm,
  firstCrossing,
  fitOpenings,
  fixtureOutline,
  FIXTURES,
  floorOf,
  inRegion,
  lineThrough,
  liesWithin,
  mayOverlap,
  moveCorner,
  moveWall,
  newFixture,
  newOpening,
  outlineOf,
  overlapProblem,
  placeOnWall,
  planOf,
  rectangleWalls,
  regionAreaM2,
  regionAt,
  regionOf,
  renumberOpenings,
  setOnWall,
  tapedFromWall,
  shapeProblem,
  walkOf,
  without,
  type DividingLine,
  type Wall,
} from './index.ts';

const corners = (walls: readonly Wall[]) => outlineOf(walls).corners;

describe('measured diagonals', () => {
  test('a diagonal that agrees moves nothing', () => {
    // 3-4-5: the oldest check of a right angle.
    const walls = rectangleWalls(4000, 3000);
    const result = adjustToDiagonals(corners(walls), walls, [{ from: 0, to: 2, lengthMm: 5000 }]);
    expect(result.movedMm).toBeLessThan(1e-6);
    expect(result.outOfSquareDeg).toBeCloseTo(0, 6);
  });

  test('a longer diagonal opens the corner between by the law of cosines', () => {
    // Two adjacent sides a, b of a parallelogram with diagonal d between their ends: cos(angle) = (a2 + b2 - d2) / 2ab.
    const walls = rectangleWalls(4000, 3000);
    const d = 5050;
    const result = adjustToDiagonals(corners(walls), walls, [{ from: 0, to: 2, lengthMm: d }]);
    const angleDeg = (Math.acos((4000 ** 2 + 3000 ** 2 - d ** 2) / (2 * 4000 * 3000)) * 180) / Math.PI;
    expect(Math.abs(result.outOfSquareDeg)).toBeCloseTo(Math.abs(angleDeg - 90), 1);
    expect(result.diagonalLeftMm).toBeLessThan(1);
    expect(result.wallLeftMm).toBeLessThan(1);
    expect(distanceMm(result.corners[0]!, result.corners[2]!)).toBeCloseTo(d, -1);
  });

  test('a misread diagonal is asked back, and the ends of one wall are no diagonal', () => {
    const at = corners(rectangleWalls(4000, 3000));
    expect(readOut(diagonalProblem(at, { from: 0, to: 2, lengthMm: 5600 }))).toContain('about 5000');
    expect(readOut(diagonalProblem(at, { from: 0, to: 1, lengthMm: 4000 }))).toContain('ends of one wall');
    expect(readOut(diagonalProblem(at, { from: 0, to: 9, lengthMm: 4000 }))).toContain('does not exist');
    expect(diagonalProblem(at, { from: 1, to: 3, lengthMm: 5010 })).toBeNull();
  });

  test('the room drawn is the fitted one', () => {
    const walls = rectangleWalls(4000, 3000);
    const plain = planOf({ walls });
    const fitted = planOf({ walls, diagonals: [{ from: 0, to: 2, lengthMm: 5060 }] });
    expect(fitted.corners[2]!.xMm).toBeGreaterThan(plain.corners[2]!.xMm + 30);
  });
});

describe('pulling the outline', () => {
  const walls = rectangleWalls(4000, 3000);
  test('a wall pulled inward shortens its neighbours and keeps every angle', () => {
    const moved = moveWall(corners(walls), walls, 2, 500)!;
    expect(moved.walls.map((w) => w.lengthMm)).toEqual([4000, 2500, 4000, 2500]);
    expect(moved.walls.map((w) => w.turnDeg)).toEqual([90, 90, 90, 90]);
    expect(moved.walls.map((w) => w.drawn ?? false)).toEqual([false, true, false, true]);
    expect(moved.start).toEqual({ xMm: 0, yMm: 0, headingDeg: 0 });
  });

  test('the first wall pulled moves the start and leaves everything else where it is on the sheet', () => {
    const moved = moveWall(corners(walls), walls, 0, -200)!;
    expect(moved.start).toEqual({ xMm: 0, yMm: -200, headingDeg: 0 });
    const after = outlineOf(moved.walls, moved.start).corners;
    expect(after[2]).toEqual({ xMm: 4000, yMm: 3000 });
    expect(after[0]).toEqual({ xMm: 0, yMm: -200 });
  });

  test('a corner pulled changes two walls, and the drawing closes on it', () => {
    const moved = moveCorner(corners(walls), walls, 2, { xMm: 4400, yMm: 3300 })!;
    const outline = outlineOf(moved.walls, moved.start);
    expect(outline.problem).toBeNull();
    expect(outline.closingMm).toBeLessThan(1);
    expect(outline.corners[2]!.xMm).toBeCloseTo(4400, 0);
    expect(moved.walls[0]!.lengthMm).toBe(4000);
  });

  test('a wall pulled through the opposite one is not followed', () => {
    expect(moveWall(corners(walls), walls, 2, 3200)).toBeNull();
  });
});

describe('openings', () => {
  const walls = rectangleWalls(4000, 3000);
  test('two on one stretch of wall are refused, and a shape says which field', () => {
    const openings = [newOpening('a', 0, 100, 800), newOpening('b', 0, 850, 700)];
    expect(readOut(overlapProblem({ walls, openings }))).toContain('overlap');
    expect(shapeProblem({ walls, openings })).toMatchObject({ field: 'openings' });
    expect(shapeProblem({ walls, openings: [openings[0]!] })).toBeNull();
  });

  test('a wall that shrinks pushes its opening back; one too short loses it', () => {
    const door = newOpening('a', 1, 2100, 800);
    expect(fitOpenings([door], rectangleWalls(4000, 2500)).openings[0]).toMatchObject({ fromMm: 1700, widthMm: 800 });
    const tight = fitOpenings([door], rectangleWalls(4000, 250));
    expect([tight.openings.length, tight.lost.length]).toEqual([0, 1]);
  });

  test('taking a wall out carries openings along', () => {
    const doors = [newOpening('a', 1, 0, 500), newOpening('b', 2, 0, 500)];
    const { openings, lost } = renumberOpenings(doors, (o) =>
      o.wall === 1 ? null : { wall: o.wall - 1, fromMm: o.fromMm },
    );
    expect(openings.map((o) => [o.id, o.wall])).toEqual([['b', 1]]);
    expect(lost.map((o) => o.id)).toEqual(['a']);
  });
});

describe('fixtures', () => {
  test('what stands on the floor is an island, clipped at the walls; what comes through is not', () => {
    const walls = rectangleWalls(4000, 3000);
    const hearth = newFixture('h', 'hearth', { xMm: 2000, yMm: 100 }, 0);
    const pipe = newFixture('p', 'pipe', { xMm: 1000, yMm: 1000 }, 0);
    const plan = planOf({ walls, fixtures: [hearth, pipe] });
    // 1200 x 500 with its middle 100 mm off the wall: 150 mm of it lie in the wall.
    expect(areaM2(plan.corners, plan.islands)).toBeCloseTo(12 - 1.2 * 0.35, 3);
    expect(plan.islands).toHaveLength(1);
    expect(regionAreaM2(floorOf(plan))).toBeCloseTo(12 - 1.2 * 0.35, 3);
  });

  test('two that overlap count once', () => {
    const at = { xMm: 2000, yMm: 1500 };
    const plan = planOf({
      walls: rectangleWalls(4000, 3000),
      fixtures: [newFixture('a', 'column', at, 0), newFixture('b', 'column', at, 0)],
    });
    expect(areaM2(plan.corners, plan.islands)).toBeCloseTo(12 - 0.09, 3);
  });

  test('a round outline has the area of its circle within one per cent', () => {
    const toilet = newFixture('t', 'toilet', { xMm: 0, yMm: 0 }, 0);
    const circle = Math.PI * (FIXTURES.toilet.widthMm / 2) ** 2 * 1e-6;
    expect(Math.abs(regionAreaM2(regionOf(fixtureOutline(toilet))) / circle - 1)).toBeLessThan(0.03);
  });

  test.each([0, 1, 2, 3])('set on wall %i and read back, a fixture is where it was taped', (wall) => {
    const at = corners(rectangleWalls(4000, 3000));
    const cabinet = setOnWall(
      at,
      newFixture('c', 'cabinet', { xMm: 0, yMm: 0 }, 0),
      { wall, alongMm: 400, offMm: 0 },
      true,
    );
    expect(placeOnWall(at, cabinet, wall)).toEqual({ wall, alongMm: 400, offMm: 0 });
    const floor = regionOf(at);
    expect(regionAreaM2(common(regionOf(fixtureOutline(cabinet)), floor))).toBeCloseTo(1.2 * 0.6, 3);
  });
});

describe('dividing lines', () => {
  const floor = regionOf(corners(rectangleWalls(4000, 3000)));
  const line: DividingLine = { id: 'l', name: 'line', axMm: 1000, ayMm: 0, bxMm: 1000, byMm: 3000 };
  test('each side is the part of the room on that hand, and both make the room', () => {
    const left = regionAt(floor, [line], [{ lineId: 'l', side: 'left' }]);
    const right = regionAt(floor, [line], [{ lineId: 'l', side: 'right' }]);
    expect(regionAreaM2(left)).toBeCloseTo(3, 9);
    expect(regionAreaM2(right)).toBeCloseTo(9, 9);
    expect(inRegion(left, 500, 500)).toBe(true);
  });

  test('places lie within one another by the sides they name', () => {
    const left = [{ lineId: 'l', side: 'left' }] as const;
    expect([liesWithin(left, []), liesWithin([], left), mayOverlap(left, [{ lineId: 'l', side: 'right' }])]).toEqual([
      true,
      false,
      false,
    ]);
  });
});

test('a place by two tapes: along a wall from its start, and off it into the room', () => {
  const at = corners(rectangleWalls(4000, 3000));
  expect(tapedFromWall(at, { wall: 0, alongMm: 1200, offMm: 400 })).toEqual({ xMm: 1200, yMm: 400 });
  // W2 runs up the sheet, W3 back along the top: off them is into the room.
  expect(tapedFromWall(at, { wall: 1, alongMm: 1000, offMm: 250 })).toEqual({ xMm: 3750, yMm: 1000 });
  expect(tapedFromWall(at, { wall: 2, alongMm: 500, offMm: 100 })).toEqual({ xMm: 3500, yMm: 2900 });
});

describe('walking the walls', () => {
  test('an L is closed for the user after four of its six walls', () => {
    const walls = [
      { lengthMm: 4200, turnDeg: 90 },
      { lengthMm: 2400, turnDeg: 90 },
      { lengthMm: 1400, turnDeg: -90 },
      { lengthMm: 1400, turnDeg: 90 },
    ];
    const { closing } = walkOf(walls);
    // Nobody has taped them: they stand as drawn.
    expect(closing).toEqual([
      { lengthMm: 2800, turnDeg: 90, drawn: true },
      { lengthMm: 3800, turnDeg: 90, drawn: true },
    ]);
    const whole = outlineOf([...walls, ...closing!]);
    expect([whole.problem, whole.closingMm]).toEqual([null, 0]);
  });

  test('nothing is offered where the way home lies behind', () => {
    expect(walkOf([{ lengthMm: 4000, turnDeg: 0 }]).closing).toBeNull();
    expect(
      walkOf([
        { lengthMm: 4000, turnDeg: 90 },
        { lengthMm: 3000, turnDeg: -90 },
      ]).closing,
    ).toBeNull();
  });
});

describe('random rooms', () => {
  test.each(Array.from({ length: 40 }, (_, i) => i))('room %i: cutting loses no area and crosses nothing', (seed) => {
    const { plan, floor, chance } = invented(seed);
    expect(firstCrossing(plan.corners)).toBeNull();
    const whole = regionAreaM2(floor);
    const angle = chance() * Math.PI;
    const [x, y] = [chance() * 4000, chance() * 4000];
    const line = lineThrough(x, y, x + 1000 * Math.cos(angle), y + 1000 * Math.sin(angle));
    let [low, high] = [0, 0];
    for (const part of floor) {
      const cut = cutPart(part, line);
      low += regionAreaM2(cut.low);
      high += regionAreaM2(cut.high);
      for (const piece of [...cut.low, ...cut.high])
        for (const ring of piece)
          for (const [px, py] of ring) {
            expect(Number.isFinite(px) && Number.isFinite(py)).toBe(true);
          }
    }
    expect(low + high).toBeCloseTo(whole, 6);
    // The library of boolean operations, which works another way, has the same area on each side.
    const far = 1e5;
    const [nx, ny] = [line.a * far, line.b * far];
    const [tx, ty] = [-line.b * far, line.a * far];
    const [ox, oy] = [line.a * line.c, line.b * line.c];
    const half = regionOf([
      { xMm: ox - tx, yMm: oy - ty },
      { xMm: ox + tx, yMm: oy + ty },
      { xMm: ox + tx + nx, yMm: oy + ty + ny },
      { xMm: ox - tx + nx, yMm: oy - ty + ny },
    ]);
    expect(regionAreaM2(common(floor, half))).toBeCloseTo(high, 3);
    expect(regionAreaM2(without(floor, half))).toBeCloseTo(low, 3);
  });

  test.each(Array.from({ length: 20 }, (_, i) => i))('room %i: the areas of its lines add up to the floor', (seed) => {
    const { floor, chance } = invented(seed + 100);
    const lines = Array.from({ length: 3 }, (_, i): DividingLine => {
      const [x, y, angle] = [chance() * 5000, chance() * 4000, chance() * Math.PI];
      return {
        id: `l${i}`,
        name: '',
        axMm: x,
        ayMm: y,
        bxMm: x + 900 * Math.cos(angle),
        byMm: y + 900 * Math.sin(angle),
      };
    });
    const sum = areasOf(floor, lines).reduce((total, area) => total + regionAreaM2(area.region), 0);
    expect(Math.abs(sum - regionAreaM2(floor))).toBeLessThan(0.05);
  });
});
