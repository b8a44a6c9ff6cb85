import { say } from '../said/index.ts';
import { day, list, moment, oneOf, question, whole } from '../fields/index.ts';
import { WALL_COUNT } from '../room/index.ts';
import { DAMP_METHODS } from './method-names.ts';
import { WAYS_OUT } from './ways.ts';

/** Whether water is coming in. */
export const SOURCE = question('damp/source', oneOf('no', 'suspected', 'leak', 'pressure', 'efflorescence'));
/** Whether a heated screed has been heated up as its record says, before it is measured. */
export const HEAT_UP = question('damp/heat-up', oneOf('unknown', 'recorded', 'not-done'));
export const MEMBRANE = question('damp/membrane', oneOf('unknown', 'recorded', 'none', 'bridged'));
/** Hours a hole stays sealed before it is read. */
export const WAIT_H = question('damp/wait', oneOf(24, 72));
/** Faces a slab dries through. */
export const FACES = question('damp/faces', oneOf(1, 2));
export const SLAB_FINISH = question('damp/surface', oneOf('open', 'dense'));
/** Outer walls by their number from 0; an empty list: none. */
export const OUTER_WALLS = question('damp/outer-walls', list(whole(0, WALL_COUNT.max - 1), 'walls', WALL_COUNT.max));
/** Day the room was weathertight and the slab cured. */
export const WEATHERTIGHT = question('damp/weathertight', day());
/** Day heating or weather-tightness last changed. */
export const CHANGED = question('damp/changed', day());
export const METHOD = question('damp/method', oneOf(...DAMP_METHODS));
export const WAY_OUT = question('damp/way-out', oneOf(...WAYS_OUT));
/** Day the planks are wanted. */
export const LAYING_DAY = question('lay/date', day());
/** When the boxes were brought in. */
export const BOXES_IN = question('acclimatise/from', moment());

/** Questions put side by side on the damp stage: what each answer is called, and what it changes. */
export const DAMP_QUESTIONS = [
  {
    asked: SOURCE,
    words: say('damp.1'),
    options: [
      ['no', say('damp.1Options12')],
      ['suspected', say('damp.1Options22')],
      ['leak', say('damp.1Options32')],
      ['pressure', say('damp.1Options42')],
      ['efflorescence', say('damp.1Options52')],
    ],
    why: say('damp.1Why'),
  },
  {
    asked: MEMBRANE,
    words: say('damp.2'),
    options: [
      ['unknown', say('damp.2Options12')],
      ['recorded', say('damp.2Options22')],
      ['none', say('damp.2Options32')],
      ['bridged', say('damp.2Options42')],
    ],
    why: say('damp.2Why'),
  },
  {
    asked: HEAT_UP,
    words: say('damp.heatUp'),
    options: [
      ['unknown', say('damp.heatUpUnknown')],
      ['recorded', say('damp.heatUpRecorded')],
      ['not-done', say('damp.heatUpNotDone')],
    ],
    why: say('damp.heatUpWhy'),
  },
  {
    asked: WAIT_H,
    words: say('damp.3'),
    options: [
      [24, '24 hours'],
      [72, '72 hours'],
    ],
    why: say('damp.3Why'),
  },
  {
    asked: FACES,
    words: say('damp.4'),
    options: [
      [1, say('damp.4Options12')],
      [2, say('damp.4Options22')],
    ],
    why: say('damp.4Why'),
  },
  {
    asked: SLAB_FINISH,
    words: say('damp.5'),
    options: [
      ['open', say('damp.5Options12')],
      ['dense', say('damp.5Options22')],
    ],
    why: say('damp.5Why'),
  },
] as const;
export type DampQuestion = (typeof DAMP_QUESTIONS)[number];
