import { say, type Said } from '../said/index.ts';
import type { CoveringCard } from '../coverings/index.ts';
import type { FigureOf, OwnFigure } from '../figures/index.ts';
import type { HazardFacts } from '../hazards/index.ts';
import type { LevelFact } from '../heights/index.ts';
import { key, kind, moment, oneOf, refersTo, text, type Answer, type FactOf } from '../fields/index.ts';
import type { Layer, Sample, Tap } from '../layers/index.ts';
import type { Plan, RoomFacts } from '../room/index.ts';
import type { Mark } from '../soundness/index.ts';

export const CHOICES = ['keep', 'make-good', 'remove'] as const;
export type Choice = (typeof CHOICES)[number];
export const CHOICE_WORDS: Record<Choice, Said> = {
  keep: say('stripout.choiceWordsKeep'),
  'make-good': say('stripout.choiceWordsMakeGood'),
  remove: say('stripout.choiceWordsRemove'),
};

/** What is done about one layer, with the reason. The newest counts. */
export const layerChoices = kind(
  'room',
  'Choice for a layer',
  {
    layerId: refersTo('layers'),
    choice: oneOf(...CHOICES),
    note: text(500),
  },
  { newestCounts: true },
);
export type LayerChoice = FactOf<typeof layerChoices>;

/** What becomes of one piece of skirting, named by its wall and letter. The newest counts. */
export const trimFates = kind(
  'room',
  'Skirting',
  {
    piece: text(60),
    fate: oneOf('refit', 'discard'),
    note: text(500),
  },
  { newestCounts: true },
);
export type TrimFate = FactOf<typeof trimFates>;

/** A step of the strip-out ticked off, with its time. */
export const ticks = kind('room', 'Step done', { key: key(200), doneAt: moment(), note: text(500) });
export type Tick = FactOf<typeof ticks>;

/** The facts of a room strip-out works from. */
export interface StripFacts {
  layers: Layer[];
  samples: Sample[];
  taps: Tap[];
  answers: Answer[];
  layerChoices: LayerChoice[];
  trimFates: TrimFate[];
  ticks: Tick[];
  marks: Mark[];
  levels: LevelFact[];
  figures: readonly OwnFigure[];
  country: { country: string | null; asbestosFrom: number | null; leadFrom: number | null };
}

export const NO_STRIP_FACTS: StripFacts = {
  layers: [],
  samples: [],
  taps: [],
  answers: [],
  layerChoices: [],
  trimFates: [],
  ticks: [],
  marks: [],
  levels: [],
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
  /** Areas worked out so far, by layer: asked for by its comparison, its steps, its debris and its hire. */
  areasM2: Map<string, number>;
}
