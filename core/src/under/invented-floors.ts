import { regionOf, without, type Polygon, type Region } from '../room/index.ts';
import { seeded } from '../units/index.ts';
import type { FloorToRoll } from './roll-plan.ts';

const box = (x: number, y: number, a: number, b: number): Polygon => [
  { xMm: x, yMm: y },
  { xMm: x + a, yMm: y },
  { xMm: x + a, yMm: y + b },
  { xMm: x, yMm: y + b },
];

/** The floor of the worked examples: 5.2 x 4.4 m less 2.2 x 2.0 at its upper right. */
export const L_FLOOR: FloorToRoll = {
  id: 'l',
  outline: [
    { xMm: 0, yMm: 0 },
    { xMm: 5200, yMm: 0 },
    { xMm: 5200, yMm: 2400 },
    { xMm: 3000, yMm: 2400 },
    { xMm: 3000, yMm: 4400 },
    { xMm: 0, yMm: 4400 },
  ],
  islands: [],
  planks: 'x',
};

/** An invented floor, the same for a seed: a rectangle, or one that lacks a corner; some with a hearth. */
export function inventedFloor(seed: number): FloorToRoll {
  const draw = seeded(seed * 7919 + 11);
  const round = (mm: number) => Math.round(mm / 10) * 10;
  const [a, b] = [round(2200 + draw() * 3800), round(1900 + draw() * 3000)];
  const isL = draw() < 0.5;
  const [c, d] = [round(a * (0.25 + 0.3 * draw())), round(b * (0.25 + 0.3 * draw()))];
  const outline: Polygon = isL
    ? [
        { xMm: 0, yMm: 0 },
        { xMm: a, yMm: 0 },
        { xMm: a, yMm: b - d },
        { xMm: a - c, yMm: b - d },
        { xMm: a - c, yMm: b },
        { xMm: 0, yMm: b },
      ]
    : box(0, 0, a, b);
  const hasHearth = draw() < 0.25;
  const islands = hasHearth ? [box(round(a / 3), 1, 900, 450)] : [];
  return { id: `floor-${seed}`, outline, islands, planks: draw() < 0.5 ? 'x' : 'y' };
}

/** That floor as a field of panels. */
export const fieldOf = ({ outline, islands }: FloorToRoll): Region =>
  without(regionOf(outline), ...islands.map((island) => regionOf(island)));

/** Floors of an invented job: two to six of them. */
export const inventedFloors = (seed: number): FloorToRoll[] =>
  Array.from({ length: 2 + (seed % 5) }, (_, k) => ({ ...inventedFloor(seed * 10 + k), id: `floor-${seed}-${k}` }));
