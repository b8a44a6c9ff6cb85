import { recordCode, squareCode, type Paper } from '../paper/index.ts';
import { dayOf, say } from '../said/index.ts';
import { annexes } from './annex.ts';
import { choicesPage } from './page-choices.ts';
import { claimPage } from './page-claim.ts';
import { dampPage } from './page-damp.ts';
import { heightsPage } from './page-heights.ts';
import { layersPage } from './page-layers.ts';
import { leftPage } from './page-left.ts';
import { levelsPage } from './page-levels.ts';
import { materialsPage } from './page-materials.ts';
import { verdictPage } from './page-verdict.ts';
import { verifyPage } from './page-verify.ts';
import { workPage } from './page-work.ts';
import type { ReportJob } from './report-job.ts';

const SHORT = 8;

/**
 * A job’s report: two plain pages for the client, the technical part, and annexes with all that it stands on. The same facts at
 * the same time make the same paper.
 */
export function reportOf(job: ReportJob): Paper {
  const { rooms, chain } = job;
  return {
    title: say('report.title', { job: job.name }),
    about: say('report.about', { job: job.name, day: dayOf(job.atUtc) }),
    foot: say('report.foot'),
    mark: chain ? say('report.chainMark', { from: chain.digest.slice(0, SHORT) }) : '',
    code: chain ? squareCode(recordCode(job.jobId, job.atUtc, 'chain', chain.digest)) : null,
    pages: [
      verdictPage(job),
      workPage(job),
      levelsPage(rooms),
      dampPage(rooms, job.atUtc),
      heightsPage(rooms),
      layersPage(rooms),
      materialsPage(job),
      choicesPage(job),
      claimPage(rooms),
      leftPage(job),
      verifyPage(job),
      ...annexes(job),
    ],
  };
}
