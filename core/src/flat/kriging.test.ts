import { correlation, heightAt, heightsOver, krige, sitesThatDecide, type Sites } from './index.ts';
import { chanceFrom, gridOver, rectanglePlan } from './invented.ts';

function sitesOf(n: number, formula: (x: number, y: number) => number, seed = 5): Sites {
  const chance = chanceFrom(seed);
  const x = Float64Array.from({ length: n }, () => chance() * 5000);
  const y = Float64Array.from({ length: n }, () => chance() * 4000);
  return { x, y, z: x.map((v, i) => formula(v / 1000, y[i]! / 1000)) };
}

test('the correlation is Matérn 3/2: 1 at 0, (1+√3)e^−√3 at the range', () => {
  expect(correlation(0, 800)).toBe(1);
  expect(correlation(800, 800)).toBeCloseTo((1 + Math.sqrt(3)) * Math.exp(-Math.sqrt(3)), 12);
});

// Two sites and a constant mean have the closed form w = 1/2 at the midpoint, so the answer there is their mean.
test('midway between two readings the surface is their mean', () => {
  const sites = { x: Float64Array.of(0, 1000), y: Float64Array.of(0, 0), z: Float64Array.of(2, 6) };
  expect(heightAt(krige(sites), 500, 0)).toBeCloseTo(4, 9);
});

test('a plane is reproduced everywhere, beyond the readings too (the drift carries it)', () => {
  const surface = krige(sitesOf(30, (x, y) => 2 * x - 3 * y + 7));
  expect(heightAt(surface, 2500, 2000)).toBeCloseTo(2 * 2.5 - 3 * 2 + 7, 4);
  expect(heightAt(surface, 8000, 6000)).toBeCloseTo(2 * 8 - 3 * 6 + 7, 3);
});

test('the table over the grid agrees with the exact sum', () => {
  const surface = krige(sitesOf(40, (x, y) => 5 * Math.sin(x) * Math.cos(y)));
  const grid = gridOver(rectanglePlan(5000, 4000));
  const over = heightsOver(surface, grid);
  for (const cell of [0, 777, 4321, over.length - 1]) {
    const exact = heightAt(
      surface,
      grid.x0Mm + (cell % grid.nx) * grid.cellMm,
      grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm,
    );
    expect(Math.abs(over[cell]! - exact)).toBeLessThan(0.005);
  }
});

test('a dense walk over a smooth floor is followed closely: error under the reading noise', () => {
  const formula = (x: number, y: number) => 4 * Math.sin(1.3 * x) + 3 * Math.cos(1.1 * y);
  const surface = krige(sitesOf(160, formula));
  const chance = chanceFrom(9);
  let sum = 0;
  for (let i = 0; i < 200; i++) {
    const [x, y] = [500 + chance() * 4000, 500 + chance() * 3000];
    sum += (heightAt(surface, x, y) - formula(x / 1000, y / 1000)) ** 2;
  }
  expect(Math.sqrt(sum / 200)).toBeLessThan(0.5);
});

test('kept work changes no digit of the answer: one by one is the same as at once', () => {
  const all = sitesOf(90, (x, y) => 4 * Math.sin(x + y));
  const memo = {};
  for (let n = 40; n <= 90; n++) krige({ x: all.x.slice(0, n), y: all.y.slice(0, n), z: all.z.slice(0, n) }, memo);
  const fewer = krige({ x: all.x.slice(0, 71), y: all.y.slice(0, 71), z: all.z.slice(0, 71) }, memo);
  const anew = krige({ x: all.x.slice(0, 71), y: all.y.slice(0, 71), z: all.z.slice(0, 71) });
  expect(fewer.covariance).toEqual(anew.covariance);
  expect(Array.from(fewer.weights)).toEqual(Array.from(anew.weights));
});

test('readings in one row do not fix a slope across it, and are taken all the same', () => {
  const x = Float64Array.from({ length: 9 }, (_, i) => i * 500);
  const surface = krige({ x, y: new Float64Array(9), z: x.map((v) => v / 1000) });
  expect(Number.isFinite(heightAt(surface, 2000, 3000))).toBe(true);
});

test('no reading at all is refused', () => {
  expect(() => krige({ x: new Float64Array(0), y: new Float64Array(0), z: new Float64Array(0) })).toThrow(
    'at least one',
  );
});

test('the sites that decide grow in steps, never over n', () => {
  expect([5, 60, 61, 75, 290].map(sitesThatDecide)).toEqual([5, 60, 60, 75, 282]);
});
