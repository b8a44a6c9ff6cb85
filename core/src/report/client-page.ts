import { centsWords } from '../bill/index.ts';
import type { Block, Paper } from '../paper/index.ts';
import type { Approval } from '../record/index.ts';
import { approvalStanding } from '../record/index.ts';
import { dayOf, moment, say, type Sayable } from '../said/index.ts';
import { careOf } from './page-left.ts';
import { verdictPage } from './page-verdict.ts';
import type { ReportJob } from './report-job.ts';

/** Something a client decides: what it is, what it costs with tax, the day four of five such jobs keep, and what it leaves open. */
export interface Decision {
  about: string;
  what: Sayable;
  cents: number;
  promisedDay: string;
  leaves: readonly Sayable[];
}

/** What is not settled of a room, as it stands under a decision. */
export const openIn = (room: string, title: Sayable): Sayable => say('report.inRoom', { room, what: title });

/** How a decision stands, as a client reads it. */
export function standingWords(
  answers: readonly Approval[],
  { about, cents, promisedDay }: Decision,
  currency: string,
): Sayable {
  const standing = approvalStanding(answers, about, { cents, promisedDay });
  if (!standing) return say('report.waitsForYou');
  const { approval, isStale, moreCents, laterDays } = standing;
  if (isStale)
    return say('report.earlierPlan', {
      more: centsWords(moreCents, currency),
      days: laterDays ?? 0,
    });
  const of = { by: approval.by, at: moment(approval.givenAt) };
  return approval.isApproved ? say('report.approvedBy', of) : say('report.refusedBy', of);
}

const priceWords = ({ cents, promisedDay }: Decision, currency: string): Sayable =>
  promisedDay === ''
    ? say('report.costsUndated', { sum: centsWords(cents, currency) })
    : say('report.costsBy', { sum: centsWords(cents, currency), day: dayOf(`${promisedDay}T12:00:00.000Z`) });

/** What a client is shown: how the rooms stand, what is to be decided and what it costs. Nothing of costs, notes, keys, or other jobs. */
export function clientPage(job: ReportJob, decisions: readonly Decision[]): Paper {
  const first = verdictPage(job);
  const blocks: Block[] = decisions.flatMap((one): Block[] => [
    { is: 'heading', text: one.what },
    { is: 'text', text: priceWords(one, job.currency) },
    ...(one.leaves.length > 0 ? [{ is: 'list' as const, items: one.leaves }] : []),
    { is: 'text', text: standingWords(job.approvals, one, job.currency) },
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
