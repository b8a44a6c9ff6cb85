import type { LengthUnit } from '../units/index.ts';

/** One line of a file with its number, counted from 1. */
export interface FileLine {
  line: number;
  text: string;
}

/** Lines of a text that hold something and are no comment. */
export function linesOf(text: string): FileLine[] {
  return text
    .split(/\r\n|\n|\r/)
    .map((line, index) => ({ line: index + 1, text: line }))
    .filter((l) => l.text.trim() !== '' && !l.text.startsWith('#'));
}

/** What separates the cells of a table. A decimal comma makes commas common, so tab and semicolon win when in every line. */
export function delimiterOf(head: readonly string[]): string {
  for (const mark of ['\t', ';', ',']) if (head.length > 0 && head.every((line) => line.includes(mark))) return mark;
  return [',', ';', '\t'].map((mark) => ({ mark, n: head.join('').split(mark).length })).sort((a, b) => b.n - a.n)[0]!
    .mark;
}

export function cellsOf(row: string, delimiter: string): string[] {
  return row.split(delimiter).map((cell) => cell.trim().replace(/^"(.*)"$/, '$1'));
}

/** A figure with decimal point or comma; null when it is none. */
export function numberOf(text: string): number | null {
  const plain = text.trim().replace(',', '.');
  return /^[+-]?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null;
}

/** The unit a heading ends in: `length_m`, `y (in)`; millimetres where it names none. */
export const unitOfHeading = (heading: string): LengthUnit =>
  /mm\W*$/i.test(heading)
    ? 'mm'
    : /cm\W*$/i.test(heading)
      ? 'cm'
      : /(\bin|_in|inch|inches|")\W*$/i.test(heading)
        ? 'in'
        : /(ft|feet)\W*$/i.test(heading)
          ? 'ft'
          : /(\bm|_m|metres?|meters?)\W*$/i.test(heading)
            ? 'm'
            : 'mm';
