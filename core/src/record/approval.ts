import type { Approval } from './facts.ts';

/** How an answer stands against what is asked now. */
export interface ApprovalStanding {
  approval: Approval;
  /** It was given for an earlier price or day than now: it is asked again. */
  isStale: boolean;
  /** What it costs more now, cents; less is under nothing. */
  moreCents: number;
  /** Days the promised day lies later now; earlier is under nothing. Null where one of the two has no day. */
  laterDays: number | null;
}

const DAY_MS = 86_400_000;
const dayNumber = (day: string) => Date.parse(`${day}T00:00:00Z`) / DAY_MS;

/**
 * The newest answer about something, held against its price and day as they are now. Within the tolerance it stands; a price or a
 * day that went up by more makes it one for an earlier plan. A refusal stands in the same way.
 *
 * @param answers - newest last
 * @param tolerance - how much a price (cents) and a day (days) may go up without being asked again
 */
export function approvalStanding(
  answers: readonly Approval[],
  about: string,
  now: { cents: number; promisedDay: string },
  tolerance: { cents: number; days: number } = { cents: 0, days: 0 },
): ApprovalStanding | null {
  const approval = answers.findLast((one) => one.about === about);
  if (!approval) return null;
  const moreCents = now.cents - approval.cents;
  const isDated = approval.promisedDay !== '' && now.promisedDay !== '';
  const laterDays = isDated ? dayNumber(now.promisedDay) - dayNumber(approval.promisedDay) : null;
  // A day that was promised and is gone is no day that was agreed to.
  const isUndated = approval.promisedDay !== '' && now.promisedDay === '';
  return {
    approval,
    isStale: moreCents > tolerance.cents || isUndated || (laterDays ?? 0) > tolerance.days,
    moreCents,
    laterDays,
  };
}
