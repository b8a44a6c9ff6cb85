import { liesWithin, type Where } from '../room/index.ts';
import type { Condition, Fixing, LayerKind, Part } from './kinds.ts';
import { LAYERS } from './table.ts';

/** A known seam of a layer, as a line on the sheet. */
export interface Seam {
  axMm: number;
  ayMm: number;
  bxMm: number;
  byMm: number;
}

/** One layer that lies there, somewhere in the room. Lower rank lies higher. */
export interface Layer {
  id: string;
  kind: LayerKind;
  rank: number;
  thicknessMm: number;
  fixing: Fixing;
  /** Year it was made or laid, and what the document speaks of: only a year of the layer itself counts. */
  year: number | null;
  yearOf: 'layer' | 'building' | 'unknown';
  condition: Condition;
  where: Where;
  seams: readonly Seam[];
  groutMm: number | null;
  groutDepthMm: number | null;
  lippageMm: number | null;
  /** Found by survey, or during strip-out. */
  foundAt: 'survey' | 'strip-out';
  note: string;
}

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

/** A laboratory's answer for one material of one layer in one area. `trim` stands for painted skirting and frames. */
export interface Sample {
  id: string;
  layerId: string;
  part: Part;
  where: Where;
  sampleNo: string;
  laboratory: string;
  resultOn: string;
  result: 'negative' | 'positive';
  note: string;
}

/** One tap on a tile or screed: where, and how it sounded. */
export interface Tap {
  id: string;
  layerId: string;
  xMm: number;
  yMm: number;
  sound: 'sound' | 'hollow';
}

/** Something asked and answered once for a room: a choice, a school, a hazard seen. */
export interface Answer {
  id: string;
  topic: string;
  value: string;
  note: string;
}

/** Layers from the top down. */
export function fromTheTop(layers: readonly Layer[]): Layer[] {
  return [...layers].sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
}

/** Layers that lie at a place, from the top down. */
export function stackAt(layers: readonly Layer[], where: Where): Layer[] {
  return fromTheTop(layers).filter((layer) => liesWithin(where, layer.where));
}

/** The newest answer to a topic, or null. Answers are given newest last. */
export function answerTo(answers: readonly Answer[], topic: string): string | null {
  return answers.findLast((a) => a.topic === topic)?.value ?? null;
}

export function layerName(layer: Pick<Layer, 'kind'>): string {
  return LAYERS[layer.kind].words;
}
