import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(customParseFormat);
dayjs.extend(utc);
dayjs.extend(timezone);

const WRITTEN = 'YYYY-MM-DD HH:mm';
const DAY = 'YYYY-MM-DD';

/** Times as the clocks of one place show them. Moments are given and taken in UTC, ISO 8601. */
export interface Times {
  /** A moment as the clock there shows it: `2026-10-08 09:00`. */
  localTime(utcText: string): string;
  /** The moment written as `2026-10-08 09:00` there; null when it is none. */
  fromLocalTime(text: string): string | null;
  /** The day of a moment there: `2026-10-08`. */
  dayOf(utcText: string): string;
  /** The day there in words that do not break over a line: `15 Mar 2027`. */
  dayWords(utcText: string): string;
  /** How far its clock is ahead of UTC at a moment, both in ms. */
  aheadMs(at: number): number;
}

function createTimes(zone: string): Times {
  const there = (utc: string | number) => (zone === '' ? dayjs(utc) : dayjs(utc).tz(zone));
  return {
    localTime: (utcText) => there(utcText).format(WRITTEN),
    fromLocalTime(text) {
      const plain = text.trim().replace('T', ' ');
      const read = dayjs(plain, [WRITTEN, 'YYYY-MM-DD H:mm'], true);
      if (!read.isValid()) return null;
      return (zone === '' ? read : dayjs.tz(read.format(WRITTEN), WRITTEN, zone)).toISOString();
    },
    dayOf: (utcText) => there(utcText).format(DAY),
    dayWords: (utcText) => there(utcText).format('D\u00a0MMM\u00a0YYYY'),
    aheadMs: createAhead(there),
  };
}

/** Clocks are changed on the quarter of an hour, and a zone is slow to ask. */
const QUARTER_MS = 15 * 60_000;

function createAhead(there: (at: number) => dayjs.Dayjs): (at: number) => number {
  const known = new Map<number, number>();
  return (at) => {
    const quarter = Math.floor(at / QUARTER_MS);
    let ahead = known.get(quarter);
    if (ahead === undefined) known.set(quarter, (ahead = there(quarter * QUARTER_MS).utcOffset() * 60_000));
    return ahead;
  };
}

/** Whether this device can reckon with a zone: one entered on another may be newer than what is known here. */
function isKnown(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }) !== null;
  } catch {
    return false;
  }
}

const made = new Map<string, Times>();

/** The times of a zone by its name, such as `Europe/London`; of the device itself where that is empty or not known to it. */
export function timesIn(zone: string): Times {
  let times = made.get(zone);
  if (!times) made.set(zone, (times = createTimes(isKnown(zone) ? zone : '')));
  return times;
}

/** The zone this device is set to, such as `Europe/London`. */
export const deviceZone = (): string => dayjs.tz.guess();
