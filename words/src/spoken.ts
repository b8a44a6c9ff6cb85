import { MM_PER_INCH, type UnitSystem } from '@maquette/core/units';

/** A length as it is said aloud on a floor, to the centimetre or the half inch: `1 metre 24`, `4 foot 7 and a half`. */
export function spokenLength(mm: number, units: UnitSystem): string {
  if (units === 'metric') {
    const cm = Math.round(mm / 10);
    const [metres, rest] = [Math.floor(cm / 100), cm % 100];
    if (metres === 0) return `${cm} centimetre${cm === 1 ? '' : 's'}`;
    const whole = `${metres} metre${metres === 1 ? '' : 's'}`;
    // `1 metre 5` would be heard as a metre and a half, or five.
    return rest === 0 ? whole : `${whole} ${rest < 10 ? `and ${rest} centimetre${rest === 1 ? '' : 's'}` : rest}`;
  }
  const halves = Math.round((mm / MM_PER_INCH) * 2);
  const [feet, inches, half] = [Math.floor(halves / 24), Math.floor((halves % 24) / 2), halves % 2 === 1];
  const inWords = half
    ? inches === 0
      ? 'half an inch'
      : `${inches} and a half${feet === 0 ? ' inches' : ''}`
    : inches === 0 && feet > 0
      ? ''
      : `${inches}${feet === 0 ? ` inch${inches === 1 ? '' : 'es'}` : ''}`;
  return [feet > 0 ? `${feet} foot` : '', inWords].filter(Boolean).join(' ');
}
