import { units } from './units.ts';
import { formats } from './formats.ts';
import { said } from './said.ts';
import { asked } from './asked.ts';
import { air } from './air.ts';
import { coverings } from './coverings.ts';
import { room } from './room.ts';

/** What is said before a room is opened: in the book, in forms, where a write is asked back. */
export const first = { ...units, ...said, ...asked, ...room, ...coverings, ...formats, ...air };
