import { useEffect, useLayoutEffect, useRef } from 'react';
import { useForm, type Control, type FieldErrors, type Resolver } from 'react-hook-form';
import type { Fields, Held } from '@maquette/core/fields';
import type { UnitSystem } from '@maquette/core/units';
import { inWords } from '@maquette/words';
import { rules } from '../data/rules.ts';
import type { Written } from '../data/history.ts';
import { askedBack } from './asked-back.ts';
import { useTimes } from '../ui/shown-in.tsx';
import { useLatest } from '../ui/use-latest.ts';
import { readTyped, textOf, type Reader } from './typed.ts';

/** What stands in each field: a value of the fact, or the text that was typed and has not been taken. */
type Standing = Record<string, unknown>;
type Taken<F extends Fields> = Partial<Held<F>>;
/** Values on record; what is not given is not known. */
type Read<F extends Fields> = { readonly [K in keyof F]?: unknown };

/** A form over some fields of a fact, as the fields on the screen need it. */
export interface FactForm<F extends Fields = Fields> {
  control: Control<Standing>;
  fields: F;
  reader: Reader;
  /** The field is left: what stands in it is taken, or asked back beside it. */
  leave: (name: string) => Promise<void>;
  /** A value that was keyed on the pad or read from an instrument stands in the field, and is taken. */
  put: (name: string, value: unknown) => Promise<void>;
}

/** A form that is recorded as a whole. */
export interface DraftForm<F extends Fields> extends FactForm<F> {
  /** Records what stands in the fields once all of them can be taken; else what is asked back stands beside each. */
  record: (make: (body: Held<F>) => Promise<Written>) => Promise<void>;
  /** What the store would not take of the whole, or null. */
  problem: string | null;
  /** What stands in a field as it would be recorded; text where it cannot be read. */
  standing: (name: keyof F & string) => unknown;
  /** What is asked back of a field that is chosen, not typed. */
  asks: (name: keyof F & string) => string | null;
  /** Empties the fields again. */
  restart: () => void;
}

export const isRefused = (written: unknown): written is Extract<Written, { ok: false }> =>
  typeof written === 'object' && written !== null && (written as Written).ok === false;

/** What whoever takes a value answers where it cannot be taken: the words stand beside the field. */
export const refused = (message: string): Written => ({ ok: false, problems: [{ field: '', value: null, message }] });

/** All that can be said without the rules: that what stands where a figure belongs is none. */
const unchecked =
  (fields: Fields): Resolver<Standing> =>
  (read) => {
    const unread = Object.entries(fields).filter(
      ([name, { spec, orNull }]) =>
        spec.type === 'figure' && typeof read[name] !== 'number' && !(orNull && read[name] === null),
    );
    return unread.length === 0
      ? { values: read, errors: {} }
      : { values: {}, errors: Object.fromEntries(unread.map(([name]) => [name, { type: 'unread' }])) };
  };

let turn: Promise<unknown> = Promise.resolve();
/** Time for what was written to be drawn, so that the next field sees the fact as it is now. */
const drawn = (): Promise<void> => new Promise((resume) => setTimeout(resume));
/** Fields are taken one after another: each is written over what the one before it has made of the fact. */
const inTurn = (work: () => Promise<void>): Promise<void> => {
  const done = turn.then(work);
  turn = done.catch(() => undefined).then(drawn);
  return done;
};

/** Checks the fields by the class they make; what is wrong is put into words here, in the units the fields are written in. */
function resolverOf(fields: Fields, reader: Reader): Resolver<Standing> {
  return async (standing, context, options) => {
    const read = Object.fromEntries(
      Object.entries(fields).map(([name, field]) => [name, readTyped(standing[name], field, reader)]),
    );
    // Without signal the rules may not be here yet: what can be read is taken, and the server checks by the same ones.
    const check = await rules.resolverOf(fields).catch(() => unchecked(fields));
    const { values, errors } = await check(read, context, options);
    const worded = Object.entries(errors as FieldErrors<Standing>).map(([name, error]) => [
      name,
      { ...error, message: inWords(askedBack(standing[name], fields[name]!, reader), reader.units) },
    ]);
    return worded.length > 0
      ? { values: {}, errors: Object.fromEntries(worded) as FieldErrors<Standing> }
      : { values: values as Standing, errors: {} };
  };
}

function useFields<F extends Fields>(
  fields: F,
  onRecord: Read<F>,
  units: UnitSystem,
  onTaken: ((part: Taken<F>) => unknown) | null,
) {
  const times = useTimes();
  const reader = { units, times };
  const record: Standing = Object.fromEntries(Object.keys(fields).map((name) => [name, onRecord[name] ?? null]));
  const form = useForm<Standing>({
    defaultValues: record,
    resolver: resolverOf(fields, reader),
    reValidateMode: 'onBlur',
  });
  // Fetched while the user types: what is left in a field is then taken at once, also where the page is left right after.
  useEffect(() => void rules.fetch().catch(() => undefined), []);
  const { clearErrors, getValues, setError, setValue, trigger } = form;
  // A value that comes from elsewhere, an undo or another device, stands over what was typed: that belonged to the one before.
  const before = useRef(record);
  useLayoutEffect(() => {
    const was = before.current;
    before.current = record;
    for (const name of Object.keys(fields)) {
      if (Object.is(was[name], record[name])) continue;
      setValue(name, record[name]);
      clearErrors(name);
    }
  });
  const settle = (name: string, value: unknown) => {
    setValue(name, value);
    clearErrors(name);
  };
  const now = useLatest({ record, reader, onTaken });
  const take = async (name: string) => {
    const standing = getValues(name);
    const field = fields[name]!;
    const held = now.current.record[name];
    if (typeof standing === 'string' && standing.trim() === textOf(held, field, now.current.reader).trim())
      return settle(name, held);
    if (!(await trigger(name))) return undefined;
    const value = readTyped(standing, field, now.current.reader);
    if (!now.current.onTaken || Object.is(value, now.current.record[name])) return settle(name, value);
    const written = await now.current.onTaken({ [name]: value } as Taken<F>);
    if (isRefused(written)) setError(name, { message: written.problems.map((p) => p.message).join('; ') });
    return undefined;
  };
  const leave = (name: string) => inTurn(() => take(name));
  const put = async (name: string, value: unknown) => {
    setValue(name, value);
    await leave(name);
  };
  return { form, record, kit: { control: form.control, fields, reader, leave, put } };
}

/** A form over fields of a fact on record: each is taken as it is left, and written by `onTaken`. */
export function useFactForm<F extends Fields>(
  fields: F,
  onRecord: Read<F>,
  units: UnitSystem,
  onTaken: (part: Taken<F>) => unknown,
): FactForm<F> {
  return useFields(fields, onRecord, units, onTaken).kit;
}

/** A form that begins with some values and is recorded as a whole. `fields` and `begins` are the same at every drawing. */
export function useDraftForm<F extends Fields>(fields: F, begins: Read<F>, units: UnitSystem): DraftForm<F> {
  const { form, record: start, kit } = useFields(fields, begins, units, null);
  const problem = form.formState.errors.root?.message ?? null;
  const recording = useRef(false);
  const record: DraftForm<F>['record'] = async (make) => {
    // Pressed twice, it is recorded once.
    if (recording.current) return;
    recording.current = true;
    try {
      await form.handleSubmit(async (body) => {
        const written = await make(body as Held<F>);
        if (written.ok) return;
        const told = written.problems.map(({ field, message }) => [field, message].filter(Boolean).join(': '));
        form.setError('root', { message: told.join('; ') });
      })();
    } finally {
      recording.current = false;
    }
  };
  const values = form.watch();
  return {
    ...kit,
    record,
    problem,
    standing: (name) => readTyped(values[name], fields[name]!, kit.reader),
    asks: (name) => form.formState.errors[name]?.message ?? null,
    restart: () => form.reset(start),
  };
}
