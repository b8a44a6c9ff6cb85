import { createContext, useCallback, useContext, type ReactNode } from 'react';
import type { Sayable } from '@maquette/core/said';
import type { UnitSystem } from '@maquette/core/units';
import { inWords, timesIn, type Times } from '@maquette/words';

export type Say = (said: Sayable) => string;

const SayContext = createContext<Say | null>(null);

const TimesContext = createContext<Times>(timesIn(''));

/** Shows what is in it in some units and by some clock: the device's, and within a room the room's and its job's own. */
export function ShownIn({ units, zone = '', children }: { units: UnitSystem; zone?: string; children: ReactNode }) {
  const say = useCallback((said: Sayable) => inWords(said, units, zone), [units, zone]);
  return (
    <SayContext value={say}>
      <TimesContext value={timesIn(zone)}>{children}</TimesContext>
    </SayContext>
  );
}

/**
 * Puts what the core says into words, in the units of what is shown.
 * @throws where nothing around says which those are: a figure in the wrong ones is worse than none
 */
export function useSay(): Say {
  const say = useContext(SayContext);
  if (!say) throw new Error('Nothing says which units are shown here');
  return say;
}

/** Times by the clock of what is shown: the site's where its job names one, else the device's. */
export const useTimes = (): Times => useContext(TimesContext);
