import type { UnitSystem } from '@maquette/core/units';
import { english } from './en/index.ts';
import { createRender } from './render.ts';
import { worded, type Worded } from './worded.ts';

export { createRender } from './render.ts';
export type { Catalogue, Render } from './render.ts';
export type { Worded };
export { english };
export { deviceZone, timesIn, type Times } from './times.ts';

/** What is said, in English, in the units asked for. */
export const inWords = createRender(english, 'en');

/** Has the browser read how the language counts, while it waits for something else: a tenth of a second on a slow phone. */
export const prepareWords = (): void => void new Intl.PluralRules('en').select(1);

/** A structure with all that is said in it read out, as a log, a kept line or a test wants it. */
export const readOut = <T>(value: T, units: UnitSystem = 'metric'): Worded<T> =>
  worded(value, (said) => inWords(said, units));
