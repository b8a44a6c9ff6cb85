import { isTimber, type RoomFacts } from '../room/index.ts';
import { celsius, decimals, lower, sentence, say, type Said } from '../said/index.ts';
import type { UnderBreak, UnderRule, VapourVerdict } from '../under/index.ts';
import type { OwnCriterion, Verdict } from './words.ts';

/** What is told of the floor under the planks. */
export interface UnderTold {
  choice: { note: string } | null;
  chosen: {
    breaks: readonly UnderBreak[];
    offered: { underlay: { name: string; kPa: number | null } | null; film: { name: string; sdM: number } | null };
  } | null;
  missing: readonly string[];
  options: readonly { merit: 'free' | 'open' | 'refused' }[];
  panel: { name: string } | null;
  panelStops: readonly Said[];
  membrane: { card: { name: string }; plan: { refused: { word: Verdict; why: Said } | null } } | null;
  heightsDiffer: boolean;
  room: { damp: Verdict };
  year: {
    verdict: VapourVerdict;
    underCovering: { rh: number; month: number; limitRh: number; filmCures: boolean } | null;
    climate: { below: string };
  };
  heat: {
    by: 'water' | 'electric';
    floor: { sumR: number; mostFlowC: number } | null;
    wantedW: number;
    tooWarm: readonly { day: string; surfaceC: number | null }[];
    probe: boolean | null;
    tested: { before: boolean; after: boolean };
  } | null;
}

const nameOf = ({ underlay, film }: NonNullable<UnderTold['chosen']>['offered']): Said =>
  underlay && film
    ? say('under.both', { underlay: underlay.name, film: lower(film.name) })
    : underlay || film
      ? say('under.one', { name: (underlay ?? film)!.name })
      : say('under.none');

const WORD_OF: Record<UnderBreak['word'], Verdict> = {
  refused: 'work',
  stop: 'stop',
  measure: 'measure',
  wait: 'wait',
};
const MONTHS: readonly Said[] = [
  say('under.month1'),
  say('under.month2'),
  say('under.month3'),
  say('under.month4'),
  say('under.month5'),
  say('under.month6'),
  say('under.month7'),
  say('under.month8'),
  say('under.month9'),
  say('under.month10'),
  say('under.month11'),
  say('under.month12'),
];

const NEXT: Record<UnderBreak['word'], Said> = {
  refused: say('verdict.underChooseAgain'),
  stop: say('verdict.underStopped'),
  measure: say('verdict.underFindOut'),
  wait: say('verdict.underWait'),
};
/** Rules that no other choice keeps: what comes first is done elsewhere. */
const FIRST_MEND: Partial<Record<UnderRule, Said>> = {
  B0: say('verdict.underDampFirst'),
  B1: say('verdict.underTakeUp'),
  B8: say('verdict.underCoverGround'),
  B16: say('verdict.underFlatFirst'),
};
const ORDER: readonly Verdict[] = ['stop', 'work', 'measure', 'wait'];

function choiceCriterion(of: UnderTold): OwnCriterion {
  const title = say('verdict.underChoiceTitle');
  const id = 'under-choice';
  if (!of.chosen) {
    const free = of.options.filter(({ merit }) => merit === 'free').length;
    return {
      id,
      title,
      verdict: 'measure',
      margin: free > 0 ? say('verdict.underUnchosen', { free }) : say('verdict.underUnchosenNone'),
      next: free > 0 ? say('verdict.underChoose') : say('verdict.underSeeWhy'),
    };
  }
  if (of.missing.length > 0)
    return {
      id,
      title,
      verdict: 'measure',
      margin: say('verdict.underCardGone'),
      next: say('verdict.underChooseAgain'),
    };
  const [first] = ORDER.flatMap((word) => of.chosen!.breaks.filter((one) => WORD_OF[one.word] === word));
  if (first)
    return {
      id,
      title,
      verdict: WORD_OF[first.word],
      margin: say('verdict.underBreaks', { name: nameOf(of.chosen.offered), rule: first.rule, why: first.why }),
      next: FIRST_MEND[first.rule] ?? NEXT[first.word],
    };
  if (of.heightsDiffer)
    return {
      id,
      title,
      verdict: 'work',
      margin: say('verdict.underHeightsDiffer', { name: nameOf(of.chosen.offered) }),
      next: say('verdict.underTakeAgain'),
    };
  return {
    id,
    title,
    verdict: 'lay',
    margin: say('verdict.underHolds', { name: nameOf(of.chosen.offered) }),
    next: say('verdict.underRollOut'),
  };
}

/** A year of vapour: the worst that holds. It warns, it never proves. */
function yearCriterion({ year: { verdict, underCovering, climate }, room }: UnderTold): OwnCriterion {
  const id = 'under-year';
  const title = say('verdict.underYearTitle');
  const peakG = Math.round(verdict.year.peak?.heldG ?? 0);
  if (underCovering) {
    const { rh, month, limitRh, filmCures } = underCovering;
    const told = { rh: decimals(rh, 1), limitRh, month: MONTHS[month]! };
    if (rh <= limitRh)
      return {
        id,
        title,
        verdict: 'lay',
        margin: say('verdict.underSlabHolds', told),
        next: say('verdict.underYearShows'),
      };
    // What was read in the base wins over what is worked out for it: that warns.
    if (room.damp === 'lay')
      return {
        id,
        title,
        verdict: 'lay',
        margin: say('verdict.underSlabWarns', told),
        next: say('verdict.underYearShows'),
      };
    return {
      id,
      title,
      // What no layer changes is no work on layers: the base has to be read.
      verdict: filmCures ? 'work' : 'measure',
      margin: say('verdict.underSlabDamp', told),
      next: say(filmCures ? 'verdict.underSlabNext' : 'verdict.underSlabCool'),
    };
  }
  const woodRh = decimals(verdict.wood?.rh ?? 0, 1);
  const months = verdict.wood?.monthsOver ?? 0;
  const reserve = Math.round((verdict.reserve?.belowG ?? 0) + (verdict.reserve?.aboveG ?? 0));
  const said: Record<VapourVerdict['why'], [Verdict, Said, Said]> = {
    none: ['lay', say('verdict.underYearDry', { woodRh }), say('verdict.underYearShows')],
    condenses: ['lay', say('verdict.underYearDries', { peakG }), say('verdict.underYearShows')],
    'wood-damp': [
      'work',
      say('verdict.underWoodDamp', { woodRh, months }),
      say(climate.below === 'crawl' ? 'verdict.underCoverGround' : 'verdict.underVents'),
    ],
    'too-much': ['work', say('verdict.underTooMuch', { peakG }), say('verdict.underOtherLayer')],
    stays: ['work', say('verdict.underStays', { peakG }), say('verdict.underOtherLayer')],
    grows: ['work', say('verdict.underGrows'), say('verdict.underOtherLayer')],
    'no-way-out': ['work', say('verdict.underNoWayOut', { reserve }), say('verdict.underOtherLayer')],
  };
  const [word, margin, next] = said[verdict.why];
  return { id, title, verdict: word, margin, next };
}

function heatCriterion(heat: NonNullable<UnderTold['heat']>, mostR: number): OwnCriterion {
  const id = 'under-heat';
  const title = say('verdict.underHeatTitle');
  if (!heat.floor)
    return { id, title, verdict: 'measure', margin: say('under.rUnknown'), next: say('verdict.underFindOut') };
  const sumR = decimals(heat.floor.sumR, 3);
  if (heat.floor.sumR > mostR + 1e-9)
    return {
      id,
      title,
      verdict: 'work',
      margin: say('under.tooWarm', { sumR, mostR }),
      next: say('verdict.underOtherLayer'),
    };
  const [warm] = heat.tooWarm;
  if (warm)
    return {
      id,
      title,
      verdict: 'work',
      margin: say('verdict.underSurfaceWarm', { day: warm.day, surfaceC: celsius(warm.surfaceC ?? 0) }),
      next: say('verdict.underStepBack'),
    };
  if (heat.by === 'electric') {
    if (heat.probe !== true)
      return {
        id,
        title,
        verdict: heat.probe === null ? 'measure' : 'stop',
        margin: say(heat.probe === null ? 'verdict.underProbeUnknown' : 'verdict.underProbeNone'),
        next: say('verdict.underElectrician'),
      };
    if (!heat.tested.before)
      return {
        id,
        title,
        verdict: 'measure',
        margin: say('verdict.underCableUntested'),
        next: say('verdict.underElectrician'),
      };
  }
  return {
    id,
    title,
    verdict: 'lay',
    margin: say('verdict.underHeatHolds', { sumR, mostR }),
    next: say(heat.by === 'water' ? 'verdict.underRamp' : 'verdict.underTestAfter'),
  };
}

/** Panels are planned over timber that may be fixed into and that is measured dry; else what is in the way decides. */
function panelCriterion(
  { baseKind }: Pick<RoomFacts, 'baseKind'>,
  name: string,
  { panelStops, room }: Pick<UnderTold, 'panelStops' | 'room'>,
  mayFix: boolean,
): OwnCriterion {
  const of = { id: 'under-panel', title: say('verdict.underPanelTitle') };
  if (!isTimber(baseKind))
    return {
      ...of,
      verdict: 'work',
      margin: say('verdict.underPanelTimber', { name }),
      next: say('verdict.underPanelOther'),
    };
  const [stop] = panelStops;
  if (stop)
    return {
      ...of,
      // What may not be fixed into is stopped; damp holds panels up by its own word.
      verdict: mayFix ? room.damp : 'stop',
      margin: sentence(stop),
      next: say(mayFix ? 'verdict.underDampFirst' : 'verdict.underPanelStop'),
    };
  return {
    ...of,
    verdict: 'lay',
    margin: say('verdict.underPanelMay', { name }),
    next: say('verdict.underPanelNext'),
  };
}

/** Criteria of what lies under the planks: the choice, vapour through the year, heat, panels and membranes. */
export function underCriteria(
  room: Pick<RoomFacts, 'baseKind'>,
  of: UnderTold,
  mayFix: boolean,
  mostR = 0.15,
): OwnCriterion[] {
  const criteria = [choiceCriterion(of)];
  if (of.chosen) criteria.push(yearCriterion(of));
  if (of.heat) criteria.push(heatCriterion(of.heat, mostR));
  if (of.panel) criteria.push(panelCriterion(room, of.panel.name, of, mayFix));
  if (of.membrane?.plan.refused)
    criteria.push({
      id: 'under-membrane',
      title: say('verdict.underMembraneTitle'),
      verdict: of.membrane.plan.refused.word,
      margin: of.membrane.plan.refused.why,
      next: say('verdict.underMembraneNext'),
    });
  return criteria;
}
