import { oneOf, question } from '../fields/index.ts';

/** Whether access rules apply to the room: steps and bars are then held against the code of the place. */
export const ACCESS = question('heights/access', oneOf('no', 'yes'));

/** Marks a leaf that is trimmed or a flange that is ringed: its step is ticked by this, and the id of what it is about. */
export const HEIGHT_DONE = 'height/';
