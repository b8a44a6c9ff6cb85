import { capital } from './capital.ts';

/** `openRodMm` as it is said: `Open rod`. The unit stands beside the value. */
export const named = (field: string): string =>
  capital(
    field
      .replace(/(Mm|M2|Utc|Percent|Rh|Mc|Deg|G|C|H|M)$/, '')
      .replace(/([a-z])([A-Z])/g, '$1 $2')
      .toLowerCase(),
  );
