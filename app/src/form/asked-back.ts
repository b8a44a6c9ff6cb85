import type { Field } from '@maquette/core/fields';
import { gap, reach, say, type Sayable } from '@maquette/core/said';
import { parseLength, roundTo, temperatureIn, temperatureUnit } from '@maquette/core/units';
import { readTyped, writtenAs, type Reader } from './typed.ts';
import { unitSign } from './unit-sign.ts';

/** Lengths up to this are written as finely as a gap, longer ones as on a tape. */
export const FINE_MM = 100;

/** Why what was typed is asked back, where its class has not taken it: the value, and what is taken instead. */
export function askedBack(typed: unknown, field: Field, reader: Reader): Sayable {
  const { spec, orNull } = field;
  const as = writtenAs(field);
  const text = String(typed ?? '').trim();
  switch (spec.type) {
    case 'figure': {
      const inReaders = (value: number) =>
        as === 'temperature' ? roundTo(temperatureIn(value, reader.units), 0.1) : value;
      const length = (mm: number) => (spec.max <= FINE_MM ? gap(mm) : reach(mm));
      const taken =
        as === 'length'
          ? say('asked.lengths', { min: length(spec.min), max: length(spec.max) })
          : say('asked.figures', {
              min: inReaders(spec.min),
              max: inReaders(spec.max),
              unit: (as === 'temperature' ? temperatureUnit(reader.units) : unitSign(spec.unit)) || 'none',
            });
      const values = { text, taken, empty: orNull ? 'yes' : 'no' };
      if (text === '') return say('asked.empty', values);
      if (as === 'length') {
        const parsed = parseLength(text, reader.units === 'metric' ? 'mm' : 'in');
        if (!parsed.ok) return say('asked.noLength', { why: parsed.reason, taken, empty: values.empty });
      }
      const value = readTyped(typed, field, reader);
      if (typeof value !== 'number') return say('asked.noNumber', values);
      return say(spec.whole && !Number.isInteger(value) ? 'asked.notWhole' : 'asked.outOfRange', values);
    }
    case 'text':
      return text.length > spec.most
        ? say('asked.tooLong', { count: text.length, most: spec.most })
        : say('asked.emptyText', {});
    case 'day':
      return say('asked.noDay', { text: text || 'Empty', empty: spec.least === 0 ? 'yes' : 'no' });
    case 'zone':
      return say('asked.noZone', { text });
    case 'moment':
      return say('asked.noMoment', { text });
    default:
      return say('asked.notTaken', { text });
  }
}
