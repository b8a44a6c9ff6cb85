import type { ReactNode } from 'react';
import type { UnitSystem } from '@maquette/core/units';
import { ShownIn } from './shown-in.tsx';

/** Options of a test's render: what is rendered is shown in these units. */
export const shownIn = (units: UnitSystem) => ({
  wrapper: ({ children }: { children: ReactNode }) => <ShownIn units={units}>{children}</ShownIn>,
});
