import { outlineOf, type Polygon, type Start, type Wall } from '../room/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { offeredOf, outlinesOf, type DrawnUnit } from './outlines.ts';

type Pair = readonly [code: number, value: string | number];

/** A drawing by hand: pairs of group codes and values as the DXF reference lists them, R12 unless a unit is named. */
export function drawing(entities: readonly Pair[], { unit = 0, blocks = [] as readonly Pair[] } = {}): string {
  const pairs: Pair[] = [
    ...section(
      'HEADER',
      unit > 0
        ? [
            [9, '$INSUNITS'],
            [70, unit],
          ]
        : [],
    ),
    ...section('BLOCKS', blocks),
    ...section('ENTITIES', entities),
    [0, 'EOF'],
  ];
  return `${pairs.map(([code, value]) => `${String(code).padStart(3)}\n${value}`).join('\n')}\n`;
}

const section = (name: string, held: readonly Pair[]): Pair[] => [[0, 'SECTION'], [2, name], ...held, [0, 'ENDSEC']];

export const line = (layer: string, x1: number, y1: number, x2: number, y2: number): Pair[] => [
  [0, 'LINE'],
  [8, layer],
  [10, x1],
  [20, y1],
  [11, x2],
  [21, y2],
];

/** A closed polyline; a third figure of a corner is its bulge. `numbered` gives each corner the number later versions write. */
export const closed = (layer: string, corners: readonly (readonly number[])[], numbered = false): Pair[] => [
  [0, 'LWPOLYLINE'],
  [8, layer],
  [90, corners.length],
  [70, 1],
  ...corners.flatMap(([x, y, bulge], i): Pair[] => [
    [10, x!],
    [20, y!],
    ...(numbered ? [[91, i + 1] as const] : []),
    ...(bulge ? [[42, bulge] as const] : []),
  ]),
];

export const word = (layer: string, x: number, y: number, text: string, height = 0.2): Pair[] => [
  [0, 'TEXT'],
  [8, layer],
  [10, x],
  [20, y],
  [40, height],
  [1, text],
];

/** What a file of outlines offers. */
export const offered = (text: string, unit: DrawnUnit | null = null, units: UnitSystem = 'metric') =>
  offeredOf(outlinesOf(text), units, unit);

export const lengths = ({ walls }: { walls: readonly Wall[] }) => walls.map(({ lengthMm }) => lengthMm);

export const cornersOf = ({ walls, start }: { walls: readonly Wall[]; start: Start }): Polygon =>
  outlineOf(walls, start).corners;
