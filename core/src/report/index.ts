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
export { askedAgainWords, clientPage, standingWords, toleranceOf } from './client-page.ts';
export { type Decision, decisionsOf } from './decisions.ts';
export { handOverPaper, SIGNATURE_BOX } from './hand-over-page.ts';
export { bagPhotoId, coverPhotoId, type HoldPoint, holdPointsOf, missingOf, type WantedPhoto } from './hold-points.ts';
export {
  chalkSheet,
  cutSheet,
  daySheet,
  type FloorPaperOf,
  rampSheet,
  rollSheet,
  shoppingSheet,
  stationSheet,
} from './floor/index.ts';
export { packsOf } from './page-materials.ts';
