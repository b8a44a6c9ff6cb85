import type { LevellingWork, PredictedStation } from './facts.ts';

/** A station that the work moved by more than this no longer stands as it was read, mm. */
const MOVED_MM = 0.3;

/** Whether work moved a station so far that it has to be read again. */
export const moved = ({ beforeMm, afterMm }: PredictedStation) => Math.abs(afterMm - beforeMm) > MOVED_MM;

/** For each station the last time work moved it: readings from before say nothing of what lies there now. */
export function movedAt(works: readonly LevellingWork[]): Map<string, string> {
  const at = new Map<string, string>();
  for (const work of works)
    for (const station of work.predicted)
      if (moved(station) && work.doneAt > (at.get(station.stationKey) ?? '')) at.set(station.stationKey, work.doneAt);
  return at;
}
