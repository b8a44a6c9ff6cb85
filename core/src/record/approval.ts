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

/** How much a price (cents) and a day (days) may go up unasked: whole cents and days. */
export interface ApprovalTolerance {
  cents: number;
  days: number;
}

const DAY_MS = 86_400_000;
/** A day, `2027-01-20`, as a count of days. */
export const dayNumber = (day: string): number => Date.parse(`${day}T00:00:00Z`) / DAY_MS;

/**
 * The newest answer about something, held against its price and day as they are now. As far up as was agreed when it was given it
 * stands; a price or a day that went up by more makes it one for an earlier plan. A refusal stands in the same way.
 *
 * @param answers - newest last
 */
export function approvalStanding(
  answers: readonly Approval[],
  about: string,
  now: { cents: number; promisedDay: string; isBegun: boolean },
): ApprovalStanding | null {
  const approval = answers.findLast((one) => one.about === about);
  if (!approval) return null;
  const moreCents = now.cents - approval.cents;
  const isDated = approval.promisedDay !== '' && now.promisedDay !== '';
  const laterDays = isDated ? dayNumber(now.promisedDay) - dayNumber(approval.promisedDay) : null;
  // A day that was promised and is gone is no day that was agreed to; once planks are begun in every room none is waited for.
  const isUndated = approval.promisedDay !== '' && now.promisedDay === '';
  const isLater = !now.isBegun && (isUndated || (laterDays ?? 0) > approval.unaskedDays);
  return {
    approval,
    isStale: moreCents > approval.unaskedCents || isLater,
    moreCents,
    laterDays,
  };
}
