import { oneOf, question } from '../fields/index.ts';

/** What the maker says of boxes of more than one batch in one room. */
export const BATCHES = question('lay/batches', oneOf('ask', 'mix', 'refuse'));
