export { fromTheTop, type Layer, layerName, newLayer, type Sample, type Seam, type Tap } from './facts.ts';
export {
  type Analyte,
  ANALYTE_WORDS,
  ANALYTES,
  CONDITION_WORDS,
  CONDITIONS,
  FIXINGS,
  type Hazard,
  LAYER_KINDS,
  type LayerKind,
  type LayerSpec,
  type Part,
  PART_WORDS,
  PARTS,
} from './kinds.ts';
export { type AreaStack, areaStacks } from './section.ts';
export { LAYER_RANGES, LAYERS } from './table.ts';
