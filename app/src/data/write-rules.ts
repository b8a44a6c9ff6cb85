import type { FactKind, FieldProblem } from '@maquette/facts';
import { checkWrite } from '@maquette/facts/check';
import { inWords } from '@maquette/words';

/** What is wrong with a write, in words. They name lengths as they are stored. */
export const problemsOf = (kind: FactKind, write: object): FieldProblem[] =>
  checkWrite(kind, write).map((problem) => ({ ...problem, message: inWords(problem.message, 'metric') }));
