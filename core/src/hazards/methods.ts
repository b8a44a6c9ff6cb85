import { say, type Said } from '../said/index.ts';
/** What hands and tools do to a floor, as far as hazards are concerned. */
export interface MethodSpec {
  words: Said;
  /** Whether it disturbs what it touches: wears, breaks, heats, pierces or pulls at it. */
  disturbs: boolean;
  /** Goes into the base: pipes, cables and tendons matter. */
  pierces?: true;
  /** Raises dust from mineral materials. */
  dusty?: true;
  /** Power tool, flame or heat on a painted or varnished surface. */
  hotOrPowered?: true;
}

export const METHODS = {
  sand: { words: say('hazards.methods.sand.words'), disturbs: true, dusty: true, hotOrPowered: true },
  grind: { words: say('hazards.methods.grind.words'), disturbs: true, dusty: true, hotOrPowered: true },
  scrape: { words: say('hazards.methods.scrape.words'), disturbs: true },
  break: { words: say('hazards.methods.break.words'), disturbs: true, dusty: true },
  heat: { words: say('hazards.methods.heat.words'), disturbs: true, hotOrPowered: true },
  flame: { words: say('hazards.methods.flame.words'), disturbs: true, hotOrPowered: true },
  saw: { words: say('hazards.methods.saw.words'), disturbs: true, dusty: true },
  score: { words: say('hazards.methods.score.words'), disturbs: true },
  drill: { words: say('hazards.methods.drill.words'), disturbs: true, pierces: true, dusty: true },
  chisel: { words: say('hazards.methods.chisel.words'), disturbs: true, dusty: true },
  sweep: { words: say('hazards.methods.sweep.words'), disturbs: true, dusty: true },
  'vacuum-debris': { words: say('hazards.methods.vacuum-debris.words'), disturbs: true },
  screw: { words: say('hazards.methods.screw.words'), disturbs: true, pierces: true },
  staple: { words: say('hazards.methods.staple.words'), disturbs: true, pierces: true },
  'pull-staples': { words: say('hazards.methods.pull-staples.words'), disturbs: true },
  'lift-bonded': { words: say('hazards.methods.lift-bonded.words'), disturbs: true },
  'hard-tap': { words: say('hazards.methods.hard-tap.words'), disturbs: true },
  prime: { words: say('hazards.methods.prime.words'), disturbs: true },
  'probe-hole': { words: say('hazards.methods.probe-hole.words'), disturbs: true, pierces: true, dusty: true },
  'carbide-sample': { words: say('hazards.methods.carbide-sample.words'), disturbs: true, dusty: true },
  'grind-for-dish': { words: say('hazards.methods.grind-for-dish.words'), disturbs: true, dusty: true },
  scratch: { words: say('hazards.methods.scratch.words'), disturbs: true },
  'pin-meter': { words: say('hazards.methods.pin-meter.words'), disturbs: true },
  look: { words: say('hazards.methods.look.words'), disturbs: false },
  measure: { words: say('hazards.methods.measure.words'), disturbs: false },
  'light-tap': { words: say('hazards.methods.light-tap.words'), disturbs: false },
  'survey-meter': { words: say('hazards.methods.survey-meter.words'), disturbs: false },
  'surface-hood': { words: say('hazards.methods.surface-hood.words'), disturbs: false },
  'film-square': { words: say('hazards.methods.film-square.words'), disturbs: false },
  'cover-floating': { words: say('hazards.methods.cover-floating.words'), disturbs: false },
  'roll-up': { words: say('hazards.methods.roll-up.words'), disturbs: false },
  unclick: { words: say('hazards.methods.unclick.words'), disturbs: false },
  'lever-trim': { words: say('hazards.methods.lever-trim.words'), disturbs: false },
} as const satisfies Record<string, MethodSpec>;

export type Method = keyof typeof METHODS;
export const METHOD_NAMES = Object.keys(METHODS) as Method[];
