import { centsWords } from '../bill/index.ts';
import type { Block, Paper } from '../paper/index.ts';
import { jobFiguresOf, type AnyFigureOf } from '../figures/job-figures.ts';
import { approvalStanding, type Approval, type ApprovalTolerance } from '../record/index.ts';
import { dayOf, moment, say, type Sayable } from '../said/index.ts';
import type { Decision } from './decisions.ts';
import { careOf } from './page-left.ts';
import { verdictPage } from './page-verdict.ts';
import type { ReportJob } from './report-job.ts';

/** How much a price and a day may go up unasked as the job’s own figures have it, nothing where it has none: in whole cents and days. */
export const toleranceOf = (figure: AnyFigureOf): ApprovalTolerance => ({
  cents: Math.floor(100 * figure('asked-again-money') + ROUNDING),
  days: Math.floor(figure('asked-again-days')),
});
/** Far under a cent, and over what is lost of a sum in binary. */
const ROUNDING = 1e-6;

/** What became of a promised day: days as they stand in facts, empty where none is promised. */
function dayChange(was: string, now: string): 'same' | 'first' | 'gone' | 'later' | 'earlier' {
  if (was === now) return 'same';
  if (was === '') return 'first';
  if (now === '') return 'gone';
  return now > was ? 'later' : 'earlier';
}

/** When a client is asked again: as was agreed with an answer that stands, else as it is offered now. */
export function askedAgainWords(
  answers: readonly Approval[],
  decision: Decision,
  offered: ApprovalTolerance,
  currency: string,
): Sayable {
  const standing = approvalStanding(answers, decision.about, decision);
  const { cents, days } =
    standing && !standing.isStale
      ? { cents: standing.approval.unaskedCents, days: standing.approval.unaskedDays }
      : offered;
  return say('report.askedAgainOver', {
    money: cents > 0 ? 'some' : 'none',
    sum: centsWords(cents, currency),
    ease: days > 0 ? 'some' : 'none',
    days,
  });
}

/** How a decision stands, as a client reads it. */
export function standingWords(answers: readonly Approval[], decision: Decision, currency: string): Sayable {
  const standing = approvalStanding(answers, decision.about, decision);
  if (!standing) return say('report.waitsForYou');
  const { approval, isStale, moreCents, laterDays } = standing;
  if (isStale)
    return say('report.earlierPlan', {
      price: moreCents > 0 ? 'up' : moreCents < 0 ? 'down' : 'same',
      sum: centsWords(Math.abs(moreCents), currency),
      day: decision.isBegun ? 'begun' : dayChange(approval.promisedDay, decision.promisedDay),
      days: Math.abs(laterDays ?? 0),
    });
  const of = { by: approval.by, at: moment(approval.givenAt) };
  return approval.isApproved ? say('report.approvedBy', of) : say('report.refusedBy', of);
}

/** What it costs and when it is laid, as a client reads it. */
function priceWords({ cents, promisedDay, isBegun }: Decision, currency: string): Sayable {
  const sum = centsWords(cents, currency);
  if (isBegun) return say('report.costsBegun', { sum });
  return promisedDay === ''
    ? say('report.costsUndated', { sum })
    : say('report.costsBy', { sum, day: dayOf(`${promisedDay}T12:00:00.000Z`) });
}

/** What a client is shown: how the rooms stand, what is to be decided and what it costs. Nothing of costs, notes, keys, or other jobs. */
export function clientPage(job: ReportJob, decisions: readonly Decision[]): Paper {
  const first = verdictPage(job);
  const offered = toleranceOf(jobFiguresOf(job.figures));
  const blocks: Block[] = decisions.flatMap((one): Block[] => [
    { is: 'heading', text: one.what },
    { is: 'text', text: priceWords(one, job.currency) },
    ...(one.leaves.length > 0 ? [{ is: 'list' as const, items: one.leaves }] : []),
    { is: 'text', text: standingWords(job.approvals, one, job.currency) },
    { is: 'text', text: askedAgainWords(job.approvals, one, offered, job.currency) },
  ]);
  return {
    title: say('report.clientTitle', { job: job.name }),
    about: say('report.about', { job: job.name, day: dayOf(job.atUtc) }),
    foot: say('report.foot'),
    mark: '',
    code: null,
    pages: [
      first,
      {
        id: 'decide',
        title: say('report.toDecide'),
        under: '',
        flows: true,
        blocks: blocks.length > 0 ? blocks : [{ is: 'text', text: say('report.nothingToDecide') }],
      },
      {
        id: 'care',
        title: say('report.care'),
        under: '',
        flows: true,
        blocks: [
          { is: 'list', items: careOf(job.rooms) },
          { is: 'text', text: say('report.advises'), quiet: true },
        ],
      },
    ],
  };
}
