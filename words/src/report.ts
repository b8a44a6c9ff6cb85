import { report } from './en/report.ts';
import { reportHeads } from './en/report-heads.ts';
import { teach } from './index.ts';

/** What a report and the papers of a job say: fetched with what makes them. */
teach(report);
teach(reportHeads);
