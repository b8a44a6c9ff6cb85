import type { Sayable } from '../said/index.ts';

/** Ink of a drawing: black and the greys and colours that read without colour as well. */
export type Ink = 'ink' | 'quiet' | 'rule' | 'high' | 'low' | 'good' | 'none';

/** A line or an area: an SVG path of M, L and Z in the drawing’s own units. */
export interface PathMark {
  path: string;
  stroke: Ink;
  fill?: Ink;
  /** How much of the fill is seen, 0 to 1. */
  fillShare?: number;
  width: number;
  dash?: readonly number[];
  /** It is seen within this path alone. */
  clip?: string;
}

export interface TextMark {
  text: Sayable;
  x: number;
  y: number;
  size: number;
  ink: Ink;
  anchor: 'start' | 'middle' | 'end';
  bold?: boolean;
}

/** A drawing in units of its own, y downwards: whoever shows it makes it as large as there is room for. */
export interface Drawing {
  width: number;
  height: number;
  marks: readonly (PathMark | TextMark)[];
}

const round = (value: number) => Math.round(value * 100) / 100;

/** A path through points, closed where it is an outline. */
export const pathOf = (points: readonly (readonly [number, number])[], closed = false): string =>
  points.length === 0 ? '' : `M${points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}${closed ? 'Z' : ''}`;

/** A rectangle. */
export const boxPath = (x: number, y: number, width: number, height: number): string =>
  pathOf(
    [
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ],
    true,
  );
