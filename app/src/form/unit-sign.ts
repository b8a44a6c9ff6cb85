/** A year needs no unit beside it, and degrees have a sign. */
const SIGNS: Readonly<Record<string, string>> = { deg: '°', year: '' };

/** How a unit is written beside its figure. */
export const unitSign = (unit: string): string => SIGNS[unit] ?? unit;
