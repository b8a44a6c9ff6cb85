/** Units a figure is stored in, as they are written beside it; empty for a bare number. */
export type Unit = '' | 'mm' | 'm' | 'm²' | 'deg' | '°C' | '%' | '%RH' | '%MC' | 'g' | 'h' | 'min' | 'year' | 'bags';

interface FigureSpec {
  type: 'figure';
  min: number;
  max: number;
  /** One of `Unit`, or a rate a job sets, such as `kg/m²`. */
  unit: string;
  whole: boolean;
}
interface TextSpec {
  type: 'text';
  /** Characters it has at least, and may have. */
  least: number;
  most: number;
  /** Ids of other facts may stand in it, as in `layer/<id>+<id>`: a copy of the job gives them their new names. */
  carriesIds: boolean;
}
interface IdSpec {
  type: 'id';
  /** What bears this id: the thing itself in a list of its own, or, with `refers`, another. */
  of: string;
  refers: 'no' | 'loosely' | 'parent';
}
interface ListSpec {
  type: 'list';
  of: Field;
  /** What its items are called, and how many there may be. */
  what: string;
  least: number;
  most: number;
}
interface CellsSpec {
  type: 'cells';
  min: number;
  max: number;
  most: number;
}

/** What a field takes, as plain data: the validators, the column, the renaming of ids and the documentation follow from it. */
export type Spec =
  | FigureSpec
  | TextSpec
  | IdSpec
  | ListSpec
  | CellsSpec
  | { type: 'flag' }
  | { type: 'moment' }
  | { type: 'day'; least: 0 | 1 }
  | { type: 'country' }
  | { type: 'zone' }
  | { type: 'choice'; of: readonly (string | number)[] }
  | { type: 'group'; fields: Fields }
  | { type: 'answer' };

/** One field of a fact. `T` is what it holds; the property that carries it is never there at run time. */
export interface Field<T = unknown> {
  readonly spec: Spec;
  readonly orNull: boolean;
  readonly mayLack: boolean;
  readonly holds?: T;
}
/** A field that may be left out altogether. */
interface Lacking<T> extends Field<T> {
  readonly mayLack: true;
}
export type Fields = Readonly<Record<string, Field>>;

export type HeldBy<F> = F extends Field<infer T> ? T : never;
type Simple<T> = { [K in keyof T]: T[K] };
type LackingIn<F extends Fields> = { [K in keyof F]: F[K] extends Lacking<unknown> ? K : never }[keyof F];
/** The object a group of fields describes. */
export type Held<F extends Fields> = Simple<
  { -readonly [K in Exclude<keyof F, LackingIn<F>>]: HeldBy<F[K]> } & {
    -readonly [K in LackingIn<F>]?: HeldBy<F[K]>;
  }
>;

const field = <T>(spec: Spec): Field<T> => ({ spec, orNull: false, mayLack: false });

/** A finite number within a closed range. */
export const figure = (min: number, max: number, unit: Unit = ''): Field<number> =>
  field({ type: 'figure', min, max, unit, whole: false });

/** The same from a named range, as keypads and messages read it. */
export const within = ({ min, max }: { min: number; max: number }, unit: Unit = ''): Field<number> =>
  figure(min, max, unit);

/** A whole number within a closed range. */
export const whole = (min: number, max: number, unit: Unit = ''): Field<number> =>
  field({ type: 'figure', min, max, unit, whole: true });

/** Text of so many characters at most; what was typed is kept. */
export const text = (most: number): Field<string> => field({ type: 'text', least: 0, most, carriesIds: false });

/** The same text or day where it may not be left empty: a form that makes something asks for its name. */
export const filled = (of: Field<string>): Field<string> =>
  of.spec.type === 'text' || of.spec.type === 'day' ? { ...of, spec: { ...of.spec, least: 1 } } : of;

/** Text in which ids of other facts may stand. */
export const key = (most: number): Field<string> => field({ type: 'text', least: 0, most, carriesIds: true });

/** The id of a thing that stands in a list of its fact: an opening, a fixture. */
export const ownId = (of: string): Field<string> => field({ type: 'id', of, refers: 'no' });

/** The id of something else, which need not be there. */
export const refersTo = (of: string): Field<string> => field({ type: 'id', of, refers: 'loosely' });

/** The id of a fact this one belongs to and cannot be stored without. */
export const parent = (of: string): Field<string> => field({ type: 'id', of, refers: 'parent' });

export const flag = (): Field<boolean> => field({ type: 'flag' });

/** A moment in UTC, ISO 8601. */
export const moment = (): Field<string> => field({ type: 'moment' });

/** A calendar day, `2026-05-04`, or empty. */
export const day = (): Field<string> => field({ type: 'day', least: 0 });

/** A country by its two capital letters. */
export const country = (): Field<string> => field({ type: 'country' });

/** A time zone by its common name, such as `Europe/London`, or empty. */
export const zone = (): Field<string> => field({ type: 'zone' });

/** One of a list of words or numbers. */
export const oneOf = <const T extends string | number>(...of: readonly T[]): Field<T> => field({ type: 'choice', of });

/** So many of something. */
export const list = <T>(of: Field<T>, what: string, most: number, least = 0): Field<T[]> =>
  field({ type: 'list', of, what, least, most });

/** Several fields that belong together. */
export const group = <const F extends Fields>(fields: F): Field<Held<F>> => field({ type: 'group', fields });

/** A row of whole numbers or nulls, `nx` by `ny` of them as the fact says beside it. */
export const cells = (min: number, max: number, most: number): Field<(number | null)[]> =>
  field({ type: 'cells', min, max, most });

export const orNull = <T>(of: Field<T>): Field<T | null> => ({ ...of, orNull: true }) as Field<T | null>;

export const mayLack = <T>(of: Field<T>): Lacking<T> => ({ ...of, mayLack: true });

/** Some of the fields of a fact, as a form asks for them. */
export const only = <const F extends Fields, const K extends keyof F & string>(fields: F, ...names: K[]): Pick<F, K> =>
  Object.fromEntries(names.map((name) => [name, fields[name]])) as Pick<F, K>;
