import { applyDecorators } from './apply.ts';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsISO8601,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';

/** A finite number within a closed range; the message names the range. */
export function Figure(min: number, max: number): PropertyDecorator {
  const message = `takes ${min} to ${max}`;
  return applyDecorators(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message }),
    Min(min, { message }),
    Max(max, { message }),
  );
}

/** The same of every figure in a list. */
export function EachFigure(min: number, max: number): PropertyDecorator {
  const message = `takes ${min} to ${max}`;
  return applyDecorators(
    IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message }),
    Min(min, { each: true, message }),
    Max(max, { each: true, message }),
  );
}

/** Short text, trimmed of nothing: what was typed is kept. */
export function Words(most: number): PropertyDecorator {
  return applyDecorators(
    IsString({ message: 'takes text' }),
    MaxLength(most, { message: `takes at most ${most} characters` }),
  );
}

/** An id: UUIDs made on the device, or the name of something that ships. */
export function Id(): PropertyDecorator {
  return Matches(/^[a-z0-9][a-z0-9-]{2,63}$/, { message: 'takes an id of 3 to 64 small letters, digits and hyphens' });
}

/** A moment in UTC, ISO 8601. */
export function Moment(): PropertyDecorator {
  return IsISO8601({ strict: true }, { message: 'takes a time such as 2026-05-04T09:30:00.000Z' });
}

/** One of a list of words. */
export function OneOf(words: readonly string[], each = false): PropertyDecorator {
  const message = words.length === 2 ? `takes ${words.join(' or ')}` : `takes one of ${words.join(', ')}`;
  return IsIn(words as unknown[], { each, message });
}

/** A list of objects of one class, so many at least and at most; an array in the place of an object is refused. */
export function Listed(
  shape: () => new () => object,
  what: string,
  most: number,
  least = 0,
  fields = '',
): PropertyDecorator {
  const many = least > 0 ? `takes ${least} to ${most} ${what}` : `takes at most ${most} ${what}`;
  return applyDecorators(
    IsArray({ message: `takes a list of ${what}` }),
    ArrayMinSize(least, { message: many }),
    ArrayMaxSize(most, { message: many }),
    IsObject({ each: true, message: `takes ${what}${fields && ` with ${fields}`}` }),
    ValidateNested({ each: true }),
    Type(shape),
  );
}
