import type { FlatState } from '../flat/index.ts';

/** Lines of sight of the set-ups that are tied to a room's datum, mm over it. */
export const sightOf = (state: Pick<FlatState, 'heights'> | null): Map<string, number> =>
  new Map(
    (state?.heights.setups ?? []).flatMap(({ setup, sightMm }) => (sightMm === null ? [] : [[setup.id, sightMm]])),
  );
