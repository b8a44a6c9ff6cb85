import { createContext, useCallback, useContext, type ReactNode } from 'react';
import type { Sayable } from '@maquette/core/said';
import type { UnitSystem } from '@maquette/core/units';
import { inWords } from '@maquette/words';

export type Say = (said: Sayable) => string;

const SayContext = createContext<Say | null>(null);

/** Shows what is in it in some units: the device's, and within a room the room's own. */
export function ShownIn({ units, children }: { units: UnitSystem; children: ReactNode }) {
  const say = useCallback((said: Sayable) => inWords(said, units), [units]);
  return <SayContext value={say}>{children}</SayContext>;
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
