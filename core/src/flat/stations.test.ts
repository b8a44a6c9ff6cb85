import fc from 'fast-check';
import { outlineOf, distanceMm, distanceToWallsMm, contains, type Wall } from '../room/index.ts';
import { proposeStations, stationsOf, walk, WALL_OFFSET_MM } from './index.ts';
import { reading, rectanglePlan } from './invented.ts';

const door = { xMm: 500, yMm: 0 };

test('stations stand 100 mm off the walls and no further apart than the spacing', () => {
  const plan = rectanglePlan(5400, 4200);
  const points = proposeStations(plan, 600);
  expect(points.length).toBe(10 * 8);
  for (const p of points)
    expect(distanceToWallsMm(plan.corners, p.xMm, p.yMm)).toBeGreaterThanOrEqual(WALL_OFFSET_MM - 1e-6);
  const xs = [...new Set(points.map((p) => Math.round(p.xMm)))].sort((a, b) => a - b);
  xs.slice(1).forEach((x, i) => expect(x - xs[i]!).toBeLessThanOrEqual(600));
});

test('no place on an L with an alcove is further from a station than a square of the spacing allows', () => {
  const walls: Wall[] = [
    [5000, 90],
    [2000, 90],
    [1500, -90],
    [2200, 90],
    [1100, -90],
    [350, 90],
    [900, 90],
    [350, -90],
    [1500, 90],
    [4200, 90],
  ].map(([lengthMm, turnDeg]) => ({ lengthMm: lengthMm!, turnDeg: turnDeg! }));
  const outline = outlineOf(walls);
  expect(outline.problem).toBeNull();
  const plan = { corners: outline.corners, islands: [] };
  const points = proposeStations(plan, 600);
  const place = fc.record({ xMm: fc.double({ min: 0, max: 5000 }), yMm: fc.double({ min: 0, max: 4600 }) });
  const onTheFloor = place.filter((p) => contains(plan.corners, p.xMm, p.yMm));
  fc.assert(
    fc.property(onTheFloor, (p) => Math.min(...points.map((q) => distanceMm(p, q))) < 600 * 0.8),
    { numRuns: 2000 },
  );
});

test('the walk starts near the door, visits every station once and is not much longer than stations times spacing', () => {
  const stations = stationsOf(rectanglePlan(5400, 4200), 600, [], [], door);
  expect(new Set(stations.map((s) => s.key)).size).toBe(80);
  expect(distanceMm(stations[0]!, door)).toBeLessThan(700);
  let length = 0;
  stations.slice(1).forEach((s, i) => (length += distanceMm(s, stations[i]!)));
  expect(length).toBeLessThan(80 * 600);
});

test('a walk over scattered points comes to each of them once', () => {
  const place = fc.record({ xMm: fc.nat(6000), yMm: fc.nat(5000) });
  fc.assert(
    fc.property(fc.array(place, { maxLength: 60 }), (points) => {
      const path = walk(points, door, 600);
      expect(path).toHaveLength(points.length);
      expect(new Set(path).size).toBe(points.length);
    }),
  );
});

test('a moved station keeps its key; a dropped one leaves; an added one joins', () => {
  const plan = rectanglePlan(3000, 2000);
  const [first, second] = stationsOf(plan, 600, [], [], door);
  const stations = stationsOf(
    plan,
    600,
    [
      { id: 'm1', replacesKey: first!.key, xMm: 222, yMm: 333, dropped: false },
      { id: 'm2', replacesKey: second!.key, xMm: 0, yMm: 0, dropped: true },
      { id: 'mine', replacesKey: null, xMm: 1500, yMm: 1010, dropped: false },
    ],
    [],
    door,
  );
  expect(stations.find((s) => s.key === first!.key)).toMatchObject({ xMm: 222, yMm: 333, source: 'moved' });
  expect(stations.some((s) => s.key === second!.key)).toBe(false);
  expect(stations.find((s) => s.key === 'mine')).toMatchObject({ source: 'added' });
  expect(stations).toHaveLength(stationsOf(plan, 600, [], [], door).length);
});

test('readings from a file take the place of the proposed stations near them', () => {
  const plan = rectanglePlan(3000, 2000);
  const proposed = proposeStations(plan, 600);
  const readings = proposed.map((p, i) => reading(`r${i}`, 'A', `f${i}`, p.xMm + 120, p.yMm, 1000));
  const stations = stationsOf(plan, 600, [], readings, door);
  expect(stations.every((s) => s.source === 'file')).toBe(true);
});
