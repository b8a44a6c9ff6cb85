import { day, list, moment, oneOf, question, whole } from '../fields/index.ts';
import { WALL_COUNT } from '../room/index.ts';
import { DAMP_METHODS } from './method-names.ts';
import { WAYS_OUT } from './ways.ts';

/** Whether water is coming in. */
export const SOURCE = question('damp/source', oneOf('no', 'suspected', 'leak', 'pressure', 'efflorescence'));
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
    words: 'Is water coming in?',
    options: [
      ['no', 'No sign of it'],
      ['suspected', 'A source is suspected'],
      ['leak', 'A leak, or water stands'],
      ['pressure', 'Water pushes up from below'],
      ['efflorescence', 'White salts on the surface'],
    ],
    why: 'No test may pass while damp is still arriving. An old slab with no recorded membrane is taken to have none.',
  },
  {
    asked: MEMBRANE,
    words: 'Membrane under the slab',
    options: [
      ['unknown', 'Not recorded'],
      ['recorded', 'Recorded and seen'],
      ['none', 'None'],
      ['bridged', 'Bridged at a wall'],
    ],
    why: 'Not recorded counts as none: the slab can take up ground damp again.',
  },
  {
    asked: WAIT_H,
    words: 'Wait in the sealed hole',
    options: [
      [24, '24 hours'],
      [72, '72 hours'],
    ],
    why: 'Newer procedures find the hole even after a day; the older rule waits three. Longer is never wrong.',
  },
  {
    asked: FACES,
    words: 'Drying through',
    options: [
      [1, 'One face'],
      [2, 'Both faces'],
    ],
    why: 'On ground, on metal deck or on a membrane only the top dries; the depth of the probe follows.',
  },
  {
    asked: SLAB_FINISH,
    words: 'Finish of the slab',
    options: [
      ['open', 'Ordinary'],
      ['dense', 'Dense, power-floated'],
    ],
    why: 'A dense slab gives its damp to a hood slowly: seven days instead of three.',
  },
] as const;
export type DampQuestion = (typeof DAMP_QUESTIONS)[number];
