import { say, type Said } from '../said/index.ts';
/** What hands and tools do to a floor, as far as hazards are concerned. */
export interface MethodSpec {
  words: Said;
  /** Whether it disturbs what it touches: wears, breaks, heats, pierces or pulls at it. */
  disturbs: boolean;
  /** Goes into the base: pipes, cables and tendons matter. */
  pierces?: true;
  /** Strikes into what lies on the base and the skin of it: pipes and cables matter, tendons lie deeper. */
  strikes?: true;
  /** Wears the base down: heating that lies in it at an unknown depth matters. */
  abrades?: true;
  /** Raises dust from mineral materials. */
  dusty?: true;
  /** Power tool, flame or heat on a painted or varnished surface. */
  hotOrPowered?: true;
}

export const METHODS = {
  sand: { words: say('hazards.methodsSand'), disturbs: true, dusty: true, hotOrPowered: true },
  grind: { words: say('hazards.methodsGrind'), disturbs: true, abrades: true, dusty: true, hotOrPowered: true },
  scrape: { words: say('hazards.methodsScrape'), disturbs: true },
  break: { words: say('hazards.methodsBreak'), disturbs: true, strikes: true, dusty: true },
  heat: { words: say('hazards.methodsHeat'), disturbs: true, hotOrPowered: true },
  flame: { words: say('hazards.methodsFlame'), disturbs: true, hotOrPowered: true },
  saw: { words: say('hazards.methodsSaw'), disturbs: true, dusty: true },
  score: { words: say('hazards.methodsScore'), disturbs: true },
  chase: { words: say('hazards.methodsChase'), disturbs: true, pierces: true, dusty: true },
  drill: { words: say('hazards.methodsDrill'), disturbs: true, pierces: true, dusty: true },
  chisel: { words: say('hazards.methodsChisel'), disturbs: true, strikes: true, dusty: true },
  sweep: { words: say('hazards.methodsSweep'), disturbs: true, dusty: true },
  'vacuum-debris': { words: say('hazards.methodsVacuumDebris'), disturbs: true },
  screw: { words: say('hazards.methodsScrew'), disturbs: true, pierces: true },
  staple: { words: say('hazards.methodsStaple'), disturbs: true, pierces: true },
  'pull-staples': { words: say('hazards.methodsPullStaples'), disturbs: true },
  'lift-bonded': { words: say('hazards.methodsLiftBonded'), disturbs: true },
  'hard-tap': { words: say('hazards.methodsHardTap'), disturbs: true },
  prime: { words: say('hazards.methodsPrime'), disturbs: true },
  'probe-hole': { words: say('hazards.methodsProbeHole'), disturbs: true, pierces: true, dusty: true },
  'carbide-sample': { words: say('hazards.methodsCarbideSample'), disturbs: true, pierces: true, dusty: true },
  'grind-for-dish': { words: say('hazards.methodsGrindForDish'), disturbs: true, dusty: true },
  scratch: { words: say('hazards.methodsScratch'), disturbs: true },
  'pin-meter': { words: say('hazards.methodsPinMeter'), disturbs: true },
  look: { words: say('hazards.methodsLook'), disturbs: false },
  measure: { words: say('hazards.methodsMeasure'), disturbs: false },
  'walk-over': { words: say('hazards.methodsWalkOver'), disturbs: false },
  'light-tap': { words: say('hazards.methodsLightTap'), disturbs: false },
  'survey-meter': { words: say('hazards.methodsSurveyMeter'), disturbs: false },
  'surface-hood': { words: say('hazards.methodsSurfaceHood'), disturbs: false },
  'film-square': { words: say('hazards.methodsFilmSquare'), disturbs: false },
  'cover-floating': { words: say('hazards.methodsCoverFloating'), disturbs: false },
  'roll-up': { words: say('hazards.methodsRollUp'), disturbs: false },
  unclick: { words: say('hazards.methodsUnclick'), disturbs: false },
  'lever-trim': { words: say('hazards.methodsLeverTrim'), disturbs: false },
} as const satisfies Record<string, MethodSpec>;

export type Method = keyof typeof METHODS;
export const METHOD_NAMES = Object.keys(METHODS) as Method[];
