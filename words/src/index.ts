import type { UnitSystem } from '@maquette/core/units';
import { first } from './en/first.ts';
import { createRender, type Catalogue } from './render.ts';
import { worded, type Worded } from './worded.ts';

export { createRender } from './render.ts';
export type { Catalogue, Render } from './render.ts';
export type { Worded };
export { deviceZone, timesIn, type Times } from './times.ts';

/** The sentences that are here: those of the first screen, and the rest once `rest.ts` has come. */
const here: Record<string, string> = { ...first };
export const inWords = createRender(here, 'en');

/** Adds sentences; `rest.ts` does, wherever it is loaded. */
export const teach = (more: Catalogue): void => void Object.assign(here, more);
/** Whether a sentence can be said yet. */
export const knows = (code: string): boolean => code in here;

/** Has the browser read how the language counts, while it waits for something else: a tenth of a second on a slow phone. */
export const prepareWords = (): void => void new Intl.PluralRules('en').select(1);

/** A structure with all that is said in it read out, as a log, a kept line or a test wants it. */
export const readOut = <T>(value: T, units: UnitSystem = 'metric'): Worded<T> =>
  worded(value, (said) => inWords(said, units));
