/** A holiday as a rule: a date of every year, so many days from Easter Sunday, or the so-manyth weekday of a month (the last being -1). */
type Rule =
  | { month: number; day: number; shifts?: boolean }
  | { easter: number }
  | { month: number; weekday: number; nth: number };

const fixed = (month: number, day: number, shifts = false): Rule => ({ month, day, shifts });
const easter = (days: number): Rule => ({ easter: days });
const nth = (month: number, weekday: number, count: number): Rule => ({ month, weekday, nth: count });
const [MONDAY, THURSDAY] = [1, 4];

/** Days on which nobody works, by place: usual rules, to which a job adds its own days and from which it takes some away. */
const HOLIDAYS = {
  'GB-ENG': [
    fixed(1, 1, true),
    easter(-2),
    easter(1),
    nth(5, MONDAY, 1),
    nth(5, MONDAY, -1),
    nth(8, MONDAY, -1),
    fixed(12, 25, true),
    fixed(12, 26, true),
  ],
  IE: [
    fixed(1, 1),
    nth(2, MONDAY, 1),
    fixed(3, 17),
    easter(1),
    nth(5, MONDAY, 1),
    nth(6, MONDAY, 1),
    nth(8, MONDAY, 1),
    nth(10, MONDAY, -1),
    fixed(12, 25),
    fixed(12, 26),
  ],
  DE: [
    fixed(1, 1),
    easter(-2),
    easter(1),
    fixed(5, 1),
    easter(39),
    easter(50),
    fixed(10, 3),
    fixed(12, 25),
    fixed(12, 26),
  ],
  FR: [
    fixed(1, 1),
    easter(1),
    fixed(5, 1),
    fixed(5, 8),
    easter(39),
    easter(50),
    fixed(7, 14),
    fixed(8, 15),
    fixed(11, 1),
    fixed(11, 11),
    fixed(12, 25),
  ],
  NL: [fixed(1, 1), easter(1), fixed(4, 27), easter(39), easter(50), fixed(12, 25), fixed(12, 26)],
  US: [
    fixed(1, 1, true),
    nth(1, MONDAY, 3),
    nth(2, MONDAY, 3),
    nth(5, MONDAY, -1),
    fixed(6, 19, true),
    fixed(7, 4, true),
    nth(9, MONDAY, 1),
    nth(11, THURSDAY, 4),
    fixed(12, 25, true),
  ],
} as const satisfies Record<string, readonly Rule[]>;

export type HolidayPlace = keyof typeof HOLIDAYS;
export const HOLIDAY_PLACES = Object.keys(HOLIDAYS) as [HolidayPlace, ...HolidayPlace[]];

const DAY_MS = 86_400_000;
const SUNDAY = 0;
const SATURDAY = 6;
const dateOf = (ms: number) => new Date(ms).toISOString().slice(0, 10);
const weekdayOf = (ms: number) => new Date(ms).getUTCDay();

/** Easter Sunday of a year, by the Gregorian calendar (the anonymous computus of 1876). */
export function easterOf(year: number): string {
  const a = year % 19;
  const [b, c] = [Math.floor(year / 100), year % 100];
  const f = Math.floor((b + 8) / 25);
  const g = Math.floor((b - f + 1) / 3);
  const h = (19 * a + b - Math.floor(b / 4) - g + 15) % 30;
  const l = (32 + 2 * (b % 4) + 2 * Math.floor(c / 4) - h - (c % 4)) % 7;
  const m = Math.floor((a + 11 * h + 22 * l) / 451);
  const month = Math.floor((h + l - 7 * m + 114) / 31);
  const day = ((h + l - 7 * m + 114) % 31) + 1;
  return dateOf(Date.UTC(year, month - 1, day));
}

function dayOf(rule: Rule, year: number): number {
  if ('easter' in rule) return Date.parse(`${easterOf(year)}T00:00:00Z`) + rule.easter * DAY_MS;
  if ('day' in rule) return Date.UTC(year, rule.month - 1, rule.day);
  if (rule.nth < 0) {
    const last = Date.UTC(year, rule.month, 0);
    return last - ((weekdayOf(last) - rule.weekday + 7) % 7) * DAY_MS;
  }
  const first = Date.UTC(year, rule.month - 1, 1);
  return first + (((rule.weekday - weekdayOf(first) + 7) % 7) + 7 * (rule.nth - 1)) * DAY_MS;
}

/** Holidays of a year at a place, YYYY-MM-DD in order. One that moves off a weekend goes to the next free weekday, in the United States a Saturday to the Friday before. */
export function holidaysOf(place: HolidayPlace, year: number): string[] {
  const rules: readonly Rule[] = HOLIDAYS[place];
  const taken = new Set<string>();
  for (const rule of rules) {
    let day = dayOf(rule, year);
    if ('shifts' in rule && rule.shifts) {
      if (place === 'US') day += weekdayOf(day) === SATURDAY ? -DAY_MS : weekdayOf(day) === SUNDAY ? DAY_MS : 0;
      else while (weekdayOf(day) === SATURDAY || weekdayOf(day) === SUNDAY || taken.has(dateOf(day))) day += DAY_MS;
    }
    taken.add(dateOf(day));
  }
  return [...taken].sort();
}
