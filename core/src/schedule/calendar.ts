/** Everything is planned in quarters of an hour, counted from midnight of the first day at the site. */
export const QUARTER_MS = 15 * 60_000;
const HOUR_MS = 4 * QUARTER_MS;
const DAY_MS = 24 * HOUR_MS;
const NOON_MIN = 12 * 60;

/** From and to, minutes of the day at the site. */
export type Window = readonly [fromMin: number, toMin: number];

export interface CalendarAsk {
  /** IANA name of the site's time zone: eight o'clock stays eight o'clock when its clocks are set. */
  zone: string;
  /** First day at the site, YYYY-MM-DD, and how many days are laid out. */
  firstDay: string;
  days: number;
  /** Windows by day of the week, Sunday being 0; a day that is left out is free. */
  week: Readonly<Partial<Record<number, readonly Window[]>>>;
  /** Days of their own, by date: a holiday has no window, a part day a shorter one. */
  own?: Readonly<Record<string, readonly Window[]>>;
}

/** Which quarters are worked in, and on which day of the site each lies. */
export interface Calendar {
  originMs: number;
  quarters: number;
  isOpen: Uint8Array;
  /** Day of each quarter, counted from the first; and its half day: twice the day, and one after noon. */
  dayOf: Int32Array;
  halfOf: Int32Array;
  /** The first open quarter at or after each; as many as there are quarters where none is. */
  nextOpen: Int32Array;
  dates: readonly string[];
}

/** How far the site's clock is ahead of UTC at a moment, ms. */
function offsetAt(format: Intl.DateTimeFormat, atMs: number): number {
  const parts = Object.fromEntries(format.formatToParts(atMs).map(({ type, value }) => [type, Number(value)]));
  const local = Date.UTC(
    parts['year']!,
    parts['month']! - 1,
    parts['day'],
    parts['hour']! % 24,
    parts['minute'],
    parts['second'],
  );
  return local - Math.floor(atMs / 1000) * 1000;
}

/** Midnight of a date at the site. Where clocks skip midnight it is the first moment of that date. */
function midnightMs(format: Intl.DateTimeFormat, date: string): number {
  const utc = Date.parse(`${date}T00:00:00Z`);
  const guess = utc - offsetAt(format, utc);
  // The offset at the guess counts: the first one was taken hours away from it.
  const at = utc - offsetAt(format, guess);
  return Math.round(at / QUARTER_MS) * QUARTER_MS;
}

/**
 * A calendar of so many days at the site.
 * @throws RangeError where the zone or the first day is none
 */
export function calendarOf({ zone, firstDay, days, week, own = {} }: CalendarAsk): Calendar {
  const format = new Intl.DateTimeFormat('en-US', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
  });
  const dates = Array.from({ length: days + 1 }, (_, k) =>
    new Date(Date.parse(`${firstDay}T00:00:00Z`) + k * DAY_MS).toISOString().slice(0, 10),
  );
  const starts = dates.map((date) => midnightMs(format, date));
  const originMs = starts[0]!;
  const quarters = Math.round((starts[days]! - originMs) / QUARTER_MS);
  const [isOpen, dayOf, halfOf] = [new Uint8Array(quarters), new Int32Array(quarters), new Int32Array(quarters)];
  for (let day = 0; day < days; day++) {
    const date = dates[day]!;
    const windows = own[date] ?? week[new Date(`${date}T00:00:00Z`).getUTCDay()] ?? [];
    const [from, to] = [starts[day]!, starts[day + 1]!];
    const [first, last] = [offsetAt(format, from), offsetAt(format, to - QUARTER_MS)];
    for (let at = from; at < to; at += QUARTER_MS) {
      const q = Math.round((at - originMs) / QUARTER_MS);
      // Only on days on which clocks are set does the offset have to be asked for every quarter.
      const offset = first === last ? first : offsetAt(format, at);
      const minute = (((at + offset) % DAY_MS) + DAY_MS) % DAY_MS;
      const min = minute / 60_000;
      dayOf[q] = day;
      halfOf[q] = 2 * day + (min >= NOON_MIN ? 1 : 0);
      if (windows.some(([open, shut]) => min >= open && min + 15 <= shut)) isOpen[q] = 1;
    }
  }
  const nextOpen = new Int32Array(quarters + 1).fill(quarters);
  for (let q = quarters - 1; q >= 0; q--) nextOpen[q] = isOpen[q] ? q : nextOpen[q + 1]!;
  return { originMs, quarters, isOpen, dayOf, halfOf, nextOpen, dates: dates.slice(0, days) };
}

/** A moment as a quarter: the one it lies in, or the next where `up`. */
export const quarterAt = ({ originMs }: Pick<Calendar, 'originMs'>, utc: string, up = false): number => {
  const at = (Date.parse(utc) - originMs) / QUARTER_MS;
  return up ? Math.ceil(at - 1e-9) : Math.floor(at + 1e-9);
};

/** When a quarter begins. */
export const momentOf = ({ originMs }: Pick<Calendar, 'originMs'>, quarter: number): string =>
  new Date(originMs + quarter * QUARTER_MS).toISOString();
