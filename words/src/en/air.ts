/** What the air part says. */
export const air = {
  'air.tempC': 'Air temperature',
  'air.rhPercent': 'Relative humidity',
  'air.surfaceC': 'Surface temperature',
  'air.tooDamp': 'too damp',
  'air.tooDry': 'too dry',
  'air.tooCold': 'too cold',
  'air.tooWarm': 'too warm',
};
