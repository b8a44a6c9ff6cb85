import type { Said, Sayable } from '@maquette/core/said';

/** A structure with every saying in it replaced by its words. */
export type Worded<T> = T extends Said
  ? string
  : T extends readonly (infer Item)[]
    ? Worded<Item>[]
    : T extends object
      ? { [Key in keyof T]: Worded<T[Key]> }
      : T;

const isPlain = (value: object) => Object.getPrototypeOf(value) === Object.prototype;
const isSaid = (value: object): value is Said => 'code' in value && 'values' in value;

/** Puts all that is said anywhere in plain objects and arrays into words; whatever else there is stays what it is. */
export function worded<T>(value: T, inWords: (said: Sayable) => string): Worded<T> {
  const within = (part: unknown): unknown => {
    if (typeof part !== 'object' || part === null) return part;
    if (Array.isArray(part)) return part.map(within);
    if (!isPlain(part)) return part;
    if (isSaid(part)) return inWords(part);
    return Object.fromEntries(Object.entries(part).map(([key, one]) => [key, within(one)]));
  };
  return within(value) as Worded<T>;
}
