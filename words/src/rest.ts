import { rest } from './en/rest.ts';
import { teach } from './index.ts';

/** Loaded beside what says them, these sentences are known from then on. */
teach(rest);
