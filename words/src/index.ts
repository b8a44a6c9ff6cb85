import { english } from './en/index.ts';
import { createRender } from './render.ts';

export type { Catalogue, Render } from './render.ts';
export { worded, type Worded } from './worded.ts';
export { english };

/** What is said, in English, in the units asked for. */
export const inWords = createRender(english, 'en');
