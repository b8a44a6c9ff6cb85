import { figure, kind, parent, text } from '../fields/index.ts';

/** A default of the trade as one job has it: a rate, a price, a limit. */
export const figures = kind('job', 'Figure', {
  jobId: parent('jobs'),
  name: text(60),
  value: figure(0, 1e6),
  source: text(300),
});
