import type { Height } from './heights.ts';

/** A station with the height it had and the height the work was to give it, mm over the datum. */
export interface PredictedStation {
  stationKey: string;
  xMm: number;
  yMm: number;
  beforeMm: number;
  afterMm: number;
}

/** Levelling that was done: what with, in what weather, and what it was to lead to. */
export interface LevellingWork {
  id: string;
  way: string;
  doneAt: string;
  product: string;
  batch: string;
  bagsPlanned: number;
  /** Null where none was counted. */
  bagsUsed: number | null;
  tempC: number | null;
  rhPercent: number | null;
  note: string;
  predicted: PredictedStation[];
}

/** Ways that levelling is done by. */
export const WAY_IDS = ['mixed', 'fill', 'grind', 'ramp', 'plane', 'panel'] as const;

/** What a job can hold of it, with the ranges taken. */
export const WORK_RANGES = {
  bags: { min: 0, max: 2000 },
  tempC: { min: -10, max: 45 },
  rhPercent: { min: 5, max: 100 },
} as const;
export const WORK_STATIONS_MOST = 3000;

/** A station that the work moved by more than this no longer stands as it was read, mm. */
export const MOVED_MM = 0.3;

const moved = ({ beforeMm, afterMm }: PredictedStation) => Math.abs(afterMm - beforeMm) > MOVED_MM;

/** For each station the last time work moved it: readings from before say nothing of what lies there now. */
export function movedAt(works: readonly LevellingWork[]): Map<string, string> {
  const at = new Map<string, string>();
  for (const work of works)
    for (const station of work.predicted)
      if (moved(station) && work.doneAt > (at.get(station.stationKey) ?? '')) at.set(station.stationKey, work.doneAt);
  return at;
}

/** One station read again after the work. */
export interface AchievedStation extends PredictedStation {
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
