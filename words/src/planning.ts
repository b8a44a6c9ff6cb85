import { planning } from './en/planning.ts';
import { teach } from './index.ts';

/** What days, bill and price of a job say: fetched with the pages of the job. */
teach(planning);
