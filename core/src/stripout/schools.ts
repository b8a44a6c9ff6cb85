import { oneOf, question } from '../fields/index.ts';

/** Where practitioners differ: each school with its default first, and why that is the default. */
export const SCHOOLS = {
  'school/vinyl': {
    words: 'Thin sheet vinyl that is sound',
    options: { skim: 'Skim over it', remove: 'Take it up' },
    why: 'Skimming disturbs nothing that may be suspect and saves the scraping; it needs a firm bond and one layer only.',
  },
  'school/tile': {
    words: 'Tile that is sound',
    options: { cover: 'Cover it', lift: 'Take it up' },
    why: 'Sound tile is a flat, stiff base; lifting it makes silica dust and often opens the bed beneath.',
  },
  'school/staples': {
    words: 'Staples left behind',
    options: { pull: 'Pull them', sink: 'Sink them' },
    why: 'A sunk staple can work up again under thin planks; sinking serves under a panel or pad.',
  },
  'school/skirting': {
    words: 'Skirting',
    options: { off: 'Take off and refit', bead: 'Leave, add a bead' },
    why: 'Refitted skirting hides the gap at the wall without another moulding.',
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
