import { panelsOfJob, type PanelsOfJob } from './panel-job.ts';
import { rollsOfJob, type RollsOfJob } from './roll-job.ts';
import type { RoomSet } from './room-set.ts';

/** What all rooms of a job take under their planks, planned together: panels first, which take the longest, then rolls. */
export interface UnderPlan {
  panels: PanelsOfJob[];
  rolls: RollsOfJob[];
}

export function underPlanOf(sets: readonly RoomSet[], tell: (share: number) => void = () => undefined): UnderPlan {
  const panels = panelsOfJob(sets, (share) => tell(share * 0.7));
  const rolls = rollsOfJob(sets, (share) => tell(0.7 + share * 0.3));
  tell(1);
  return { panels, rolls };
}
