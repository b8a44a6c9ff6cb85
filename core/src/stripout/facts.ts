import type { CoveringCard } from '../coverings/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { HazardFacts } from '../hazards/index.ts';
import type { Answer, Layer, Sample, Tap } from '../layers/index.ts';
import type { Plan, RoomFacts } from '../room/index.ts';
import type { Mark } from '../soundness/index.ts';

/** A step of the strip-out ticked off, with its time. */
export interface Tick {
  id: string;
  key: string;
  doneAt: string;
  note: string;
}

/** The facts of a room strip-out works from. */
export interface StripFacts {
  layers: Layer[];
  samples: Sample[];
  taps: Tap[];
  answers: Answer[];
  ticks: Tick[];
  marks: Mark[];
  figures: { name: string; value: number; source: string }[];
  country: { country: string | null; asbestosFrom: number | null; leadFrom: number | null };
}

export const NO_STRIP_FACTS: StripFacts = {
  layers: [],
  samples: [],
  taps: [],
  answers: [],
  ticks: [],
  marks: [],
  figures: [],
  country: { country: null, asbestosFrom: null, leadFrom: null },
};

/** Everything the parts of strip-out work from, looked up once. */
export interface StripContext {
  room: RoomFacts;
  plan: Plan;
  card: CoveringCard;
  facts: StripFacts;
  hazards: HazardFacts;
  figure: FigureOf;
}

export const CHOICES = ['keep', 'make-good', 'remove'] as const;
export type Choice = (typeof CHOICES)[number];
export const CHOICE_WORDS: Record<Choice, string> = {
  keep: 'Keep and cover',
  'make-good': 'Make good and cover',
  remove: 'Take up',
};

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
