import { oneOf, question } from '../fields/index.ts';

/** Whether access rules apply to the room: steps and bars are then held against the code of the place. */
export const ACCESS = question('heights/access', oneOf('no', 'yes'));
