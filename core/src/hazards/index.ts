export { type CountryFacts, CUT_OFFS, releasedFrom } from './cutoffs.ts';
export {
  type Caution,
  type Gate,
  gateOf,
  HEATING,
  type HazardFacts,
  type LayerGate,
  mayDo,
  mayDoAll,
  raisesSilica,
  type Stop,
  trimYear,
} from './gate.ts';
export { cautionSaid, decidedBy, stopSaid, stopsSaid } from './decided.ts';
export { LABORATORY } from './gate.ts';
export { stopsOfServices } from './service-gate.ts';
export { type Method, METHOD_NAMES, METHODS, type MethodSpec } from './methods.ts';
export { materialsOf, trimState } from './state.ts';
export { HEATING_LOCATED, SITE, SITE_HAZARD_IDS, SITE_HAZARDS, TENSION, TRIM_YEAR } from './questions.ts';
