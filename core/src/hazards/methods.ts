/** What hands and tools do to a floor, as far as hazards are concerned. */
export interface MethodSpec {
  words: string;
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
  sand: { words: 'Sand', disturbs: true, dusty: true, hotOrPowered: true },
  grind: { words: 'Grind', disturbs: true, dusty: true, hotOrPowered: true },
  scrape: { words: 'Scrape', disturbs: true },
  break: { words: 'Break', disturbs: true, dusty: true },
  heat: { words: 'Heat', disturbs: true, hotOrPowered: true },
  flame: { words: 'Use a flame', disturbs: true, hotOrPowered: true },
  saw: { words: 'Saw', disturbs: true, dusty: true },
  score: { words: 'Score with a knife', disturbs: true },
  drill: { words: 'Drill', disturbs: true, pierces: true, dusty: true },
  chisel: { words: 'Chisel', disturbs: true, dusty: true },
  sweep: { words: 'Sweep dry', disturbs: true, dusty: true },
  'vacuum-debris': { words: 'Vacuum debris', disturbs: true },
  screw: { words: 'Screw', disturbs: true, pierces: true },
  staple: { words: 'Staple', disturbs: true, pierces: true },
  'pull-staples': { words: 'Pull staples', disturbs: true },
  'lift-bonded': { words: 'Lift a bonded layer', disturbs: true },
  'hard-tap': { words: 'Tap hard', disturbs: true },
  prime: { words: 'Prepare and prime', disturbs: true },
  'probe-hole': { words: 'Drill a probe hole', disturbs: true, pierces: true, dusty: true },
  'carbide-sample': { words: 'Break out a carbide sample', disturbs: true, dusty: true },
  'grind-for-dish': { words: 'Grind for a vapour dish', disturbs: true, dusty: true },
  scratch: { words: 'Scratch test', disturbs: true },
  'pin-meter': { words: 'Push pins in', disturbs: true },
  look: { words: 'Look and photograph', disturbs: false },
  measure: { words: 'Read levels', disturbs: false },
  'light-tap': { words: 'Tap lightly', disturbs: false },
  'survey-meter': { words: 'Survey with a meter', disturbs: false },
  'surface-hood': { words: 'Set a hood on the surface', disturbs: false },
  'film-square': { words: 'Tape a film down', disturbs: false },
  'cover-floating': { words: 'Cover with a floating floor', disturbs: false },
  'roll-up': { words: 'Roll up what lies loose', disturbs: false },
  unclick: { words: 'Unclick', disturbs: false },
  'lever-trim': { words: 'Lever trim off', disturbs: false },
} as const satisfies Record<string, MethodSpec>;

export type Method = keyof typeof METHODS;
export const METHOD_NAMES = Object.keys(METHODS) as Method[];
