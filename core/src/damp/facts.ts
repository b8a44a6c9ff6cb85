import type { AirLog, AirReading } from '../air/index.ts';
import type { CoveringCard } from '../coverings/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { HazardFacts } from '../hazards/index.ts';
import type { Answer, Layer } from '../layers/index.ts';
import type { Plan, PointMm, RoomFacts } from '../room/index.ts';
import type { DampMethod } from './methods.ts';

/** One test: a method at a place, from the moment it is set. */
export interface DampTest extends PointMm {
  id: string;
  method: DampMethod;
  name: string;
  /** Hole sealed, hood set, dish exposed, film taped; null where nothing waits. */
  startedAt: string | null;
  /** Depth of hole or sample, mm. */
  depthMm: number | null;
  /** Dish: what it weighed when set, g. */
  startG: number | null;
  /** Dish: area under the dome, m2. */
  areaM2: number | null;
  /** Pins: in the base, or in the covering boards. */
  of: 'base' | 'boards';
  /** Pins: the species group's offset, %MC, and whether the instrument already corrects for temperature. */
  offsetPercent: number;
  compensates: boolean;
  instrument: string;
  /** Day the instrument was last checked; empty when nobody knows. */
  checkedOn: string;
  note: string;
}

/** One reading of a test, as the instrument showed it. */
export interface DampReading {
  id: string;
  testId: string;
  takenAt: string;
  value: number;
  /** Carbide: mass of the sample, g, when `value` is the gauge in bar; null when the instrument shows CM-%. */
  sampleG: number | null;
  tempC: number | null;
  who: string;
  note: string;
}

export const DAMP_RANGES = {
  depthMm: { min: 1, max: 500, unit: 'mm', words: 'Depth of the hole or sample' },
  startG: { min: 1, max: 500, unit: 'g', words: 'Weight when set' },
  areaM2: { min: 0.005, max: 1, unit: 'm²', words: 'Area under the dome' },
  offsetPercent: { min: -5, max: 5, unit: '%MC', words: 'Species offset' },
  value: { min: 0, max: 3600, unit: '', words: 'Reading' },
  sampleG: { min: 5, max: 200, unit: 'g', words: 'Mass of the sample' },
  tempC: { min: -10, max: 80, unit: '°C', words: 'Temperature at the test' },
} as const;

/** What else of the job bears on the number of tests: like bases are counted together. */
export interface LikeBases {
  /** Area of the job's other rooms on a base of like kind and place, m2. */
  otherAreaM2: number;
  /** Tests with a reading in those rooms, by method. */
  otherTests: Partial<Record<DampMethod, number>>;
}

export interface DampFacts {
  airReadings: AirReading[];
  airLogs: AirLog[];
  dampTests: DampTest[];
  dampReadings: DampReading[];
  like: LikeBases;
}

export const NO_DAMP_FACTS: DampFacts = {
  airReadings: [],
  airLogs: [],
  dampTests: [],
  dampReadings: [],
  like: { otherAreaM2: 0, otherTests: {} },
};

/** Everything damp is judged from, looked up once. */
export interface DampContext {
  room: RoomFacts;
  plan: Plan;
  card: CoveringCard;
  facts: DampFacts;
  layers: readonly Layer[];
  answers: readonly Answer[];
  hazards: HazardFacts;
  figure: FigureOf;
  /** The time judged at. */
  atUtc: string;
}

/** Questions of the damp stage, by the topic under which they are answered. */
export const DAMP_QUESTIONS = {
  'damp/source': {
    words: 'Is water coming in?',
    options: {
      no: 'No sign of it',
      suspected: 'A source is suspected',
      leak: 'A leak, or water stands',
      pressure: 'Water pushes up from below',
      efflorescence: 'White salts on the surface',
    },
    why: 'No test may pass while damp is still arriving. An old slab with no recorded membrane is taken to have none.',
  },
  'damp/membrane': {
    words: 'Membrane under the slab',
    options: { unknown: 'Not recorded', recorded: 'Recorded and seen', none: 'None', bridged: 'Bridged at a wall' },
    why: 'Not recorded counts as none: the slab can take up ground damp again.',
  },
  'damp/wait': {
    words: 'Wait in the sealed hole',
    options: { '24': '24 hours', '72': '72 hours' },
    why: 'Newer procedures find the hole even after a day; the older rule waits three. Longer is never wrong.',
  },
  'damp/faces': {
    words: 'Drying through',
    options: { '1': 'One face', '2': 'Both faces' },
    why: 'On ground, on metal deck or on a membrane only the top dries; the depth of the probe follows.',
  },
  'damp/surface': {
    words: 'Finish of the slab',
    options: { open: 'Ordinary', dense: 'Dense, power-floated' },
    why: 'A dense slab gives its damp to a hood slowly: seven days instead of three.',
  },
} as const;
export type DampQuestion = keyof typeof DAMP_QUESTIONS;
