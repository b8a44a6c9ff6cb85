/** What a job costs part by part, for whoever holds it against its stages. */
export { costsOfJob } from './bill-of-job.ts';
export { centsOf, type StageCost } from './stage-cost.ts';
