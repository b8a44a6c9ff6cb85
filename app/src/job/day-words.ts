import type { HalfDay } from '@maquette/core/planning';

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;
export const LONG_WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

const partsOf = (day: string) => {
  const at = new Date(`${day}T00:00:00Z`);
  return { weekday: at.getUTCDay(), date: at.getUTCDate(), month: at.getUTCMonth(), year: at.getUTCFullYear() };
};

/** A day as one says it: `Mon 7 Dec`, with the year where it is another than `today`'s. */
export function dayWords(day: string, today = day): string {
  const { weekday, date, month, year } = partsOf(day);
  return `${WEEKDAYS[weekday]} ${date} ${MONTHS[month]}${year === partsOf(today).year ? '' : ` ${year}`}`;
}

/** As it stands over a narrow column. */
export const shortDay = (day: string): string => {
  const { weekday, date } = partsOf(day);
  return `${WEEKDAYS[weekday]} ${date}`;
};

export const longWeekday = (day: string): string => LONG_WEEKDAYS[partsOf(day).weekday]!;
export const weekdayOf = (day: string): number => partsOf(day).weekday;

/** A half day: `Mon 7 Dec, before noon`. */
export const halfDayWords = ({ day, isAfternoon }: HalfDay, today: string): string =>
  `${dayWords(day, today)}, ${isAfternoon ? 'after noon' : 'before noon'}`;

const DAY_MS = 86_400_000;
/** Days from one to another; half days count as half. */
export const halfDaysBetween = (a: HalfDay, b: HalfDay): number =>
  (Date.parse(b.day) - Date.parse(a.day)) / DAY_MS + (Number(b.isAfternoon) - Number(a.isAfternoon)) / 2;

/** How much later or earlier, in words. */
export function laterWords(days: number): string {
  if (days === 0) return 'the same day';
  const much = Math.abs(days);
  const words =
    much === 0.5 ? 'half a day' : much === 1 ? 'a day' : `${Number.isInteger(much) ? much : much.toFixed(1)} days`;
  return `${words} ${days > 0 ? 'later' : 'earlier'}`;
}
