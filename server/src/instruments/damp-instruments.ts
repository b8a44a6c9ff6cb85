import { normal, seeded } from '@maquette/core/units';

/** Instruments of damp that the server stands in for. */
export const DAMP_INSTRUMENTS = ['hygrometer', 'probe-reader', 'pin-meter', 'survey-meter'] as const;
type DampInstrument = (typeof DAMP_INSTRUMENTS)[number];

/** One value as an instrument sends it. */
interface InstrumentValue {
  instrument: DampInstrument;
  /** %RH, %MC or the meter's own %, as the instrument shows. */
  value: number;
  tempC: number;
  takenAt: string;
  batteryPct: number;
}

/** What it says next: a value, nothing for the moment, or that its battery is flat. */
export type InstrumentEvent = { event: 'value'; data: InstrumentValue } | { event: 'lost' } | { event: 'flat' };

interface Nature {
  middle: number;
  /** How far the floor varies from place to place. */
  spread: number;
  noise: number;
  /** What it still has to settle when it is switched on, and how fast. */
  settles: number;
  least: number;
  most: number;
}

const NATURE: Record<DampInstrument, Nature> = {
  hygrometer: { middle: 54, spread: 2, noise: 0.3, settles: -3, least: 5, most: 99 },
  'probe-reader': { middle: 82, spread: 4, noise: 0.4, settles: -5, least: 20, most: 100 },
  'pin-meter': { middle: 11, spread: 1.5, noise: 0.2, settles: 0, least: 5, most: 60 },
  'survey-meter': { middle: 3.2, spread: 0.5, noise: 0.1, settles: 0, least: 0, most: 12 },
};

const SETTLE_READINGS = 6;
const DRIFT_PER_READING = 0.002;
/** A corner where the membrane is bridged, as the demo has it: within this of the sheet's first corner it is wetter. */
const WET_CORNER_MM = 1200;
const WET_SHARE = 0.45;
const LOST_SHARE = 0.02;
const FLAT_AFTER = 240;
const FIRST_BATTERY_PCT = 71;

/**
 * A stand-in for one instrument held at a place: it settles, drifts a little, is noisy, loses its connection now and then, and its
 * battery ends. The same seed gives the same values.
 */
export function dampInstrument(
  instrument: DampInstrument,
  xMm: number,
  yMm: number,
  seed: number,
): (now: string) => InstrumentEvent {
  const nature = NATURE[instrument];
  const chance = seeded(seed);
  const wet = instrument === 'hygrometer' ? 0 : Math.max(0, 1 - Math.hypot(xMm, yMm) / WET_CORNER_MM);
  const place = Math.sin(xMm / 1300) * Math.cos(yMm / 1700);
  const truth = nature.middle * (1 + wet * WET_SHARE) + nature.spread * place;
  const tempC = 18 + 0.6 * place;
  let sent = 0;
  return (takenAt) => {
    sent++;
    if (sent > FLAT_AFTER) return { event: 'flat' };
    if (chance() < LOST_SHARE) return { event: 'lost' };
    const settling = nature.settles * Math.exp(-sent / SETTLE_READINGS);
    const value = truth + settling + DRIFT_PER_READING * sent + nature.noise * normal(chance);
    return {
      event: 'value',
      data: {
        instrument,
        value: Math.round(Math.min(nature.most, Math.max(nature.least, value)) * 10) / 10,
        tempC: Math.round((tempC + 0.1 * normal(chance)) * 10) / 10,
        takenAt,
        batteryPct: Math.max(1, FIRST_BATTERY_PCT - Math.floor((sent / FLAT_AFTER) * FIRST_BATTERY_PCT)),
      },
    };
  };
}
