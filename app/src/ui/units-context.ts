import { createContext, useContext } from 'react';
import type { UnitSystem } from '@maquette/core/units';

/** The units of what is shown: the device's, and within a room the room's own. */
export const UnitsContext = createContext<UnitSystem>('metric');

export const useShownUnits = () => useContext(UnitsContext);
