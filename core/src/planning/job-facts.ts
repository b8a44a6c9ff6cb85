import type { PackCount, Price, Quotation } from '../bill/facts.ts';
import type { OwnFigure } from '../figures/index.ts';
import type { KeptPlan, SiteDay, SiteWeek, TaskHold } from '../schedule/facts.ts';
import type { Furnishing, Surprise, WayIn } from './facts.ts';

/** Everything of a job besides its rooms that its days and its bill are made from, each list with the newest last. */
export interface JobFacts {
  jobId: string;
  name: string;
  /** IANA zone of the site. */
  zone: string;
  /** Country of the job, for its holidays where nobody has said which; null where it is not known. */
  country: string | null;
  figures: readonly OwnFigure[];
  siteWeeks: readonly SiteWeek[];
  siteDays: readonly SiteDay[];
  keptPlans: readonly KeptPlan[];
  taskHolds: readonly TaskHold[];
  furnishings: readonly Furnishing[];
  waysIn: readonly WayIn[];
  surprises: readonly Surprise[];
  prices: readonly Price[];
  packCounts: readonly PackCount[];
  quotations: readonly Quotation[];
}

/** A job of which nothing is known but its rooms. */
export const noJobFacts = (jobId: string, zone: string): JobFacts => ({
  jobId,
  name: '',
  zone,
  country: null,
  figures: [],
  siteWeeks: [],
  siteDays: [],
  keptPlans: [],
  taskHolds: [],
  furnishings: [],
  waysIn: [],
  surprises: [],
  prices: [],
  packCounts: [],
  quotations: [],
});
