import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import type { Resolver } from 'react-hook-form';
import type { Fields } from '@maquette/core/fields';
import type { FactKind, FieldProblem } from '@maquette/facts';
import { checkWrite, classOfFields } from '@maquette/facts/check';
import { inWords } from '@maquette/words';

/** What is wrong with a write, in words. They name lengths as they are stored. */
export const problemsOf = (kind: FactKind, write: object): FieldProblem[] =>
  checkWrite(kind, write).map((problem) => ({ ...problem, message: inWords(problem.message, 'metric') }));

/** What a form asks of its fields: the class they make, as the server asks it of a write. */
export const resolverOf = (fields: Fields): Resolver<Record<string, unknown>> =>
  classValidatorResolver(classOfFields(fields) as new () => Record<string, unknown>, {}, { mode: 'sync', raw: true });
