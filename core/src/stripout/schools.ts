import { say } from '../said/index.ts';
import { oneOf, question } from '../fields/index.ts';

/** Where practitioners differ: each school with its default first, and why that is the default. */
export const SCHOOLS = {
  'school/vinyl': {
    words: say('stripout.schools.school/vinyl.words'),
    options: {
      skim: say('stripout.schools.school/vinyl.options.skim'),
      remove: say('stripout.schools.school/vinyl.options.remove'),
    },
    why: say('stripout.schools.school/vinyl.why'),
  },
  'school/tile': {
    words: say('stripout.schools.school/tile.words'),
    options: {
      cover: say('stripout.schools.school/tile.options.cover'),
      lift: say('stripout.schools.school/tile.options.lift'),
    },
    why: say('stripout.schools.school/tile.why'),
  },
  'school/staples': {
    words: say('stripout.schools.school/staples.words'),
    options: {
      pull: say('stripout.schools.school/staples.options.pull'),
      sink: say('stripout.schools.school/staples.options.sink'),
    },
    why: say('stripout.schools.school/staples.why'),
  },
  'school/skirting': {
    words: say('stripout.schools.school/skirting.words'),
    options: {
      off: say('stripout.schools.school/skirting.options.off'),
      bead: say('stripout.schools.school/skirting.options.bead'),
    },
    why: say('stripout.schools.school/skirting.why'),
  },
} as const;
export type School = keyof typeof SCHOOLS;
export const SCHOOL_IDS = Object.keys(SCHOOLS) as School[];

/** Which school this room follows, asked for each. */
export const SCHOOL = {
  'school/vinyl': question('school/vinyl', oneOf('skim', 'remove')),
  'school/tile': question('school/tile', oneOf('cover', 'lift')),
  'school/staples': question('school/staples', oneOf('pull', 'sink')),
  'school/skirting': question('school/skirting', oneOf('off', 'bead')),
} as const;
