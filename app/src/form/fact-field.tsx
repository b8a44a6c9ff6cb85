import { useController } from 'react-hook-form';
import type { Fields } from '@maquette/core/fields';
import { PadKey, usePad } from '../bench/pad-panel.tsx';
import { celsiusOf, roundTo, temperatureIn, temperatureUnit } from '@maquette/core/units';
import { Field } from '../ui/field.tsx';
import type { FactForm } from './fact-form.ts';
import { textOf, writtenAs } from './typed.ts';
import { unitSign } from './unit-sign.ts';

interface Props<F extends Fields> {
  form: FactForm<F>;
  name: keyof F & string;
  label: string;
  hint?: string;
  /** Unit shown instead of the one the fact states. */
  unit?: string;
  /** Decimals the pad offers for a figure that is no length. */
  decimals?: number;
  /** The pad offers lengths below as well: a level, for example. */
  signed?: boolean;
}

const FEET = 'feet and inches, such as 12\' 4 1/2"';

/** One field of a fact: what it takes, its unit and its pad follow from what the fact says of it. */
export function FactField<F extends Fields>({ form, name, label, hint, unit, decimals = 1, signed = false }: Props<F>) {
  const pad = usePad();
  const { units } = form.reader;
  const { field, fieldState } = useController({ control: form.control, name });
  const stated = form.fields[name]!;
  const { spec } = stated;
  const as = writtenAs(stated);
  const standing: unknown = field.value;
  const shared = {
    label,
    ref: field.ref,
    value: textOf(standing, stated, form.reader),
    onChange: field.onChange,
    onDone: () => void form.leave(name),
    problem: fieldState.error?.message ?? null,
  };
  if (spec.type !== 'figure') return <Field {...shared} hint={hint} figures={spec.type === 'day' || as === 'moment'} />;
  const inMm = as === 'length' && units === 'metric';
  const degrees = as === 'temperature';
  const sign = unit ?? (degrees ? temperatureUnit(units) : unitSign(spec.unit));
  const shownAs = (value: number) => (degrees ? roundTo(temperatureIn(value, units), 0.1) : value);
  const lastMm = typeof standing === 'number' ? shownAs(standing) : null;
  const key = {
    title: label,
    lastMm,
    range: { min: shownAs(spec.min), max: shownAs(spec.max) },
    onTake: (taken: number) => void form.put(name, degrees && units === 'imperial' ? celsiusOf(taken) : taken),
  };
  return (
    <Field
      {...shared}
      hint={hint ?? (as === 'length' && units === 'imperial' ? FEET : undefined)}
      unit={inMm ? 'mm' : as === 'figure' || degrees ? sign : undefined}
      figures={as === 'figure' || degrees || inMm}
      beside={
        as === 'length' ? (
          <PadKey label={label} onPress={() => pad({ ...key, units, signed })} />
        ) : shownAs(spec.min) >= 0 ? (
          <PadKey
            label={label}
            onPress={() =>
              pad({
                ...key,
                units: 'metric',
                plain: { unit: sign, decimals: spec.whole ? 0 : decimals },
              })
            }
          />
        ) : null
      }
    />
  );
}
