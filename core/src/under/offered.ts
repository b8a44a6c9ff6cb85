import type { FilmCard, UnderCards, UnderlayCard } from './card-facts.ts';
import { filmFigures, underlayFigures } from './needs.ts';
import type { UnderOption } from './option.ts';
import { NO_UNDERLAY, type RankedFigures } from './rank.ts';

/** An underlay, a film, both or neither, by their cards. */
export interface Offered {
  id: string;
  underlay: UnderlayCard | null;
  film: FilmCard | null;
}

const idOf = (underlay: UnderlayCard | null, film: FilmCard | null) => `${underlay?.id ?? '-'}/${film?.id ?? '-'}`;
export const offer = (underlay: UnderlayCard | null, film: FilmCard | null): Offered => ({
  id: idOf(underlay, film),
  underlay,
  film,
});

/** Everything that could be laid: nothing, each film, each underlay, and each underlay over each film where it has none of its own. */
export const offeredBy = ({ underlays, films }: Pick<UnderCards, 'underlays' | 'films'>): Offered[] =>
  [null, ...underlays].flatMap((underlay) =>
    [null, ...(underlay && underlay.filmSdM > 0 ? [] : films)].map((film) => offer(underlay, film)),
  );

export const optionOf = ({ id, underlay, film }: Offered): UnderOption => ({
  id,
  underlay: underlay && underlayFigures(underlay),
  film: film && filmFigures(film),
});

/** What an option is ranked by. Figures of two layers are added where they add: cost, thickness, resistance to heat. */
export const rankedFigures = ({ underlay, film }: Offered): RankedFigures => ({
  ...NO_UNDERLAY,
  cost: (underlay?.costM2 ?? 0) + (film?.costM2 ?? 0),
  stepDb: underlay?.stepDb ?? 0,
  rM2KW: (underlay?.rM2KW ?? 0) + (film?.rM2KW ?? 0),
  thicknessMm: (underlay?.thicknessMm ?? 0) + (film?.thicknessMm ?? 0),
  // An underlay that does not say how firm it is counts as the softest.
  kPa: underlay ? (underlay.kPa ?? 0.001) : null,
});
