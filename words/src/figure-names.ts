import { figureNames } from './en/figure-names.ts';
import { teach } from './index.ts';

/** What figures are called: fetched where a list of them is opened. */
teach(figureNames);
