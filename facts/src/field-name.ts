/** `openRodMm` as it is said: `Open rod`. The unit stands beside the value. */
export function fieldName(field: string): string {
  const words = field
    .replace(/(Mm|M2|Utc|Percent|Rh|Mc|Deg|G|C|H|M)$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase();
  return words.charAt(0).toUpperCase() + words.slice(1);
}
