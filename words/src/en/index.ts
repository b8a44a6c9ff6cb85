import { first } from './first.ts';
import { rest } from './rest.ts';
import { under } from './under.ts';

/** Every sentence in English, by its code. */
export const english = { ...first, ...rest, ...under };
