import { figureNames } from './figure-names.ts';
import { first } from './first.ts';
import { membranes } from './membranes.ts';
import { planning } from './planning.ts';
import { report } from './report.ts';
import { reportFloor } from './report-floor.ts';
import { reportHeads } from './report-heads.ts';
import { rest } from './rest.ts';

/** Every sentence in English, by its code. */
export const english = {
  ...first,
  ...rest,
  ...figureNames,
  ...membranes,
  ...planning,
  ...report,
  ...reportFloor,
  ...reportHeads,
};
