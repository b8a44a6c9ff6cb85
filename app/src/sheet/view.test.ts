import { outlineOf, rectangleWalls } from '@maquette/core/room';
import { atOrigin, fitView, originTransform, panned, scaleBar, toMmPoint, toPx, zoomed } from './view.ts';

const corners = outlineOf(rectangleWalls(5400, 4200)).corners;
const view = fitView(corners, 390, 320);

test('the fitted room lies inside the sheet, y up', () => {
  for (const c of corners) {
    const [x, y] = toPx(view, c.xMm, c.yMm);
    expect(x).toBeGreaterThan(40);
    expect(x).toBeLessThan(350);
    expect(y).toBeGreaterThan(40);
    expect(y).toBeLessThan(280);
  }
  expect(toPx(view, 0, 4200)[1]).toBeLessThan(toPx(view, 0, 0)[1]);
});

test('to the screen and back is where it was', () => {
  const [x, y] = toMmPoint(view, ...toPx(view, 1234, 987));
  expect(x).toBeCloseTo(1234, 6);
  expect(y).toBeCloseTo(987, 6);
});

test('zooming keeps the point under the finger; panning moves the plan with it', () => {
  const before = toMmPoint(view, 100, 200);
  const after = toMmPoint(zoomed(view, 2, 100, 200, view), 100, 200);
  expect(after[0]).toBeCloseTo(before[0], 6);
  expect(after[1]).toBeCloseTo(before[1], 6);
  const [x] = toPx(panned(view, 30, -10), 0, 0);
  expect(x).toBeCloseTo(toPx(view, 0, 0)[0] + 30, 6);
  expect(zoomed(view, 1000, 0, 0, view).pxPerMm).toBeCloseTo(view.pxPerMm * 12, 9);
});

test('the scale bar is a round length of a readable size', () => {
  for (const units of ['metric', 'imperial'] as const) {
    const bar = scaleBar(view, units);
    expect(bar.px).toBeGreaterThan(45);
    expect(bar.px).toBeLessThan(145);
  }
});

test('what is drawn at the origin and shifted stands where the view would have drawn it', () => {
  const moved = panned(zoomed(view, 1.7, 40, 60, view), 25, -8);
  const [dx, dy] = /translate\((\S+) (\S+)\)/.exec(originTransform(moved))!.slice(1).map(Number) as [number, number];
  const [x, y] = toPx(atOrigin(moved.pxPerMm), 1234, 987);
  const [wantedX, wantedY] = toPx(moved, 1234, 987);
  expect(x + dx).toBeCloseTo(wantedX, 6);
  expect(y + dy).toBeCloseTo(wantedY, 6);
});
