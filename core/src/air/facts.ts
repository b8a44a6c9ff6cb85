import { celsius, decimals, moment as clock, say } from '../said/index.ts';
import { group, kind, list, moment, orNull, text, within, type FactOf, type Held } from '../fields/index.ts';

export const AIR_RANGES = {
  tempC: { min: -30, max: 60, unit: '°C', words: say('air.tempC') },
  rhPercent: { min: 1, max: 100, unit: '%RH', words: say('air.rhPercent') },
  surfaceC: { min: -30, max: 80, unit: '°C', words: say('air.surfaceC') },
} as const;
/** Most samples one logger file may hold. */
export const LOG_SAMPLES_MOST = 10_000;

/** Air of the room at one moment, and the surface of the base where it was read. */
export const airReadings = kind(
  'room',
  'Air reading',
  {
    takenAt: moment(),
    tempC: within(AIR_RANGES.tempC, '°C'),
    rhPercent: within(AIR_RANGES.rhPercent, '%RH'),
    surfaceC: orNull(within(AIR_RANGES.surfaceC, '°C')),
    instrument: text(80),
    who: text(80),
    note: text(500),
  },
  {
    logged: {
      as: 'air',
      line: ({ takenAt, tempC, rhPercent, surfaceC }) => ({
        at: takenAt,
        what: say('formats.air'),
        value: say('formats.cRh', { temperature: celsius(tempC), rhPercent: decimals(rhPercent, 1) }),
        conditions: surfaceC === null ? '' : say('formats.surfaceC', { temperature: celsius(surfaceC) }),
      }),
    },
  },
);
export type AirReading = FactOf<typeof airReadings>;

const AIR_SAMPLE = {
  at: moment(),
  tempC: within(AIR_RANGES.tempC, '°C'),
  rhPercent: within(AIR_RANGES.rhPercent, '%RH'),
} as const;
export type AirSample = Held<typeof AIR_SAMPLE>;

/** What a logger left in the room recorded, as one fact. */
export const airLogs = kind(
  'room',
  'Logger file',
  {
    name: text(80),
    instrument: text(80),
    samples: list(group(AIR_SAMPLE), 'samples', LOG_SAMPLES_MOST, 1),
    note: text(500),
  },
  {
    logged: {
      // One line a file: its samples are in the job file.
      as: 'logger',
      line: ({ name, samples }) => ({
        at: samples[0]!.at,
        what: say('formats.loggerFile', { name }),
        value: say('formats.samplesTo', { samplesCount: samples.length, at: clock(samples[samples.length - 1]!.at) }),
      }),
    },
  },
);
export type AirLog = FactOf<typeof airLogs>;

/** What the covering's sheet asks of the air. */
export interface AirBands {
  airMinC: number;
  airMaxC: number;
  airMinRh: number;
  airMaxRh: number;
}
