import type { LevellingWork, PredictedStation } from './facts.ts';
import { moved } from './moved.ts';
import type { Height } from './heights.ts';

/** One station read again after the work. */
interface AchievedStation extends PredictedStation {
  achievedMm: number;
  /** Achieved less predicted: over nothing where too much was left, under where too much was taken or filled. */
  offMm: number;
}

/** How a piece of work came out: what was read again, what still waits for it. */
export interface Achieved {
  work: LevellingWork;
  reread: AchievedStation[];
  waiting: PredictedStation[];
  /** Root mean square and largest distance from the prediction, mm; null while nothing is read again. */
  rmsOffMm: number | null;
  worst: AchievedStation | null;
}

/** Predicted against achieved for every piece of work, newest first. Only stations that the work moved are weighed. */
export function achievedOf(works: readonly LevellingWork[], heights: readonly Height[]): Achieved[] {
  const byStation = new Map(heights.map((h) => [h.stationKey, h]));
  return [...works]
    .sort((a, b) => (a.doneAt < b.doneAt ? 1 : -1))
    .map((work) => {
      const reread: AchievedStation[] = [];
      const waiting: PredictedStation[] = [];
      for (const station of work.predicted.filter(moved)) {
        const now = byStation.get(station.stationKey);
        if (!now || now.takenAt < work.doneAt) waiting.push(station);
        else reread.push({ ...station, achievedMm: now.heightMm, offMm: now.heightMm - station.afterMm });
      }
      reread.sort((a, b) => Math.abs(b.offMm) - Math.abs(a.offMm));
      const squares = reread.reduce((sum, s) => sum + s.offMm ** 2, 0);
      return {
        work,
        reread,
        waiting,
        rmsOffMm: reread.length === 0 ? null : Math.sqrt(squares / reread.length),
        worst: reread[0] ?? null,
      };
    });
}
