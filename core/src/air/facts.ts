/** Air of the room at one moment, and the surface of the base where it was read. */
export interface AirReading {
  id: string;
  takenAt: string;
  tempC: number;
  rhPercent: number;
  surfaceC: number | null;
  instrument: string;
  who: string;
  note: string;
}

export interface AirSample {
  at: string;
  tempC: number;
  rhPercent: number;
}

/** What a logger left in the room recorded, as one fact. */
export interface AirLog {
  id: string;
  name: string;
  instrument: string;
  samples: AirSample[];
  note: string;
}

export const AIR_RANGES = {
  tempC: { min: -30, max: 60, unit: '°C', words: 'Air temperature' },
  rhPercent: { min: 1, max: 100, unit: '%RH', words: 'Relative humidity' },
  surfaceC: { min: -30, max: 80, unit: '°C', words: 'Surface temperature' },
} as const;
/** Most samples one logger file may hold. */
export const LOG_SAMPLES_MOST = 10_000;

/** What the covering's sheet asks of the air. */
export interface AirBands {
  airMinC: number;
  airMaxC: number;
  airMinRh: number;
  airMaxRh: number;
}
