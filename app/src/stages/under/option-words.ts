import type { Offered, RankWeights } from '@maquette/core/under';

/** An option by the names on its cards. */
export const optionName = ({ underlay, film }: Offered): string =>
  underlay && film
    ? `${underlay.name} over ${film.name.charAt(0).toLowerCase()}${film.name.slice(1)}`
    : (underlay?.name ?? film?.name ?? 'Nothing under the planks');

export const TERM_WORDS: Record<keyof RankWeights, string> = {
  cost: 'Cost',
  sound: 'Step noise',
  heat: 'Warmth',
  thin: 'Thinness',
  firm: 'Firmness',
};
