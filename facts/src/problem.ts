import type { Sayable } from '@maquette/core/said';

/** One thing wrong with what was sent: where, what it was, what is taken. */
export interface SaidProblem {
  field: string;
  value: unknown;
  message: Sayable;
  /** Line of the file it stands on, where it came in one. */
  line?: number;
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
  /** On a write to what was removed: the job or room, as it was when it went. */
  removed?: { kind: 'jobs' | 'rooms'; fact: unknown };
  /** On a conflict: what the server holds. */
  current?: unknown;
}
