import { regionOf, without, type Polygon, type Region } from '../room/index.ts';
import { seeded } from '../units/index.ts';
import type { LaidPlank } from './plank.ts';

/** Planks of the worked table: 1290 x 192, ends and stagger 300, a cut of 3. */
export const CLICK_1290: LaidPlank = {
  lengthMm: 1290,
  widthMm: 192,
  kerfMm: 3,
  leastEndMm: 300,
  staggerMm: 300,
  secondStaggerMm: 300,
  leastRowMm: 60,
  ends: 'click',
  trimMm: 0,
};

export const outline = (...at: [number, number][]): Polygon => at.map(([xMm, yMm]) => ({ xMm, yMm }));
export const boxAt = (x: number, y: number, width: number, depth: number): Polygon =>
  outline([x, y], [x + width, y], [x + width, y + depth], [x, y + depth]);

/** An invented floor in the laying frame, the same for a seed: a rectangle, an L, or one with a bay that slants; some round a hearth. */
export function inventedRows(seed: number): Region {
  const draw = seeded(seed * 9176 + 5);
  const round = (mm: number) => Math.round(mm / 10) * 10;
  const [a, b] = [round(2600 + draw() * 3600), round(2200 + draw() * 3000)];
  const kind = draw();
  const [c, d] = [round(a * (0.25 + 0.25 * draw())), round(b * (0.25 + 0.25 * draw()))];
  const shape =
    kind < 0.45
      ? boxAt(0, 0, a, b)
      : kind < 0.75
        ? outline([0, 0], [a, 0], [a, b - d], [a - c, b - d], [a - c, b], [0, b])
        : outline(
            [0, 0],
            [a, 0],
            [a, b],
            [a - c, b],
            [a - c - 400, b + 600],
            [c + 400 < a - c - 400 ? c + 400 : c, b + 600],
            [c, b],
            [0, b],
          );
  const hearth = draw() < 0.3 ? [regionOf(boxAt(round(a / 3), 1, 900, 450))] : [];
  return without(regionOf(shape), ...hearth);
}
