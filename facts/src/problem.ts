import type { Sayable } from '@maquette/core/said';

/** One thing wrong with what was sent: where, what it was, what is taken. */
export interface SaidProblem {
  field: string;
  value: unknown;
  message: Sayable;
}

/** The same put into words. */
export interface FieldProblem extends SaidProblem {
  message: string;
}

/** RFC 9457 problem document. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  detail?: string;
  errors?: FieldProblem[];
  /** On a conflict: what the server holds. */
  current?: unknown;
}
