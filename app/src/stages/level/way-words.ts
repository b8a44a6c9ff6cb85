import type { WayId } from '@maquette/core/levelling';

/** What can be chosen: programmed ways, a pour to one level, panels over timber. */
export type ChoiceId = WayId | 'plane' | 'panel';

/** What each is called. */
export const WAY_WORDS: Record<ChoiceId, string> = {
  mixed: 'Grind the highs, fill the lows',
  grind: 'Grind only',
  fill: 'Fill only',
  ramp: 'Meet the threshold',
  plane: 'Pour to one level',
  panel: 'Panel over',
};

/** In which order they stand: always this, for a list that sorts itself as costs come in moves on under a finger. */
export const WAY_ORDER: readonly ChoiceId[] = ['ramp', 'mixed', 'grind', 'fill', 'plane', 'panel'];
