/** A quantity of the bill as one reads it: hours to a tenth, areas and masses as finely as they are bought. */
export function quantityWords(value: number, unit: string): string {
  const places = unit === '' || unit === 'days' ? 0 : value >= 100 ? 0 : value >= 10 ? 1 : 2;
  const figure = value
    .toLocaleString('en', { minimumFractionDigits: 0, maximumFractionDigits: places })
    .replace(/,/g, '\u2009');
  return unit === '' ? figure : `${figure}\u00a0${unit === 'days' && value === 1 ? 'day' : unit}`;
}
