import { counted } from './counted.ts';

/** A moment as the clock on site shows it: `2026-10-08 09:00`. */
export function localTime(utc: string): string {
  const at = new Date(utc);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())} ${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** The moment written as `2026-10-08 09:00` on site, as UTC; null when it is none. */
export function fromLocalTime(text: string): string | null {
  const m = /^(\d{4})-(\d{2})-(\d{2})[ T](\d{1,2}):(\d{2})$/.exec(text.trim());
  if (!m) return null;
  const [year, month, day, hour, minute] = m.slice(1).map(Number) as [number, number, number, number, number];
  const at = new Date(year, month - 1, day, hour, minute);
  return at.getMonth() === month - 1 && at.getDate() === day && hour < 24 && minute < 60 ? at.toISOString() : null;
}

/** Whether a text is a day such as 2026-10-08. */
export function isDay(text: string): boolean {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text));
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A day in words that do not break over a line: `15 Mar 2027`. */
export function dayWords(utc: string): string {
  const at = new Date(utc);
  return `${at.getUTCDate()}\u00a0${MONTHS[at.getUTCMonth()]}\u00a0${at.getUTCFullYear()}`;
}

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
