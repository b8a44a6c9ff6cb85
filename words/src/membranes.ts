import { membranes } from './en/membranes.ts';
import { teach } from './index.ts';

/** Steps of membranes: fetched where they are looked at. */
teach(membranes);
