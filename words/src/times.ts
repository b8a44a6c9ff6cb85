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
  /** How far its clock is ahead of UTC at a moment, minutes. */
  aheadMin(utcText: string): number;
}

function createTimes(zone: string): Times {
  const there = (utcText: string) => (zone === '' ? dayjs(utcText) : dayjs(utcText).tz(zone));
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
    aheadMin: (utcText) => there(utcText).utcOffset(),
  };
}

const made = new Map<string, Times>();

/** The times of a zone by its name, such as `Europe/London`; of the device itself where that is empty. */
export function timesIn(zone: string): Times {
  let times = made.get(zone);
  if (!times) made.set(zone, (times = createTimes(zone)));
  return times;
}

/** Whether a text is a day such as 2026-10-08. */
export const isDay = (text: string): boolean => dayjs(text, DAY, true).isValid();

/** The zone this device is set to, such as `Europe/London`. */
export const deviceZone = (): string => dayjs.tz.guess();
