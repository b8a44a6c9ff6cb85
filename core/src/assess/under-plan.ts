import { panelsOfJob, type PanelsOfJob } from './panel-job.ts';
import { rollsOfJob, type RollsOfJob } from './roll-job.ts';
import type { RoomSet } from './room-set.ts';

/** What all rooms of a job take under their planks, planned together: panels first, which take the longest, then rolls. */
export interface UnderPlan {
  panels: PanelsOfJob[];
  rolls: RollsOfJob[];
}

/** `mayPanel` says whether panels may be planned in a room at all: one where they may not counts in no cut list. */
export function underPlanOf(
  sets: readonly RoomSet[],
  tell: (share: number) => void = () => undefined,
  mayPanel: (set: RoomSet) => boolean = () => true,
): UnderPlan {
  const panelled = sets.filter((set) => set.underChoices.at(-1)?.panelId && mayPanel(set));
  const panels = panelsOfJob(panelled, (share) => tell(share * 0.7));
  const rolls = rollsOfJob(sets, (share) => tell(0.7 + share * 0.3));
  tell(1);
  return { panels, rolls };
}
