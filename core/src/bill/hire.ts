import type { Cents } from './money.ts';

/** What a machine costs to keep: a day, the way there and back, and longer times as they are priced. */
export interface HireRate {
  dayCents: Cents;
  tripCents: Cents;
  /** Price of a whole week, and of Saturday and Sunday together; null where neither is cheaper than its days. */
  weekCents: Cents | null;
  weekendCents: Cents | null;
}

/** One time of keeping it, from a day to a day, both counted. */
export interface HireStretch {
  fromDay: number;
  toDay: number;
  cents: Cents;
}

const WEEK = 7;

/** What so many days from one on cost, the cheapest of days, weekends and weeks; `weekday` of day 0, Sunday being 0. */
function keptFor(fromDay: number, days: number, rate: HireRate, weekday: number): Cents {
  const least = new Array<Cents>(days + 1).fill(0);
  for (let left = 1; left <= days; left++) {
    // The last so many days of the stretch.
    const day = fromDay + days - left;
    const of = (((weekday + day) % WEEK) + WEEK) % WEEK;
    let best = least[left - 1]! + rate.dayCents;
    if (rate.weekCents !== null) best = Math.min(best, least[Math.max(0, left - WEEK)]! + rate.weekCents);
    if (rate.weekendCents !== null && of === 6)
      best = Math.min(best, least[Math.max(0, left - 2)]! + rate.weekendCents);
    least[left] = best;
  }
  return least[days]!;
}

/**
 * Days of use put together while it costs no more to keep the machine over the idle days than to bring it back and fetch it again.
 *
 * @param days - days on which it is used, counted from the first day of the plan
 */
export function hireOf(
  days: readonly number[],
  rate: HireRate,
  weekday = 1,
): { stretches: HireStretch[]; cents: Cents } {
  const used = [...new Set(days)].sort((a, b) => a - b);
  const spans: [number, number][] = [];
  for (const day of used) {
    const last = spans.at(-1);
    const idle = last ? day - last[1] - 1 : 0;
    if (last && keptFor(last[1] + 1, idle, rate, weekday) <= rate.tripCents) last[1] = day;
    else spans.push([day, day]);
  }
  const stretches = spans.map(([fromDay, toDay]): HireStretch => ({
    fromDay,
    toDay,
    cents: keptFor(fromDay, toDay - fromDay + 1, rate, weekday) + rate.tripCents,
  }));
  return { stretches, cents: stretches.reduce((sum, { cents }) => sum + cents, 0) };
}

/** Whether buying it costs less than hiring it, what it sells for afterwards taken off. */
export const isBoughtCheaper = (hireCents: Cents, buyCents: Cents, resaleCents: Cents): boolean =>
  buyCents - resaleCents < hireCents;
