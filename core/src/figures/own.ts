import type { UnitSystem } from '../units/index.ts';
import type { FigureName } from './figures.ts';
import { usualOf } from './imperial.ts';

/** A job's own value for a figure, with where it comes from. */
export interface OwnFigure {
  name: string;
  value: number;
  source: string;
}

/** Looks a figure up: the job's own where there is one, else the default. */
export type FigureOf = (name: FigureName) => number;

/** Figures of a job in a room of some units. */
export function figuresOf(own: readonly OwnFigure[], units: UnitSystem = 'metric'): FigureOf {
  const byName = new Map(own.map((f) => [f.name, f.value]));
  return (name) => byName.get(name) ?? usualOf(name, units);
}
