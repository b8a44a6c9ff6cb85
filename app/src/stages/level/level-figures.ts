import { FIGURES, LEVELLING_FIGURES, type FigureName } from '@maquette/core/figures';
import { compoundFigures, compoundsFor, hasSulfate, SHIPPED_COMPOUNDS } from '@maquette/core/levelling';
import type { RoomFacts } from '@maquette/core/room';
import type { NamedFigure } from '../named-figure.ts';

/** Figures of the whole job that levelling shares with other work. */
const SHARED: readonly FigureName[] = ['labour-h', 'hours-a-day', 'grinder-day', 'extractor-day'];

/** Everything levelling of a room is reckoned with: limits and rates, shared prices, then each product for its base as its bag describes it. */
export function levelFigures(room: Pick<RoomFacts, 'baseKind' | 'secondBase'>): NamedFigure[] {
  const compounds = compoundsFor(SHIPPED_COMPOUNDS, hasSulfate(room.baseKind, room));
  const names = [...(Object.keys(LEVELLING_FIGURES) as FigureName[]), ...SHARED];
  return [...names.map((name): NamedFigure => [name, FIGURES[name]]), ...compounds.flatMap(compoundFigures)];
}
