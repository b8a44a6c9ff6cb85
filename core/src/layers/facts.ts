import { say, type Said } from '../said/index.ts';
import {
  day,
  figure,
  group,
  kind,
  list,
  oneOf,
  orNull,
  refersTo,
  text,
  whole,
  within,
  type FactOf,
  type Held,
} from '../fields/index.ts';
import { liesWithin, PLACE, SHEET_MM, SIDES, type Where } from '../room/index.ts';
import {
  ANALYTE_WORDS,
  ANALYTES,
  CONDITIONS,
  FIXINGS,
  LAYER_KINDS,
  PARTS,
  type Analyte,
  type LayerKind,
} from './kinds.ts';
import { LAYER_RANGES, LAYERS } from './table.ts';

/** A known seam of a layer, as a line on the sheet. */
export const SEAM = {
  axMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
  ayMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
  bxMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
  byMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
} as const;
export type Seam = Held<typeof SEAM>;

/** One layer that lies there, somewhere in the room. Lower rank lies higher. */
export const layers = kind('room', 'Layer', {
  kind: oneOf(...LAYER_KINDS),
  rank: figure(-1e9, 1e9),
  thicknessMm: within(LAYER_RANGES.thicknessMm, 'mm'),
  fixing: oneOf(...FIXINGS),
  /** Year it was made or laid, and what the document speaks of: only a year of the layer itself counts. */
  year: orNull(whole(LAYER_RANGES.year.min, LAYER_RANGES.year.max, 'year')),
  yearOf: oneOf('layer', 'building', 'unknown'),
  condition: oneOf(...CONDITIONS),
  where: SIDES,
  seams: list(group(SEAM), 'seams', 60),
  groutMm: orNull(within(LAYER_RANGES.groutMm, 'mm')),
  groutDepthMm: orNull(within(LAYER_RANGES.groutDepthMm, 'mm')),
  lippageMm: orNull(within(LAYER_RANGES.lippageMm, 'mm')),
  /** Found by survey, or during strip-out. */
  foundAt: oneOf('survey', 'strip-out'),
  note: text(500),
});
export type Layer = FactOf<typeof layers>;

const sampleSaid = (result: 'negative' | 'positive', analyte: Analyte | 'unstated' | undefined): Said =>
  analyte === undefined || analyte === 'unstated'
    ? say(result === 'positive' ? 'formats.samplePositive' : 'formats.sampleNegative')
    : say(result === 'positive' ? 'formats.samplePositiveFor' : 'formats.sampleNegativeFor', {
        analyte: ANALYTE_WORDS[analyte],
      });

/** A layer as its kind usually is: what is not known yet is null or unknown. */
export function newLayer(id: string, kind: LayerKind, part: Partial<Layer> = {}): Layer {
  const spec = LAYERS[kind];
  return {
    id,
    kind,
    rank: 0,
    thicknessMm: spec.thicknessMm,
    fixing: spec.fixing,
    year: null,
    yearOf: 'unknown',
    condition: 'sound',
    where: [],
    seams: [],
    groutMm: null,
    groutDepthMm: null,
    lippageMm: null,
    foundAt: 'survey',
    note: '',
    ...part,
  };
}

/**
 * A laboratory's answer for one material of one layer in one area, and for what it was analysed for: nothing else is answered by it.
 * `trim` stands for painted skirting and frames.
 */
export const samples = kind(
  'room',
  'Sample',
  {
    layerId: refersTo('layers'),
    part: oneOf(...PARTS),
    /** What it was analysed for; `unstated` where an earlier record does not say. */
    analyte: oneOf(...ANALYTES, 'unstated'),
    where: SIDES,
    sampleNo: text(60),
    laboratory: text(80),
    resultOn: day(),
    result: oneOf('negative', 'positive'),
    note: text(500),
  },
  {
    since: { analyte: 'unstated' },
    logged: {
      as: 'sample',
      // The day, as the laboratory's letter has it; without one it cannot stand in the order of time.
      line: ({ sampleNo, laboratory, resultOn, result, analyte }) =>
        resultOn === ''
          ? null
          : {
              at: `${resultOn}T00:00:00.000Z`,
              what: say('formats.sample', { sampleNo }),
              value: sampleSaid(result, analyte),
              instrument: laboratory,
            },
    },
  },
);
export type Sample = FactOf<typeof samples>;

/** One tap on a tile or screed: where, and how it sounded. */
export const taps = kind('room', 'Tap', {
  layerId: refersTo('layers'),
  ...PLACE,
  sound: oneOf('sound', 'hollow'),
});
export type Tap = FactOf<typeof taps>;

/** Layers from the top down. */
export function fromTheTop(layers: readonly Layer[]): Layer[] {
  return [...layers].sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
}

/** Layers that lie at a place, from the top down. */
export function stackAt(layers: readonly Layer[], where: Where): Layer[] {
  return fromTheTop(layers).filter((layer) => liesWithin(where, layer.where));
}

export function layerName(layer: Pick<Layer, 'kind'>): Said {
  return LAYERS[layer.kind].words;
}
