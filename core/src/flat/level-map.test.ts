import { rectanglePlan, factsAt } from './invented.ts';
import { floorSurface, levelMap, stationsOf } from './index.ts';

const plan = rectanglePlan(4200, 3000);
const stations = stationsOf(plan, 600, [], [], { xMm: 500, yMm: 0 });
const mapOf = (formula: (x: number, y: number) => number) =>
  levelMap(floorSurface(plan, factsAt(stations, formula), [{ gapMm: 3, edgeMm: 2000 }])!);

/** Distance of a ring's farthest and nearest point from a place, mm. */
const reach = (ring: [number, number][], [x, y]: [number, number]) => {
  const far = ring.map(([px, py]) => Math.hypot(px - x, py - y));
  return [Math.min(...far), Math.max(...far)];
};

test.each([
  ['flat', () => 0],
  ['one plane, sloping', (x: number, y: number) => 4 * x - 2 * y],
  ['off by a tenth here and there, as a staff reads', (x: number, y: number) => 0.1 * Math.sin(7 * x + 5 * y)],
])('a floor that is %s has no line between high and low', (_, formula) => {
  const map = mapOf(formula);
  expect([map.highs, map.lows, map.zero]).toEqual([[], [], []]);
  expect(map.judged.length).toBeGreaterThan(0);
});

test('a hump is ringed each millimetre, higher rings inside lower, about its middle', () => {
  // 6 mm at the middle: at radius r it stands 6 exp(-r²/0.32), so the 3 mm ring lies 0.47 m out, less what the plane takes off.
  const map = mapOf((x, y) => 6 * Math.exp(-((x - 2.1) ** 2 + (y - 1.5) ** 2) / 0.32));
  expect(map.stepMm).toBe(1);
  expect(map.zero.length).toBeGreaterThan(0);
  const radii = map.highs.map(({ rings }) => reach(rings[0]!, [2100, 1500])[1]!);
  expect(radii.length).toBeGreaterThanOrEqual(4);
  radii.slice(1).forEach((radius, i) => expect(radius).toBeLessThan(radii[i]!));
  const [near, far] = reach(map.highs.find(({ levelMm }) => levelMm === 3)!.rings[0]!, [2100, 1500]);
  expect(near).toBeGreaterThan(330);
  expect(far).toBeLessThan(520);
});

test('a rough floor is drawn in larger steps, and its lows as depths under the plane', () => {
  const map = mapOf((x) => 9 * Math.sin(2 * x));
  expect(map.stepMm).toBe(2);
  expect(map.lows.every(({ levelMm }) => levelMm < 0 && levelMm % 2 === 0)).toBe(true);
  expect(Math.max(map.highs.length, map.lows.length)).toBeLessThanOrEqual(7);
});
