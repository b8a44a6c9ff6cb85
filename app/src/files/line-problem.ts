import type { SaidProblem } from '@maquette/facts';

/** A line of a file that is not taken, and why. */
export interface LineProblem {
  line: number;
  text: string;
  reason: string;
}

/** The same of a field that was checked: its name, what stands in it, and what is taken. */
export const lineProblem = ({ line, field, value, message }: SaidProblem & { line: number }): LineProblem => ({
  line,
  text: '',
  // What checks a field says it in words of its own.
  reason: `${field}: ${value === null || value === undefined || value === '' ? 'nothing' : typeof value === 'object' ? JSON.stringify(value) : String(value)} ${String(message)}`,
});
