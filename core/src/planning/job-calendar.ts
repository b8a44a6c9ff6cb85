import {
  calendarOf,
  HOLIDAY_PLACES,
  holidaysOf,
  type Calendar,
  type HolidayPlace,
  type Window,
} from '../schedule/index.ts';
import type { SiteDay, SiteWeek } from '../schedule/facts.ts';
import type { JobFacts } from './job-facts.ts';

/** Seven hours on weekdays, with half an hour at noon. */
export const USUAL_HOURS: SiteWeek['hours'] = [1, 2, 3, 4, 5].flatMap((weekday) => [
  { weekday, fromMin: 8 * 60, toMin: 12 * 60 },
  { weekday, fromMin: 12 * 60 + 30, toMin: 15 * 60 + 30 },
]);
/** Loud work stays within these hours unless the job says otherwise. */
export const USUAL_LOUD = { loudFromMin: 8 * 60, loudToMin: 18 * 60 };

/** So far ahead a job is planned, days: a base that dries takes half a year. */
const AHEAD_DAYS = 330;
const DAY_MS = 86_400_000;

/** Holidays a job goes by where nobody has chosen: those of its country, where they ship. */
export const usualHolidays = (country: string | null): SiteWeek['holidays'] =>
  HOLIDAY_PLACES.find((place) => place === country || place.split('-')[0] === country) ?? 'none';

/** The week a job goes by: its own, or the usual one. */
export function weekOf({
  siteWeeks,
  country,
}: Pick<JobFacts, 'siteWeeks' | 'country'>): Omit<SiteWeek, 'id' | 'jobId'> {
  return siteWeeks.at(-1) ?? { hours: USUAL_HOURS, holidays: usualHolidays(country), ...USUAL_LOUD, note: '' };
}

/** The calendars a job is planned by: its own, the hours for loud work, and those of other trades. */
export interface JobCalendars {
  calendar: Calendar;
  loud: Calendar;
  trades: Record<'sampler' | 'licensed', Calendar>;
}

const windowsOf = (week: Pick<SiteWeek, 'hours'>): Record<number, Window[]> => {
  const byDay: Record<number, Window[]> = {};
  for (const { weekday, fromMin, toMin } of week.hours)
    if (toMin > fromMin) byDay[weekday] = [...(byDay[weekday] ?? []), [fromMin, toMin] as const];
  return byDay;
};

/** Holidays of the years a plan runs through. */
function holidaysIn(place: HolidayPlace | 'none', firstDay: string): string[] {
  if (place === 'none') return [];
  const year = Number(firstDay.slice(0, 4));
  return [year, year + 1].flatMap((one) => holidaysOf(place, one));
}

const onDay = ({ isFree, fromMin, toMin }: SiteDay): Window[] => (isFree ? [] : [[fromMin, toMin]]);

/**
 * Calendars of a job from a day on.
 *
 * @param notice - days from `today` on which a trade does not come yet
 */
export function calendarsOf(
  facts: Pick<JobFacts, 'siteWeeks' | 'siteDays' | 'country' | 'zone'>,
  firstDay: string,
  today: string,
  notice: Record<'sampler' | 'licensed', number>,
): JobCalendars {
  const week = weekOf(facts);
  const days = AHEAD_DAYS + Math.round((Date.parse(today) - Date.parse(firstDay)) / DAY_MS);
  const own = (whose: SiteDay['whose']): Record<string, Window[]> =>
    Object.fromEntries(
      facts.siteDays.filter((one) => one.whose === whose && one.day !== '').map((one) => [one.day, onDay(one)]),
    );
  const holidays = Object.fromEntries(holidaysIn(week.holidays, firstDay).map((date) => [date, [] as Window[]]));
  const site = { ...holidays, ...own('site') };
  const usual = windowsOf(week);
  const ask = (windows: Record<number, Window[]>, days_: Record<string, Window[]>) =>
    calendarOf({ zone: facts.zone, firstDay, days, week: windows, own: days_ });
  const until = (noticeDays: number) =>
    Object.fromEntries(
      Array.from({ length: Math.ceil(noticeDays) }, (_, k) => [
        new Date(Date.parse(`${today}T00:00:00Z`) + k * DAY_MS).toISOString().slice(0, 10),
        [] as Window[],
      ]),
    );
  const quiet = (windows: readonly Window[]): Window[] =>
    windows.flatMap(([from, to]): Window[] => {
      const [start, end] = [Math.max(from, week.loudFromMin), Math.min(to, week.loudToMin)];
      return end > start ? [[start, end]] : [];
    });
  const quieted = (of: Record<string, readonly Window[]>) =>
    Object.fromEntries(Object.entries(of).map(([day, windows]) => [day, quiet(windows)]));
  return {
    calendar: ask(usual, site),
    loud: ask(quieted(usual), quieted(site)),
    trades: {
      sampler: ask(usual, { ...site, ...own('sampler'), ...until(notice.sampler) }),
      licensed: ask(usual, { ...site, ...own('licensed'), ...until(notice.licensed) }),
    },
  };
}

/** Today at a site. */
export function siteDay(zone: string, atUtc: string): string {
  // The one calendar whose days are written year, month, day.
  return new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(new Date(atUtc));
}
