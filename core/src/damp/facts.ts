import { celsius, decimals, reach, say } from '../said/index.ts';
import type { AirLog, AirReading } from '../air/index.ts';
import type { CoveringCard } from '../coverings/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { HazardFacts } from '../hazards/index.ts';
import {
  flag,
  kind,
  moment,
  oneOf,
  orNull,
  refersTo,
  text,
  together,
  within,
  type Answer,
  type FactOf,
} from '../fields/index.ts';
import type { Layer } from '../layers/index.ts';
import { PLACE, type Plan, type RoomFacts } from '../room/index.ts';
import { DAMP_METHODS, type DampMethod } from './method-names.ts';

export const DAMP_RANGES = {
  depthMm: { min: 1, max: 500, unit: 'mm', words: say('damp.depthMm') },
  startG: { min: 1, max: 500, unit: 'g', words: say('damp.startG') },
  areaM2: { min: 0.005, max: 1, unit: 'm²', words: say('damp.areaM2') },
  offsetPercent: { min: -5, max: 5, unit: '%MC', words: say('damp.offsetPercent') },
  value: { min: 0, max: 3600, unit: '', words: say('damp.value') },
  sampleG: { min: 5, max: 200, unit: 'g', words: say('damp.sampleG') },
  tempC: { min: -10, max: 80, unit: '°C', words: say('damp.tempC') },
} as const;

/** One test: a method at a place, from the moment it is set. */
export const dampTests = kind(
  'room',
  'Damp test',
  {
    method: oneOf(...DAMP_METHODS),
    name: text(40),
    ...PLACE,
    /** Hole sealed, hood set, dish exposed, film taped; null where nothing waits. */
    startedAt: orNull(moment()),
    /** Depth of hole or sample, mm. */
    depthMm: orNull(within(DAMP_RANGES.depthMm, 'mm')),
    /** Dish: what it weighed when set, g. */
    startG: orNull(within(DAMP_RANGES.startG, 'g')),
    /** Dish: area under the dome, m2. */
    areaM2: orNull(within(DAMP_RANGES.areaM2, 'm²')),
    /** Pins: in the base, or in the covering boards. */
    of: oneOf('base', 'boards'),
    /** Pins: the species group's offset, %MC, and whether the instrument already corrects for temperature. */
    offsetPercent: within(DAMP_RANGES.offsetPercent, '%MC'),
    compensates: flag(),
    instrument: text(80),
    /** Day the instrument was last checked; empty when nobody knows. */
    checkedOn: text(40),
    note: text(500),
  },
  {
    logged: {
      as: 'test',
      line: ({ name, startedAt, depthMm, instrument, checkedOn }) =>
        startedAt === null
          ? null
          : {
              at: startedAt,
              what: say('formats.set', { test: name }),
              value: depthMm === null ? '' : say('formats.deep', { depthMm: reach(depthMm) }),
              instrument: together([instrument, checkedOn && say('formats.checked', { checkedOn })]),
            },
    },
  },
);
export type DampTest = FactOf<typeof dampTests>;

/** One reading of a test, as the instrument showed it. */
export const dampReadings = kind(
  'room',
  'Damp reading',
  {
    testId: refersTo('dampTests'),
    takenAt: moment(),
    value: within(DAMP_RANGES.value),
    /** Carbide: mass of the sample, g, when `value` is the gauge in bar; null when the instrument shows CM-%. */
    sampleG: orNull(within(DAMP_RANGES.sampleG, 'g')),
    tempC: orNull(within(DAMP_RANGES.tempC, '°C')),
    who: text(80),
    note: text(500),
  },
  {
    logged: {
      as: 'damp',
      line: ({ takenAt, value, tempC }) => ({
        at: takenAt,
        what: say('formats.dampReading', { value: decimals(value, 2) }),
        conditions: tempC === null ? '' : say('formats.c', { temperature: celsius(tempC) }),
      }),
    },
  },
);
export type DampReading = FactOf<typeof dampReadings>;

/** What else of the job bears on the number of tests: like bases are counted together. */
export interface LikeBases {
  /** Area of the job's other rooms on a base of like kind and place, m2. */
  otherAreaM2: number;
  /** Tests that count in rooms of which no more is known, by method. */
  otherTests: Partial<Record<DampMethod, number>>;
  /** The other rooms with what was tested in them: of that counts what is valid there. */
  others?: readonly OtherRoom[];
}

/** Another room of the job on a like base, as far as its damp tests are judged by it. */
export interface OtherRoom {
  room: RoomFacts;
  answers: readonly Answer[];
  airReadings: readonly AirReading[];
  airLogs: readonly AirLog[];
  dampTests: readonly DampTest[];
  dampReadings: readonly DampReading[];
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
