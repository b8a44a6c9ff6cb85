import { FIGURES, LEVELLING_FIGURES, type FigureName } from '@maquette/core/figures';
import { compoundFigures, SHIPPED_COMPOUNDS } from '@maquette/core/levelling';
import type { NamedFigure } from '../figures-fold.tsx';

/** Figures of the whole job that levelling shares with other work. */
const SHARED: readonly FigureName[] = ['labour-h', 'hours-a-day', 'grinder-day', 'extractor-day'];

/** Everything levelling is reckoned with: limits and rates, shared prices, then each product as its bag describes it. */
export function levelFigures(): NamedFigure[] {
  const names = [...(Object.keys(LEVELLING_FIGURES) as FigureName[]), ...SHARED];
  return [...names.map((name): NamedFigure => [name, FIGURES[name]]), ...SHIPPED_COMPOUNDS.flatMap(compoundFigures)];
}
