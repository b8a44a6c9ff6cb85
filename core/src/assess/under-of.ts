import type { FigureOf } from '../figures/index.ts';
import { dampestRh } from './slab-reading.ts';
import { stopSaid, type Gate } from '../hazards/index.ts';
import { say, type Said } from '../said/index.ts';
import { pressedMm } from '../heights/index.ts';
import { perimeterMm, planAreaM2, type Plan } from '../room/index.ts';
import {
  allUnder,
  breaksOf,
  cardOf,
  membranePlan,
  needsOf,
  offer,
  offeredBy,
  optionOf,
  rankedFigures,
  rankOf,
  type MembraneCard,
  type MembranePlan,
  type Offered,
  type PanelCard,
  type RankWeights,
  type UnderBreak,
  type UnderCards,
  type UnderChoice,
  type UnderRoom,
  type UnderSchools,
} from '../under/index.ts';
import type { HeightsOfRoom } from './heights-of.ts';
import type { DampJudged } from './judged.ts';
import { heatOf, type HeatOfRoom } from './under-heat.ts';
import { yearsOf, type YearOfRoom } from './under-year.ts';
import type { RoomSet } from './room-set.ts';

export type Merit = 'free' | 'open' | 'refused';

/** An option in a room: what breaks, what it scores, and what it does there. */
export interface JudgedOption {
  offered: Offered;
  breaks: UnderBreak[];
  /** Of those what speaks against this one and not against all: what the room has to be made ready for first is told once. */
  ownBreaks: UnderBreak[];
  /** A year of vapour refuses it, whatever the rules say. */
  year: 'holds' | 'refused';
  /** By its own breaks: nothing speaks against it, something has to be known first, or it is refused. */
  merit: Merit;
  terms: Record<keyof RankWeights, number>;
  score: number;
  stepDb: number | null;
  rM2KW: number | null;
  costM2: number;
  /** How much it lifts a new floor, mm; and the step it leaves at the worst opening, null where none is known. */
  liftsMm: number;
  worstStep: { openingId: string; stepMm: number } | null;
  /** Work of one person to roll it out here, h. */
  hours: number;
}

/** What lies under the planks of a room, as far as it can be said. */
export interface UnderOfRoom {
  room: UnderRoom;
  schools: UnderSchools;
  weights: RankWeights;
  areaM2: number;
  /** Every card there is: one's own, and those that ship. */
  cards: UnderCards;
  options: JudgedOption[];
  /** What speaks against every option alike: the room is not ready, or not known well enough. */
  roomBreaks: UnderBreak[];
  /** Null while nothing is chosen. */
  choice: UnderChoice | null;
  chosen: JudgedOption | null;
  /** Cards that the choice names and that are gone. */
  missing: readonly string[];
  panel: PanelCard | null;
  /** Why no panels are planned here: what stops fixings, and damp that is not measured dry. Nothing eases it. */
  panelStops: Said[];
  membrane: { card: MembraneCard; plan: MembranePlan } | null;
  membranes: { card: MembraneCard; plan: MembranePlan }[];
  /** Of what is chosen; else of the best that nothing speaks against, else of bare planks. */
  year: YearOfRoom;
  heat: HeatOfRoom | null;
  /** Heights count something else than what is chosen. */
  heightsDiffer: boolean;
}

export const weightsOf = (figure: FigureOf): RankWeights => ({
  cost: figure('under-weight-cost'),
  sound: figure('under-weight-sound'),
  heat: figure('under-weight-heat'),
  thin: figure('under-weight-thin'),
  firm: figure('under-weight-firm'),
});

/** How an option stands: refused by a rule or a year, whatever is measured; free; or open until something is known. */
const meritOf = ({ ownBreaks, year }: Pick<JudgedOption, 'ownBreaks' | 'year'>): Merit =>
  year === 'refused' || ownBreaks.some(({ word }) => word === 'refused' || word === 'stop')
    ? 'refused'
    : ownBreaks.length === 0
      ? 'free'
      : 'open';

const MERITS: readonly Merit[] = ['free', 'open', 'refused'];
/** The best first: free ones, then those that something has to be known of, then refused ones; each by their scores. */
const byMerit = (a: JudgedOption, b: JudgedOption): number =>
  MERITS.indexOf(a.merit) - MERITS.indexOf(b.merit) || b.score - a.score || (a.offered.id < b.offered.id ? -1 : 1);

/** What breaks whatever is laid, in the order of the rules. */
const breaksOfAll = (each: readonly (readonly UnderBreak[])[]): UnderBreak[] =>
  (each[0] ?? []).filter(({ rule }) => each.every((breaks) => breaks.some((other) => other.rule === rule)));

/** The step at the opening where it is worst, once a floor lies so much higher than the one its heights were worked out for. */
function worstStepAfter(heights: HeightsOfRoom | null, byMm: number): JudgedOption['worstStep'] {
  const steps = (heights?.judged.openings ?? []).flatMap(({ openingId, step }) =>
    step ? [{ openingId, stepMm: signedWorst([step.profiles.new.minMm + byMm, step.profiles.new.maxMm + byMm]) }] : [],
  );
  return steps.reduce<JudgedOption['worstStep']>(
    (worst, one) => (!worst || Math.abs(one.stepMm) > Math.abs(worst.stepMm) ? one : worst),
    null,
  );
}

const signedWorst = (mm: readonly number[]) =>
  mm.reduce((worst, one) => (Math.abs(one) > Math.abs(worst) ? one : worst), 0);

/** Heights count another thickness than a card says, or than nothing where there is none. */
const differ = (countedMm: number, card: { thicknessMm: number } | null): boolean =>
  Math.abs(countedMm - (card?.thicknessMm ?? 0)) > 1e-6;

/** Hours of one person for a square metre of each layer rolled out. */
const ROLL_H_M2 = 0.03;

export function underOf(
  set: RoomSet,
  room: UnderRoom,
  schools: UnderSchools,
  {
    damp,
    heights,
    plan,
    figure,
    fix,
  }: { damp: DampJudged; heights: HeightsOfRoom | null; plan: Plan; figure: FigureOf; fix: Gate },
): UnderOfRoom {
  const cards = allUnder(set.underCards);
  const choice = set.underChoices.at(-1) ?? null;
  const panel = cardOf(cards.panels, choice?.panelId ?? null);
  const areaM2 = planAreaM2(plan);
  const covering = needsOf(set.card);
  const weights = weightsOf(figure);
  const isHeated = room.heated === 'water' || room.heated === 'electric';
  const lies = heights?.buildUp ?? null;
  const rh = dampestRh(damp);
  const membranes = cards.membranes.map((card) => ({
    card,
    plan: membranePlan(
      card,
      { areaM2, perimeterMm: perimeterMm(plan.corners), upturnMm: figure('film-upturn-mm'), isGlued: !covering.floats },
      room,
      rh,
    ),
  }));
  const membrane = membranes.find(({ card }) => card.id === choice?.membraneId) ?? null;
  const years = yearsOf(set, room, panel, figure);
  const every = offeredBy(cards);
  const roomBreaks = breaksOfAll(every.map((offered) => breaksOf(optionOf(offered), covering, room, schools)));
  const ofAll = new Set(roomBreaks.map(({ rule }) => rule));
  const judge = (offered: Offered): JudgedOption => {
    const option = optionOf(offered);
    const figures = rankedFigures(offered);
    const { terms, score } = rankOf(figures, isHeated, weights);
    const { underlay, film } = offered;
    const coveringKgM2 = lies?.coveringKgM2 ?? set.card.massKgM2 ?? 8;
    const liftsMm =
      (panel?.thicknessMm ?? 0) +
      (film?.thicknessMm ?? 0) +
      (underlay
        ? pressedMm(
            { thicknessMm: underlay.thicknessMm, kPaAtHalfMm: underlay.kPa ?? 60, setShare: underlay.setShare },
            coveringKgM2,
            'new',
          )
        : 0);
    const nowMm = heights && lies ? heights.addsMm.new - lies.coveringMm : 0;
    const year = room.base === 'timber' && years.verdictOf(offered).word === 'refused';
    const all = breaksOf(option, covering, room, schools);
    const stands = {
      breaks: all,
      ownBreaks: all.filter(({ rule }) => !ofAll.has(rule)),
      year: year ? ('refused' as const) : ('holds' as const),
    };
    return {
      offered,
      ...stands,
      merit: meritOf(stands),
      terms,
      score,
      stepDb: underlay?.stepDb ?? null,
      rM2KW: underlay ? underlay.rM2KW : 0,
      costM2: figures.cost,
      liftsMm,
      worstStep: worstStepAfter(heights, liftsMm - nowMm),
      hours: areaM2 * ROLL_H_M2 * ((underlay ? 1 : 0) + (film ? 1 : 0)),
    };
  };
  const options = every.map(judge).sort(byMerit);
  const underlay = cardOf(cards.underlays, choice?.underlayId ?? null);
  const film = cardOf(cards.films, choice?.filmId ?? null);
  const missing = choice
    ? (
        [
          ['underlay', choice.underlayId, underlay],
          ['film', choice.filmId, film],
          ['panel', choice.panelId, panel],
          ['membrane', choice.membraneId, membrane],
        ] as const
      )
        .filter(([, id, card]) => id !== null && card === null)
        .map(([what]) => what)
    : [];
  const chosen = choice?.isLayerChosen ? judge(offer(underlay, film)) : null;
  const shown = chosen ?? options[0]!;
  return {
    room,
    schools,
    weights,
    areaM2,
    cards,
    options,
    roomBreaks,
    choice,
    chosen,
    missing,
    panel,
    panelStops: [...fix.stops.map(stopSaid), ...(room.damp === 'lay' ? [] : [say('under.panelsDamp')])],
    membrane,
    membranes,
    year: years.yearOf(shown.offered),
    heat: heatOf(set, room, shown.offered, panel, figure),
    heightsDiffer:
      choice !== null &&
      lies !== null &&
      (differ(lies.panelMm, panel) ||
        (choice.isLayerChosen && (differ(lies.filmMm, film) || differ(lies.underlay?.thicknessMm ?? 0, underlay)))),
  };
}
