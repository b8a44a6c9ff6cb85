import type { UnitSystem } from '@maquette/core/units';
import { english } from './en/index.ts';
import { createRender } from './render.ts';
import { worded, type Worded } from './worded.ts';

export { createRender } from './render.ts';
export type { Catalogue, Render } from './render.ts';
export type { Worded };
export { english };

/** What is said, in English, in the units asked for. */
export const inWords = createRender(english, 'en');

/** A structure with all that is said in it read out, as a log, a kept line or a test wants it. */
export const readOut = <T>(value: T, units: UnitSystem = 'metric'): Worded<T> =>
  worded(value, (said) => inWords(said, units));
