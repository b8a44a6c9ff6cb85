import type { Quotation } from '../bill/facts.ts';
import { siteDay, type JobCourse } from '../planning/index.ts';
import { dayNumber, type Approval } from '../record/index.ts';
import { say, type Sayable } from '../said/index.ts';

/** What a client is asked: what it is, what it costs with tax in cents, the day four of five draws keep, what it leaves open. */
export interface Decision {
  about: string;
  what: Sayable;
  cents: number;
  /** Empty where no day can be promised. */
  promisedDay: string;
  /** Planks are begun in every room: no day is waited for any more. */
  isBegun: boolean;
  leaves: readonly Sayable[];
}

/** What a decision about the job as a whole is about. */
export const ABOUT_PLAN = 'plan';

/** What is not settled of a room, as it stands under a decision. */
const openIn = (room: string, title: Sayable): Sayable => say('report.inRoom', { room, what: title });

/** A quotation holds for its days on the site's calendar, and from then on where it was answered: until then its price is the one that is asked. */
function holds(
  { givenAt, validDays }: Quotation,
  { today, zone }: JobCourse['days'],
  answers: readonly Approval[],
): boolean {
  const isAnswered = answers.some((one) => one.about === ABOUT_PLAN && one.givenAt >= givenAt);
  return isAnswered || dayNumber(today) <= dayNumber(siteDay(zone, givenAt)) + validDays;
}

/** What the job as a whole is asked as: as it was quoted, or as it is priced, with the quotation that held before named. */
function wholeJob(given: Quotation | null, isHeld: boolean): Sayable {
  if (!given) return say('report.jobAsPriced');
  const { number } = given;
  return isHeld ? say('report.jobAsQuoted', { number }) : say('report.jobRepriced', { number });
}

/** Whether planks are begun in every room of a job: no laying of any is still to come. */
function begunEverywhere({ none, rooms, tasks }: JobCourse['days']): boolean {
  const begun = new Set(
    tasks.filter(({ isLaying, doneAt }) => isLaying && doneAt !== null).map(({ roomId }) => roomId),
  );
  const isToCome = tasks.some(({ isLaying, doneAt }) => isLaying && doneAt === null);
  return none === null && !isToCome && rooms.length > 0 && rooms.every(({ id }) => begun.has(id));
}

/**
 * What a client decides: the job as it was quoted or as it is priced, and every change that was found. A price is the one that was
 * given while it holds; a day is the one of the plan as it is, whatever was promised before.
 */
export function decisionsOf({ days, price, changes }: JobCourse, answers: readonly Approval[]): Decision[] {
  const withTax = (cents: number) => (price.net > 0 ? Math.round((cents * price.gross) / price.net) : cents);
  const isHeld = price.given !== null && holds(price.given, days, answers);
  const isBegun = begunEverywhere(days);
  return [
    {
      about: ABOUT_PLAN,
      what: wholeJob(price.given, isHeld),
      cents: price.given && isHeld ? price.given.grossCents : price.gross,
      promisedDay: days.chances.p80.laying?.day ?? '',
      isBegun,
      leaves: days.caveats.map(({ roomId, title }) =>
        openIn(days.rooms.find(({ id }) => id === roomId)?.name ?? '', title),
      ),
    },
    ...changes
      .filter(({ surprise }) => surprise.state !== 'may-come')
      .map(({ surprise, netCents, after }) => ({
        about: surprise.id,
        what: surprise.what,
        cents: withTax(netCents),
        promisedDay: after.laying?.day ?? '',
        isBegun,
        leaves: [],
      })),
  ];
}
