import { applyDecorators } from './apply.ts';
import { IsISO8601, IsNumber, IsString, Matches, Max, MaxLength, Min } from 'class-validator';

/** A finite number within a closed range; the message names the range. */
export function Figure(min: number, max: number): PropertyDecorator {
  const message = `takes ${min} to ${max}`;
  return applyDecorators(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message }),
    Min(min, { message }),
    Max(max, { message }),
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
