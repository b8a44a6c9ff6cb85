import { formatRod, MM_PER_INCH, type UnitSystem } from '@maquette/core/units';

/** What has been keyed so far. Metric: digits with a point. Imperial: whole inches, and sixteenths or none. */
export interface Entry {
  digits: string;
  sixteenths: number | null;
}

export const EMPTY: Entry = { digits: '', sixteenths: null };
const MOST_DIGITS = 6;

/** A digit or the point pressed. Presses that make no number are passed over. */
export function press(entry: Entry, key: string, units: UnitSystem, decimals = 1): Entry {
  const { digits } = entry;
  if (key === '.5')
    return units === 'imperial' || digits === '' || digits.includes('.') ? entry : { ...entry, digits: `${digits}.5` };
  if (key === '.')
    return units === 'imperial' || digits.includes('.')
      ? entry
      : { ...entry, digits: digits === '' ? '0.' : `${digits}.` };
  const [, tenths] = digits.split('.');
  if (tenths !== undefined && tenths.length >= decimals) return entry;
  if (digits.replace('.', '').length >= MOST_DIGITS) return entry;
  return { ...entry, digits: digits === '0' ? key : digits + key };
}

/** A sixteenth chosen; the same one again takes it off. */
export function pressSixteenth(entry: Entry, sixteenths: number): Entry {
  return { ...entry, sixteenths: entry.sixteenths === sixteenths ? null : sixteenths };
}

/** Takes the last press back; on an empty entry it brings the last value up to be changed. */
export function correct(entry: Entry, lastMm: number | null, units: UnitSystem): Entry {
  if (entry.sixteenths !== null) return { ...entry, sixteenths: null };
  if (entry.digits !== '') return { ...entry, digits: entry.digits.slice(0, -1) };
  return lastMm === null ? entry : entryOf(lastMm, units);
}

/** The entry that shows a length. */
export function entryOf(mm: number, units: UnitSystem): Entry {
  if (units === 'metric') return { digits: String(Math.round(mm * 10) / 10), sixteenths: null };
  const sixteenths = Math.round((mm / MM_PER_INCH) * 16);
  return { digits: String(Math.floor(sixteenths / 16)), sixteenths: sixteenths % 16 || null };
}

/** Length keyed, mm, or null while there is nothing to take. */
export function entryMm(entry: Entry, units: UnitSystem): number | null {
  if (entry.digits === '' && entry.sixteenths === null) return null;
  const whole = entry.digits === '' ? 0 : Number(entry.digits);
  return units === 'metric' ? whole : (whole + (entry.sixteenths ?? 0) / 16) * MM_PER_INCH;
}

/** The entry as it stands in the largest type. */
export function entryText(entry: Entry, units: UnitSystem): string {
  if (units === 'metric') {
    const [whole, tenths] = entry.digits.split('.');
    return `${(whole ?? '').replace(/\B(?=(\d{3})+(?!\d))/g, '\u2009')}${tenths === undefined ? '' : `.${tenths}`}`;
  }
  const fraction = entry.sixteenths === null ? '' : formatRod((entry.sixteenths / 16) * MM_PER_INCH, 'imperial');
  return [entry.digits, fraction].filter((part) => part !== '').join(' ');
}
