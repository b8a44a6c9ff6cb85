/** How a field's name ends that is kept in a unit, and what the unit is called. */
const ENDINGS: readonly (readonly [RegExp, string])[] = [
  [/Mm$/, 'mm'],
  [/M2$/, 'm²'],
  [/Utc$/, 'UTC'],
  [/Percent$/, '%'],
  [/Rh$/, '%RH'],
  [/Mc$/, '% moisture'],
  [/Deg$/, '°'],
  [/G$/, 'g'],
  [/C$/, '°C'],
  [/H$/, 'h'],
  [/M$/, 'm'],
];

const endingOf = (field: string) => ENDINGS.find(([ends]) => ends.test(field));

/** `openRodMm` as it is said: `Open rod`. The unit stands beside the value. */
export function fieldName(field: string): string {
  const ending = endingOf(field)?.[0];
  const words = (ending ? field.replace(ending, '') : field).replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** The same with the unit its values are kept in: `Open rod, mm`. */
export function fieldNameWithUnit(field: string): string {
  const unit = endingOf(field)?.[1];
  return unit ? `${fieldName(field)}, ${unit}` : fieldName(field);
}
