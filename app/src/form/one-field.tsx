import type { Field } from '@maquette/core/fields';
import type { UnitSystem } from '@maquette/core/units';
import { FactField } from './fact-field.tsx';
import { useFactForm } from './fact-form.ts';

interface Props<T> {
  /** What it takes, as the fact states it: the same object at every drawing. */
  of: Field<T>;
  value: NoInfer<T> | null;
  onTaken: (value: T) => unknown;
  label: string;
  units: UnitSystem;
  hint?: string;
  decimals?: number;
  signed?: boolean;
}

const alone = new WeakMap<Field, { value: Field }>();

/** The form that a single field makes: one for each field stated, so that its class is made once. */
function formOf<T>(field: Field<T>): { value: Field<T> } {
  let made = alone.get(field);
  if (!made) alone.set(field, (made = { value: field }));
  return made as { value: Field<T> };
}

/** A single value, taken as its field is left. */
export function OneField<T>({ of, value, onTaken, units, ...shown }: Props<T>) {
  const form = useFactForm(formOf(of), { value }, units, (part) => onTaken((part as { value: T }).value));
  return <FactField form={form} name="value" {...shown} />;
}
