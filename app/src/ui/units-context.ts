import { createContext, useContext } from 'react';
import type { UnitSystem } from '@maquette/core/units';

/** The units of what is shown: the device's, and within a room the room's own. */
export const UnitsContext = createContext<UnitSystem | null>(null);

/** @throws where nothing around says which units are shown: a figure in the wrong ones is worse than none */
export function useShownUnits(): UnitSystem {
  const units = useContext(UnitsContext);
  if (!units) throw new Error('Nothing says which units are shown here');
  return units;
}
