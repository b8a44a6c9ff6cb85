import type { Times } from '@maquette/words';

const DAY_MS = 24 * 3_600_000;

/** What stands under a chart over so long a time: the hour while that is days, the day while it is weeks, else the month. */
export function dayTick(times: Times, spanMs: number): (at: number) => string {
  return (at) => {
    const utc = new Date(at).toISOString();
    const [day, month, year] = times.dayWords(utc).split('\u00a0');
    if (spanMs > 300 * DAY_MS) return `${month} ${year}`;
    const clock = times.localTime(utc).slice(11);
    return spanMs < 4 * DAY_MS && clock !== '00:00' ? clock : `${day} ${month}`;
  };
}
