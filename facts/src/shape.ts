import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Field, Fields, Spec } from '@maquette/core/fields';
import { isDay, isMoment, isZone } from './days.ts';
import { QUESTIONS } from './questions.ts';

/** A class that class-validator knows the rules of. */
export type Shape = new () => object;

const MOMENT_TAKES = 'takes a time in UTC of 1990 to 2099, such as 2026-05-04T09:30:00.000Z';

type Options = { message: string; each: boolean };

/** The rules of one field as decorators; with `each` of every item of a list. */
function rulesOf(spec: Spec, each: boolean): PropertyDecorator[] {
  const say = (message: string): Options => ({ message, each });
  switch (spec.type) {
    case 'figure': {
      const takes = say(`takes ${spec.whole ? 'a whole number, ' : ''}${spec.min} to ${spec.max}`);
      const number = spec.whole ? IsInt(takes) : IsNumber({ allowNaN: false, allowInfinity: false }, takes);
      return [number, Min(spec.min, takes), Max(spec.max, takes)];
    }
    case 'text':
      return [
        IsString(say('takes text')),
        MaxLength(spec.most, say(`takes at most ${spec.most} characters`)),
        ...(spec.least > 0 ? [MinLength(spec.least, say('takes a name'))] : []),
      ];
    case 'id':
      return [Matches(/^[a-z0-9][a-z0-9-]{2,63}$/, say('takes an id of 3 to 64 small letters, digits and hyphens'))];
    case 'flag':
      return [IsBoolean(say('takes true or false'))];
    case 'moment':
      return [ValidateBy({ name: 'moment', validator: { validate: isMoment } }, say(MOMENT_TAKES))];
    case 'day':
      return [
        ValidateBy(
          {
            name: 'day',
            validator: { validate: (value: unknown) => isDay(value) && (value !== '' || spec.least === 0) },
          },
          say('takes a day such as 2026-05-04, or nothing'),
        ),
      ];
    case 'country':
      return [Matches(/^[A-Z]{2}$/, say('takes two capital letters, such as GB, or null'))];
    case 'zone':
      return [
        ValidateBy(
          { name: 'zone', validator: { validate: isZone } },
          say('takes a time zone such as Europe/London, or nothing'),
        ),
      ];
    case 'choice': {
      const { of } = spec;
      return [IsIn([...of], say(of.length === 2 ? `takes ${of.join(' or ')}` : `takes one of ${of.join(', ')}`))];
    }
    case 'cells':
      return [cellRules(spec)];
    case 'group': {
      const shape = shapeOf(spec.fields);
      return [
        IsObject(say(`takes ${Object.keys(spec.fields).join(', ')}`)),
        ValidateNested({ each }),
        Type(() => shape),
      ];
    }
    case 'list': {
      const many =
        spec.least > 0 ? `takes ${spec.least} to ${spec.most} ${spec.what}` : `takes at most ${spec.most} ${spec.what}`;
      return [
        IsArray({ message: `takes a list of ${spec.what}` }),
        ArrayMinSize(spec.least, { message: many }),
        ArrayMaxSize(spec.most, { message: many }),
        ...rulesOf(spec.of.spec, true),
      ];
    }
    case 'answer':
      return [answerRules()];
  }
}

type Cells = Extract<Spec, { type: 'cells' }>;

/** One height a cell. Looked through at once: a rule for each of a hundred thousand cells takes a second. */
function cellRules({ min, max, most }: Cells): PropertyDecorator {
  const fits = (value: unknown) =>
    value === null || (Number.isInteger(value) && (value as number) >= min && (value as number) <= max);
  return ValidateBy({
    name: 'cells',
    validator: {
      validate: (value: unknown, args) => {
        const { nx, ny } = args!.object as { nx: number; ny: number };
        return Array.isArray(value) && value.length === nx * ny && value.length <= most && value.every(fits);
      },
      defaultMessage: () => `takes nx × ny whole numbers, ${most} at most: ${min} to ${max}, or null`,
    },
  });
}

/** What the question beside it takes. */
function answerRules(): PropertyDecorator {
  return ValidateBy({
    name: 'answer',
    validator: {
      validate: (value: unknown, args) => answerProblem(args!.object, value) === null,
      defaultMessage: (args) => answerProblem(args!.object, args!.value) ?? '',
    },
  });
}

function answerProblem(object: object, value: unknown): string | null {
  const name = (object as { question?: unknown }).question;
  const asked = typeof name === 'string' ? QUESTIONS.get(name) : undefined;
  if (!asked) return `answers one of ${[...QUESTIONS.keys()].join(', ')}`;
  return fieldProblem(asked.takes, value);
}

/** Why a value is not taken by a field that holds no things, or null: for what is checked outside a class. */
function fieldProblem({ spec, orNull }: Field, value: unknown): string | null {
  if (value === null && orNull) return null;
  switch (spec.type) {
    case 'choice':
      return spec.of.includes(value as string) ? null : `takes one of ${spec.of.join(', ')}`;
    case 'figure':
      return typeof value === 'number' &&
        Number.isFinite(value) &&
        (!spec.whole || Number.isInteger(value)) &&
        value >= spec.min &&
        value <= spec.max
        ? null
        : `takes ${spec.whole ? 'a whole number, ' : ''}${spec.min} to ${spec.max}`;
    case 'day':
      return isDay(value) ? null : 'takes a day such as 2026-05-04';
    case 'moment':
      return isMoment(value) ? null : MOMENT_TAKES;
    case 'text':
      return typeof value === 'string' && value.length <= spec.most ? null : `takes at most ${spec.most} characters`;
    case 'list':
      if (!Array.isArray(value) || value.length < spec.least || value.length > spec.most)
        return `takes a list of at most ${spec.most} ${spec.what}`;
      return value.map((item: unknown) => fieldProblem(spec.of, item)).find((problem) => problem !== null) ?? null;
    default:
      throw new Error(`no question takes a ${spec.type}`);
  }
}

/** The rules of a field as one decorator. */
export function ruled({ spec, orNull, mayLack }: Field): PropertyDecorator {
  return (target, name) => {
    const unless = (body: object) => (body as Record<string | symbol, unknown>)[name] !== null;
    const decorators = [
      ...(mayLack ? [IsOptional()] : []),
      ...(orNull ? [ValidateIf(unless)] : []),
      ...rulesOf(spec, false),
    ];
    for (const decorate of decorators) decorate(target, name);
  };
}

/** The class of an object with these fields: what class-validator and forms check it by. */
export function shapeOf(fields: Fields): Shape {
  class Made {}
  for (const [name, field] of Object.entries(fields)) ruled(field)(Made.prototype, name);
  return Made;
}
