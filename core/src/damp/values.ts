/** Probe depth as a share of the thickness: 40 % drying from one side, 20 % from both (ASTM F2170 and common practice). */
export function probeDepthMm(thicknessMm: number, faces: 1 | 2): number {
  return (faces === 1 ? 0.4 : 0.2) * thicknessMm;
}

/** Vapour emission, g/(m2 24 h), from the weight a dish gained over an area in some hours. */
export function emissionGM2Day(gainG: number, areaM2: number, hours: number): number {
  return (gainG * 24) / (areaM2 * hours);
}

const G_PER_LB = 453.59237;
const M2_PER_1000_FT2 = 92.90304;

/** The same emission in pounds per 1000 square feet in 24 h, as older sheets state it. */
export function emissionLb(gM2Day: number): number {
  return (gM2Day * M2_PER_1000_FT2) / G_PER_LB;
}

/** Water by the carbide method, CM-%, from gauge pressure and sample mass (1 bar is 1 g of water; 5 % at 20 g). */
export function carbidePercent(pressureBar: number, sampleG: number): number {
  return (100 * pressureBar) / sampleG;
}

const PIN_REFERENCE_C = 20;
const PIN_PER_C = 0.1;

/** Pin reading corrected for species and, where the instrument does not, for temperature: colder wood reads too low. */
export function pinPercent(reading: number, offsetPercent: number, tempC: number | null, compensates: boolean): number {
  const warmth = compensates || tempC === null ? 0 : PIN_PER_C * (PIN_REFERENCE_C - tempC);
  return reading + offsetPercent + warmth;
}

/** What a water drop tells of a surface. */
export function absorbencyOf(seconds: number): 'porous' | 'normal' | 'dense' {
  return seconds <= 60 ? 'porous' : seconds <= 300 ? 'normal' : 'dense';
}
