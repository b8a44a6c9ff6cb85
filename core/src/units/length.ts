import { say, type Said } from '../said/index.ts';

/** Millimetres in one inch: exact by definition (international yard and pound agreement, 1959). */
export const MM_PER_INCH = 25.4;
const MM_PER_FOOT = 304.8;

/** How lengths are shown and keyed. They are stored in millimetres whichever is chosen. */
export const UNIT_SYSTEMS = ['metric', 'imperial'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/** Units a column or a text can be written in. `ftin` is feet and inches with fractions. */
export type LengthUnit = 'mm' | 'cm' | 'm' | 'in' | 'ft' | 'ftin';

const MM_PER: Record<Exclude<LengthUnit, 'ftin'>, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  ft: MM_PER_FOOT,
};

/** Length in millimetres of `value` in `unit` (`ftin` counts as inches). */
export function toMm(value: number, unit: LengthUnit): number {
  return value * (unit === 'ftin' ? MM_PER_INCH : MM_PER[unit]);
}

/** A value and, when it could not be read, why not. */
type ParsedLength = { ok: true; mm: number } | { ok: false; reason: Said };

const NUMBER = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/;
const FRACTION = /^(\d+)\/(\d+)$/;

function plainNumber(text: string): number | null {
  return NUMBER.test(text) ? Number(text.replace(',', '.')) : null;
}

/** Whole and fraction as written on a tape: `49 3/16`, `1/2`, `7.25`; null when it is none of these. */
function inchesOf(text: string): number | null {
  const parts = text
    .trim()
    .replace(/-(?=\d+\/)/, ' ')
    .split(/\s+/);
  let sum = 0;
  for (const [index, part] of parts.entries()) {
    const fraction = FRACTION.exec(part);
    const value = fraction ? Number(fraction[1]) / Number(fraction[2]) : plainNumber(part);
    if (value === null || !Number.isFinite(value) || (index > 0 && !fraction)) return null;
    sum += value;
  }
  return parts[0] === '' ? null : sum;
}

/**
 * Reads a length as people write it: `1345.5`, `1345,5`, `1 345.5`, `135 cm`, `49 3/16`, `4' 2 1/2"`, `2 ft 3 in`.
 * A unit in the text wins over `unit`. Returns the reason instead of a value when the text is not a length.
 */
export function parseLength(text: string, unit: LengthUnit): ParsedLength {
  const raw = text
    .trim()
    .toLowerCase()
    .replace(/[\u2032\u2019]/g, "'")
    .replace(/[\u2033\u201d]|''/g, '"');
  if (raw === '') return { ok: false, reason: say('units.empty') };
  const feet = /^([+-])?\s*(\d+(?:[.,]\d+)?)\s*(?:'|ft|feet)\s*(?:-?\s*([\d\s./,]+?)\s*(?:"|in|inches)?)?$/.exec(raw);
  if (feet) {
    const inches = feet[3] ? inchesOf(feet[3]) : 0;
    if (inches === null) return { ok: false, reason: say('units.noInches', { text }) };
    const mm = Number(feet[2]!.replace(',', '.')) * MM_PER_FOOT + inches * MM_PER_INCH;
    return { ok: true, mm: feet[1] === '-' ? -mm : mm };
  }
  const suffixed = /^(.*?)\s*(mm|cm|m|in|inches|")$/.exec(raw);
  const body = suffixed ? suffixed[1]! : raw;
  const named = suffixed?.[2];
  const used: LengthUnit =
    named === undefined ? unit : named === 'mm' || named === 'cm' || named === 'm' ? named : 'in';
  if (used === 'in' || used === 'ftin' || used === 'ft') {
    const sign = body.startsWith('-') ? -1 : 1;
    const value = inchesOf(body.replace(/^[+-]\s*/, ''));
    if (value === null) return { ok: false, reason: say('units.noLength', { text, unit: used }) };
    return { ok: true, mm: sign * toMm(value, used) };
  }
  // A space, or an apostrophe between groups of three digits, separates thousands on site notes.
  const value = plainNumber(body.replace(/(\d)[ \u00a0\u202f'](?=\d{3}(\D|$))/g, '$1'));
  return value === null
    ? { ok: false, reason: say('units.noLength', { text, unit: used }) }
    : { ok: true, mm: toMm(value, used) };
}

/** Thin space between thousands, as on a tape: `5 400`. */
function grouped(digits: string): string {
  return digits.replace(/\B(?=(\d{3})+(?!\d))/g, '\u2009');
}

/** Rounds to `step` without the tail binary fractions leave (`0.1 + 0.2`). */
export function roundTo(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(6));
}

/** Fraction of an inch in lowest terms over sixteenths, with its sign: `−3/16`, `49 1/2`. */
export function formatInches(mm: number, denominator = 16): string {
  const parts = Math.round((Math.abs(mm) / MM_PER_INCH) * denominator);
  const whole = Math.floor(parts / denominator);
  let over = parts % denominator;
  let under = denominator;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  const sign = mm < 0 && parts > 0 ? '\u2212' : '';
  if (over === 0) return `${sign}${whole}`;
  return `${sign}${whole > 0 ? `${whole} ` : ''}${over}/${under}`;
}

/** A room length: `5 400` (mm), or `17' 8 5/8"`. The metric figure carries no unit: pair it with `unitLabel`. */
export function formatSpan(mm: number, units: UnitSystem): string {
  if (units === 'metric') return `${mm < 0 ? '\u2212' : ''}${grouped(String(Math.round(Math.abs(mm))))}`;
  const sixteenths = Math.round((Math.abs(mm) / MM_PER_INCH) * 16);
  const feet = Math.floor(sixteenths / 192);
  return `${mm < 0 ? '\u2212' : ''}${feet}' ${formatInches(((sixteenths % 192) / 16) * MM_PER_INCH)}"`;
}

/** A height or gap: `3.3` (mm, one decimal) or `1/8` (inch, to 1/32, the finest a wedge shows). */
export function formatGap(mm: number, units: UnitSystem): string {
  if (units === 'imperial') return formatInches(mm, 32);
  const rounded = roundTo(mm, 0.1);
  return `${rounded < 0 ? '\u2212' : ''}${String(Math.abs(rounded))}`;
}

/** A rod reading as it was keyed: to 0.1 mm, or to 1/16 in. */
export function formatRod(mm: number, units: UnitSystem): string {
  if (units === 'imperial') return formatInches(mm, 16);
  const rounded = roundTo(mm, 0.1);
  const [whole, part] = String(Math.abs(rounded)).split('.');
  return `${rounded < 0 ? '\u2212' : ''}${grouped(whole!)}${part ? `.${part}` : ''}`;
}

/** Edge or tape length in words: `2 m`, `1.83 m`, `600 mm`, `6 ft`, `4' 7 1/2"`, `9 in`. From a foot on to the half inch, as from half a metre on to the centimetre. */
export function formatReach(mm: number, units: UnitSystem): string {
  if (units === 'imperial') {
    if (mm < 12 * MM_PER_INCH) return `${formatInches(mm, 8)} in`;
    const inches = roundTo(mm / MM_PER_INCH, 0.5);
    return inches % 12 === 0 ? `${inches / 12} ft` : formatSpan(inches * MM_PER_INCH, units);
  }
  return mm < 500 ? `${roundTo(mm, 1)} mm` : `${roundTo(mm / 1000, 0.01)} m`;
}

/** Unit written after a gap or rod figure. */
export function unitLabel(units: UnitSystem): string {
  return units === 'metric' ? 'mm' : 'in';
}

/** A height or gap with its unit: `3.3 mm`, `1/8 in`. */
export function gapWords(mm: number, units: UnitSystem): string {
  return `${formatGap(mm, units)} ${unitLabel(units)}`;
}
