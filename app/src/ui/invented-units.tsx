import type { ReactNode } from 'react';
import type { UnitSystem } from '@maquette/core/units';
import { UnitsContext } from './units-context.ts';

/** Options of a test's render: what is rendered is shown in these units. */
export const shownIn = (units: UnitSystem) => ({
  wrapper: ({ children }: { children: ReactNode }) => <UnitsContext value={units}>{children}</UnitsContext>,
});
