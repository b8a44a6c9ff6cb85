/** What the air part says. */
export const air = {
  'air.temp-c.words': 'Air temperature',
  'air.rh-percent.words': 'Relative humidity',
  'air.surface-c.words': 'Surface temperature',
  'air.too-damp': 'too damp',
  'air.too-dry': 'too dry',
  'air.too-cold': 'too cold',
  'air.too-warm': 'too warm',
};
