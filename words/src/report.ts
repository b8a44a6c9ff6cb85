import { report } from './en/report.ts';
import { reportFloor } from './en/report-floor.ts';
import { reportHeads } from './en/report-heads.ts';
import { teach } from './index.ts';

/** What a report and the papers of a job say: fetched with what makes them. */
teach(report);
teach(reportFloor);
teach(reportHeads);
