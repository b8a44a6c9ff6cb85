import { useMemo } from 'react';
import { planOf, type Plan, type Shaped } from '@maquette/core/room';

/** A room as it is drawn: the same object while nothing that shapes it has changed. */
export function usePlan({ walls, start, diagonals, fixtures }: Shaped): Plan {
  return useMemo(
    () =>
      planOf({
        walls,
        ...(start ? { start } : {}),
        ...(diagonals ? { diagonals } : {}),
        ...(fixtures ? { fixtures } : {}),
      }),
    [walls, start, diagonals, fixtures],
  );
}
