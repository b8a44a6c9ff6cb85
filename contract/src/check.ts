import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { FACT_CLASSES, type FactKind, type WriteOf } from './facts.ts';

/** One thing wrong with what was sent: where, what it was, what is taken. */
export interface FieldProblem {
  field: string;
  value: unknown;
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

function shown(value: unknown): unknown {
  if (typeof value === 'string') return value.length > 60 ? `${value.slice(0, 60)}...` : value;
  if (typeof value === 'object' && value !== null)
    return Array.isArray(value) ? `a list of ${value.length}` : 'an object';
  return value ?? null;
}

function flatten(errors: readonly ValidationError[], path: string): FieldProblem[] {
  return errors.flatMap((error) => {
    const field =
      path === ''
        ? error.property
        : /^\d+$/.test(error.property)
          ? `${path}[${error.property}]`
          : `${path}.${error.property}`;
    const own = Object.entries(error.constraints ?? {}).slice(0, 1);
    const problems = own.map(([rule, message]) => ({
      field,
      value: shown(error.value),
      message: rule === 'whitelistValidation' ? 'is not a known field' : message,
    }));
    return [...problems, ...flatten(error.children ?? [], field)];
  });
}

/** Problems with `plain` as an instance of a class: unknown fields, wrong types and ranges. Empty when it passes. */
export function checkShape<T extends object>(shape: new () => T, plain: unknown): FieldProblem[] {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return [{ field: '', value: shown(plain), message: 'takes a JSON object' }];
  const instance = plainToInstance(shape, plain);
  return flatten(
    validateSync(instance, {
      whitelist: true,
      forbidNonWhitelisted: true,
      forbidUnknownValues: true,
      validationError: { target: false },
    }),
    '',
  );
}

/** Problems with a write of some kind. */
export function checkWrite<K extends FactKind>(kind: K, plain: unknown): FieldProblem[] {
  return checkShape(FACT_CLASSES[kind] as new () => WriteOf<K>, plain);
}
