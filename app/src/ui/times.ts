import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';
import utc from 'dayjs/plugin/utc';
import { counted } from './counted.ts';

dayjs.extend(customParseFormat);
dayjs.extend(utc);

const WRITTEN = 'YYYY-MM-DD HH:mm';

/** A moment as the clock on site shows it: `2026-10-08 09:00`. */
export const localTime = (utcText: string): string => dayjs(utcText).format(WRITTEN);

/** The moment written as `2026-10-08 09:00` on site, as UTC; null when it is none. */
export function fromLocalTime(text: string): string | null {
  const plain = text.trim().replace('T', ' ');
  const at = dayjs(plain, [WRITTEN, 'YYYY-MM-DD H:mm'], true);
  return at.isValid() ? at.toISOString() : null;
}

/** Whether a text is a day such as 2026-10-08. */
export const isDay = (text: string): boolean => dayjs(text, 'YYYY-MM-DD', true).isValid();

/** The day of a moment, as UTC counts days: `2026-10-08`. */
export const dayOf = (utcText: string): string => dayjs.utc(utcText).format('YYYY-MM-DD');

/** A day so many days after a moment, parts of a day counted. */
export const dayAfter = (utcText: string, days: number): string =>
  dayjs
    .utc(utcText)
    .add(days * 24 * 3_600_000, 'ms')
    .format('YYYY-MM-DD');

/** A day in words that do not break over a line: `15 Mar 2027`. */
export const dayWords = (utcText: string): string => dayjs.utc(utcText).format('D\u00a0MMM\u00a0YYYY');

/** How far this device's clock is off, in words: told in minutes, and in hours or days where it is that much. */
export function skewWords(skewMs: number): string {
  const minutes = Math.round(Math.abs(skewMs) / 60_000);
  const much =
    minutes < 120
      ? counted(minutes, 'minute')
      : minutes < 72 * 60
        ? counted(Math.round(minutes / 60), 'hour')
        : counted(Math.round(minutes / 1440), 'day');
  return `The clock of this device is ${much} ${skewMs > 0 ? 'ahead of' : 'behind'} the server’s.`;
}
