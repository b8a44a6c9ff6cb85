import { say } from '../said/index.ts';
import { oneOf, question } from '../fields/index.ts';

/** Where practitioners differ: each school with its default first, and why that is the default. */
export const SCHOOLS = {
  'school/vinyl': {
    words: say('stripout.schoolsSchoolVinyl'),
    options: {
      skim: say('stripout.schoolsSchoolVinylOptionsSkim'),
      remove: say('stripout.schoolsSchoolVinylOptionsRemove'),
    },
    why: say('stripout.schoolsSchoolVinylWhy'),
  },
  'school/tile': {
    words: say('stripout.schoolsSchoolTile'),
    options: {
      cover: say('stripout.schoolsSchoolTileOptionsCover'),
      lift: say('stripout.schoolsSchoolTileOptionsLift'),
    },
    why: say('stripout.schoolsSchoolTileWhy'),
  },
  'school/staples': {
    words: say('stripout.schoolsSchoolStaples'),
    options: {
      pull: say('stripout.schoolsSchoolStaplesOptionsPull'),
      sink: say('stripout.schoolsSchoolStaplesOptionsSink'),
    },
    why: say('stripout.schoolsSchoolStaplesWhy'),
  },
  'school/skirting': {
    words: say('stripout.schoolsSchoolSkirting'),
    options: {
      off: say('stripout.schoolsSchoolSkirtingOptionsOff'),
      bead: say('stripout.schoolsSchoolSkirtingOptionsBead'),
    },
    why: say('stripout.schoolsSchoolSkirtingWhy'),
  },
} as const;
export type School = keyof typeof SCHOOLS;
export const SCHOOL_IDS = Object.keys(SCHOOLS) as School[];

/** What the skirting of this room is: what is of tile breaks when it is levered off, and its bed may be suspect. */
export const SKIRTING_KIND = question('trim/kind', oneOf('wood', 'tile', 'none'));

/** Which school this room follows, asked for each. */
export const SCHOOL = {
  'school/vinyl': question('school/vinyl', oneOf('skim', 'remove')),
  'school/tile': question('school/tile', oneOf('cover', 'lift')),
  'school/staples': question('school/staples', oneOf('pull', 'sink')),
  'school/skirting': question('school/skirting', oneOf('off', 'bead')),
} as const;
