export { EDITION } from './edition.ts';
export { careOf } from './page-left.ts';
export { claimRows, type ClaimRow } from './claim-rows.ts';
export { coverWords } from './page-choices.ts';
export { reportOf } from './report.ts';
export {
  type CorrectedFact,
  type ReportJob,
  reportRoom,
  type ReportPhoto,
  type ReportRoom,
  type SkewedClock,
} from './report-job.ts';
