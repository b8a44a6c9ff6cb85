export { DAMP_METHODS, type DampMethod } from './method-names.ts';
export {
  DAMP_RANGES,
  type DampContext,
  type DampFacts,
  type DampTest,
  type LikeBases,
  type OtherRoom,
  NO_DAMP_FACTS,
} from './facts.ts';
export { type DampLimit, type DampState, judgeDamp, limitOf, type MethodState } from './judge.ts';
export { GRADES_OF, METHOD_SPECS, testName, methodsFor, qualifyingMethods, testsForArea } from './methods.ts';
export { onGround } from './ground.ts';
export { needOf, OUTER_WALL_MM, outerWallsOf, placesApart, proposePlaces } from './needs.ts';
export { type DampResult, dampResults, facesOf, probeWaitH, surfaceMarginC } from './result.ts';
export {
  type DryingForecast,
  FORECAST_LEAST,
  forecastProbe,
  type ProbeSeries,
  probeSeries,
  ruleOfThumb,
  usualPlan,
} from './series.ts';
export { testGate } from './test-gate.ts';
export { absorbencyOf, carbidePercent, emissionGM2Day, emissionLb, pinPercent, probeDepthMm } from './values.ts';
export { waitRefused, WAY_WORDS, waysOut } from './ways-out.ts';
export { surveyMap } from './survey-map.ts';
export {
  BOXES_IN,
  CHANGED,
  DAMP_QUESTIONS,
  type DampQuestion,
  HEAT_UP,
  LAYING_DAY,
  MEMBRANE,
  METHOD,
  OUTER_WALLS,
  SLAB_FINISH,
  SOURCE,
  WAIT_H,
  WAY_OUT,
  WEATHERTIGHT,
} from './questions.ts';
