import { useCallback } from 'react';
import type { Sayable } from '@maquette/core/said';
import { inWords } from '@maquette/words';
import { useShownUnits } from './units-context.ts';

export type Say = (said: Sayable) => string;

/** Puts what the core says into words, in the units of what is shown. */
export function useSay(): Say {
  const units = useShownUnits();
  return useCallback((said: Sayable) => inWords(said, units), [units]);
}
