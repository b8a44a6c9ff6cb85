import { celsius, reach, say } from '../said/index.ts';
import {
  flag,
  group,
  key,
  kind,
  list,
  moment,
  oneOf,
  orNull,
  parent,
  text,
  together,
  within,
  figure,
  type FactOf,
  type Held,
} from '../fields/index.ts';
import { PLACE, SHEET_MM } from '../room/index.ts';
import type { Scan } from '../scan/index.ts';

/** Staff readings outside this are asked back; a five-metre staff is the longest in use. */
export const ROD_MM = { min: 0, max: 5000 } as const;

/** One position of the instrument. A moved or knocked instrument is a new set-up. */
export const setups = kind('room', 'Set-up', {
  name: text(40),
  /** Staff reading on the benchmark at the start, mm; null when this set-up is tied by shared stations instead. */
  openRodMm: orNull(within(ROD_MM, 'mm')),
  /** Staff reading on the same benchmark at the end, mm; null until it is closed. */
  closeRodMm: orNull(within(ROD_MM, 'mm')),
  startedAt: moment(),
});
export type SetUp = FactOf<typeof setups>;

/** One staff reading. A larger reading is a lower floor. */
export const readings = kind('room', 'Reading', {
  setupId: parent('setups'),
  /** Key of the station it was taken at; readings that came from a file carry a key of their own. */
  stationKey: key(60),
  ...PLACE,
  rodMm: within(ROD_MM, 'mm'),
  takenAt: moment(),
  note: text(500),
});
export type RodReading = FactOf<typeof readings>;

/** A station placed by hand, or one of the proposed stations moved or taken out of the walk. */
export const stations = kind('room', 'Station', {
  /** The proposed station this replaces, or null for an added one. */
  replacesKey: orNull(key(60)),
  ...PLACE,
  /** True takes the station out of the walk. */
  dropped: flag(),
});
export type StationMark = FactOf<typeof stations>;

const HEIGHT_MM = { min: -10_000, max: 10_000 } as const;
/** Ways that levelling is done by. */
export const WAY_IDS = ['mixed', 'fill', 'grind', 'ramp', 'plane', 'panel'] as const;

/** What a job can hold of levelling done, with the ranges taken. */
export const WORK_RANGES = {
  bags: { min: 0, max: 2000 },
  tempC: { min: -10, max: 45 },
  rhPercent: { min: 5, max: 100 },
} as const;
export const WORK_STATIONS_MOST = 3000;

/** A station with the height it had and the height the work was to give it, mm over the datum. */
const PREDICTED_STATION = {
  stationKey: key(60),
  ...PLACE,
  beforeMm: within(HEIGHT_MM, 'mm'),
  afterMm: within(HEIGHT_MM, 'mm'),
} as const;
export type PredictedStation = Held<typeof PREDICTED_STATION>;

/** Levelling that was done: what with, in what weather, and what it was to lead to. */
export const works = kind(
  'room',
  'Levelling done',
  {
    way: oneOf(...WAY_IDS),
    doneAt: moment(),
    product: text(80),
    batch: text(60),
    bagsPlanned: within(WORK_RANGES.bags, 'bags'),
    /** Null where none was counted. */
    bagsUsed: orNull(within(WORK_RANGES.bags, 'bags')),
    tempC: orNull(within(WORK_RANGES.tempC, '°C')),
    rhPercent: orNull(within(WORK_RANGES.rhPercent, '%RH')),
    note: text(500),
    predicted: list(group(PREDICTED_STATION), 'stations', WORK_STATIONS_MOST),
  },
  {
    logged: {
      as: 'levelling',
      line: ({ doneAt, way, product, batch, bagsUsed, bagsPlanned, tempC, rhPercent }) => ({
        at: doneAt,
        what: say('formats.levelled', {
          what: together([product, batch && say('formats.batch', { batch })]) || way,
        }),
        value: bagsUsed === null ? '' : say('formats.bagsUsedPlanned', { bagsUsed, bagsPlanned }),
        conditions: together([
          tempC !== null && say('formats.c', { temperature: celsius(tempC) }),
          rhPercent !== null && say('formats.rh', { rhPercent }),
        ]),
      }),
    },
  },
);
export type LevellingWork = FactOf<typeof works>;

/** What was laid: a true edge, or a straight plank where nothing else was to hand (evidence of lower quality). */
export const EDGE_TOOLS = ['straightedge', 'plank'] as const;
export type EdgeTool = (typeof EDGE_TOOLS)[number];

export const EDGE_RANGES = {
  lengthMm: { min: 150, max: 5000 },
  gapMm: { min: 0, max: 100 },
} as const;
export const EDGE_GAPS_MOST = 12;

/** A gap under the edge, read with a wedge or feeler at a place along it. */
const EDGE_GAP = { atMm: figure(0, EDGE_RANGES.lengthMm.max, 'mm'), gapMm: within(EDGE_RANGES.gapMm, 'mm') } as const;
export type EdgeGap = Held<typeof EDGE_GAP>;

/** One placement of a straightedge on the floor, as laid. Places along it are from its first end. */
export const edgeWalks = kind(
  'room',
  'Edge laid',
  {
    fromXMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
    fromYMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
    toXMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
    toYMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
    tool: oneOf(...EDGE_TOOLS),
    /** Where it touches the floor; readings of nothing. One of them only where it rocks. */
    contactsMm: list(figure(0, EDGE_RANGES.lengthMm.max, 'mm'), 'contacts', 2, 1),
    gaps: list(group(EDGE_GAP), 'gaps', EDGE_GAPS_MOST),
    /** It rocks on its contact: the gap under each free end when balanced, mm; null where it lies still. */
    rocksMm: orNull(within(EDGE_RANGES.gapMm, 'mm')),
    takenAt: moment(),
    note: text(500),
    /** Laid where the app asked for it, to try to break a verdict. */
    asked: flag(),
  },
  {
    since: { asked: false },
    logged: {
      as: 'edge',
      line: ({ takenAt, tool, fromXMm, fromYMm, toXMm, toYMm }) => ({
        at: takenAt,
        what: say('formats.ofLaid', {
          edge: tool === 'plank' ? say('formats.sparePlank') : say('formats.straightedge'),
          edgeLengthMm: reach(Math.hypot(toXMm - fromXMm, toYMm - fromYMm)),
        }),
        xMm: fromXMm,
        yMm: fromYMm,
      }),
    },
  },
);
export type EdgeWalk = FactOf<typeof edgeWalks>;

export interface FlatFacts {
  setups: SetUp[];
  readings: RodReading[];
  stations: StationMark[];
  /** Levelling that was done; absent: none. */
  works?: LevellingWork[];
  /** Placements of a straightedge; absent: none. */
  edgeWalks?: EdgeWalk[];
  /** Floors taken from scans; absent: none. */
  scans?: Scan[];
}
