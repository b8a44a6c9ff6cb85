/** Whether a value is a day of the calendar such as `2026-05-04`, or empty. */
export function isDay(value: unknown): value is string {
  if (value === '') return true;
  return typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value) && isInCalendar(value);
}

/** Nothing was entered before this year, and nothing is entered for a time after that one. */
const YEARS = { from: '1990', to: '2099' };

/** Whether a value is a moment in UTC such as `2026-05-04T09:30:00.000Z`, of a year in which something may have been read. */
export function isMoment(value: unknown): value is string {
  const parts =
    typeof value === 'string' ? /^(\d{4}-\d{2}-\d{2})T\d{2}:\d{2}(:\d{2}(\.\d{1,3})?)?Z$/.exec(value) : null;
  if (!parts || !isInCalendar(parts[1]!) || Number.isNaN(Date.parse(parts[0]))) return false;
  const year = parts[1]!.slice(0, 4);
  return year >= YEARS.from && year <= YEARS.to;
}

/** The 30th of February is read as a day of March by some: it is none. */
function isInCalendar(day: string): boolean {
  const at = new Date(`${day}T00:00:00.000Z`);
  return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(day);
}

/** Whether a value names a time zone that can be reckoned with, or none. */
export function isZone(value: unknown): boolean {
  if (typeof value !== 'string' || value.length > 60) return false;
  if (value === '') return true;
  try {
    // An offset such as +01:00 is taken for a zone by some, and knows no summer.
    return new Intl.DateTimeFormat('en', { timeZone: value }) !== null && /^[A-Z]/.test(value);
  } catch {
    return false;
  }
}
