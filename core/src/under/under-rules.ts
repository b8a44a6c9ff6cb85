import { gap, say, type Said } from '../said/index.ts';
import { FIRE_CLASSES } from '../coverings/index.ts';
import { type CoveringNeeds, type UnderOption, type UnderRoom, type UnderSchools, USUAL_SCHOOLS } from './option.ts';
import { MOST_R } from './heated.ts';

/** What a rule says of an option: refused, or which word of the room holds it up. */
export interface UnderBreak {
  rule: UnderRule;
  word: 'refused' | 'stop' | 'measure' | 'wait';
  why: Said;
}

/** Film under a floating floor on a mineral base, m of sd; over timber film and underlay together stay under the other. */
export const FILM_SD_M = 75;
const TIMBER_SD_M = 5;
const WET_KINDS = ['cork', 'felt', 'fibre'];

interface Case {
  option: UnderOption;
  covering: CoveringNeeds;
  room: UnderRoom;
  schools: UnderSchools;
}
type Found = Omit<UnderBreak, 'rule'> | null;

const refused = (why: Said): Found => ({ word: 'refused', why });
const measure = (why: Said): Found => ({ word: 'measure', why });

/** Of a verdict that is not to lay: work and stop refuse, what has to be measured or waited for is said as such. */
const heldUp = (word: UnderRoom['damp'], why: Said): Found => {
  if (word === 'lay') return null;
  return word === 'measure' || word === 'wait' ? { word, why } : refused(why);
};

const filmSd = ({ underlay, film }: UnderOption) => Math.max(underlay?.filmSdM ?? 0, film?.isTaped ? film.sdM : 0);

/** The rules in their order: the first that breaks is the reason shown, all are told. */
const RULES = {
  B0: ({ covering, room, option }) =>
    // A film is no cure, unless the covering's own sheet says so; what is stopped stays so.
    room.damp === 'work' && covering.filmCures && filmSd(option) >= FILM_SD_M
      ? null
      : heldUp(room.damp, say('under.damp')),
  B1: ({ room }) => (room.liesOnSoft ? refused(say('under.onSoft')) : null),
  B2: ({ covering, option }) =>
    !covering.floats && (option.underlay || option.film) ? refused(say('under.glued')) : null,
  B3: ({ covering, option, schools }) =>
    covering.hasOwnPad && option.underlay && !(schools.secondPad === 'by-card' && covering.allowsSoft)
      ? refused(say('under.secondPad'))
      : null,
  B4: ({ covering: { mostSoftMm }, option: { underlay } }) =>
    underlay && mostSoftMm !== null && underlay.thicknessMm > mostSoftMm
      ? refused(say('under.tooThick', { mm: gap(underlay.thicknessMm), mostMm: gap(mostSoftMm) }))
      : null,
  B5: ({ covering: { leastKPa }, option: { underlay } }) => {
    if (!underlay || leastKPa === null) return null;
    if (underlay.kPa === null) return measure(say('under.kPaUnknown', { leastKPa }));
    return underlay.kPa < leastKPa ? refused(say('under.tooSoft', { kPa: underlay.kPa, leastKPa })) : null;
  },
  B6: ({ covering, room, option, schools }) => {
    if (room.base !== 'mineral' || !covering.floats) return null;
    if (room.isSulfate && room.isOnGround && !room.hasMembrane)
      return { word: 'stop', why: say('under.sulfateShutIn') };
    if (schools.film === 'by-need' && room.hasMembrane) return null;
    return filmSd(option) < FILM_SD_M ? refused(say('under.noFilm', { sdM: FILM_SD_M })) : null;
  },
  B7: ({ covering, room, option, schools }) => {
    if (room.base !== 'timber' || (covering.asksFilmOnTimber && schools.timber === 'by-card')) return null;
    const sdM = (option.underlay?.sdM ?? 0) + (option.underlay?.filmSdM ?? 0) + (option.film?.sdM ?? 0);
    return sdM >= TIMBER_SD_M ? refused(say('under.sealedTimber', { sdM })) : null;
  },
  B8: ({ room }) => {
    if (room.base !== 'timber') return null;
    if (room.crawl === null) return measure(say('under.crawlUnknown'));
    return room.crawl === 'open' ? measure(say('under.crawlOpen')) : null;
  },
  B9: ({ room }) => (room.heated === null ? measure(say('under.heatedUnknown')) : null),
  B10: ({ covering, room, option: { underlay, film } }) => {
    if (room.heated === null || room.heated === 'none') return null;
    if (covering.rM2KW === null || (underlay && underlay.rM2KW === null)) return measure(say('under.rUnknown'));
    const sumR = covering.rM2KW + (underlay?.rM2KW ?? 0) + (film?.rM2KW ?? 0) + room.panelRM2KW;
    return sumR > MOST_R + 1e-9
      ? refused(say('under.tooWarm', { sumR: Math.round(sumR * 1000) / 1000, mostR: MOST_R }))
      : null;
  },
  B11: ({ covering, room, option: { underlay } }) => {
    if (room.heated === null || room.heated === 'none') return null;
    const rated = [covering.isHeatRated, ...(underlay ? [underlay.isHeatRated] : [])];
    if (rated.includes(false)) return refused(say('under.notRated'));
    return rated.includes(null) ? measure(say('under.ratingUnknown')) : null;
  },
  B12: ({ room }) => {
    if (room.dwellingBelow === null) return measure(say('under.belowUnknown'));
    return room.dwellingBelow && room.askedDb === null ? measure(say('under.dbUnknown')) : null;
  },
  B13: ({ room, option: { underlay } }) => {
    if (!room.dwellingBelow || room.askedDb === null) return null;
    if (!underlay || underlay.stepDb === null) return refused(say('under.noDb'));
    return underlay.stepDb < room.askedDb
      ? refused(say('under.tooLoud', { db: underlay.stepDb, askedDb: room.askedDb }))
      : null;
  },
  B14: ({ room, option: { underlay } }) => {
    if (!room.dwellingBelow || !underlay || underlay.stepDb === null) return null;
    return underlay.stepDbOn !== room.base ? measure(say('under.dbElsewhere')) : null;
  },
  B15: ({ covering, room, option: { underlay } }) => {
    const takesMm = underlay ? (underlay.conformsMm ?? 0) : covering.bumpsMm;
    return room.bumpsMm > takesMm
      ? refused(say('under.bumps', { mm: gap(room.bumpsMm), takesMm: gap(takesMm) }))
      : null;
  },
  B16: ({ room }) => heldUp(room.flat, say('under.flatFirst')),
  B17: ({ covering, room, option: { underlay } }) => {
    if (!room.isWetRoom) return null;
    if (covering.floats && !covering.allowsWetRoom) return refused(say('under.wetFloating'));
    return underlay && WET_KINDS.includes(underlay.kind) ? refused(say('under.wetSoft')) : null;
  },
  B18: ({ covering, room }) => {
    if (!room.isEscapeRoute) return null;
    if (room.askedFireClass === null || covering.fireClassWithUnderlay === null)
      return measure(say('under.fireUnknown'));
    return FIRE_CLASSES.indexOf(covering.fireClassWithUnderlay) < FIRE_CLASSES.indexOf(room.askedFireClass)
      ? refused(say('under.fireClass', { is: covering.fireClassWithUnderlay, asked: room.askedFireClass }))
      : null;
  },
} satisfies Record<string, (of: Case) => Found>;

export type UnderRule = keyof typeof RULES;
export const UNDER_RULES = Object.keys(RULES) as UnderRule[];

/** Every rule that an option breaks in a room, in their order. One option is judged by itself: what else is offered changes nothing. */
export function breaksOf(
  option: UnderOption,
  covering: CoveringNeeds,
  room: UnderRoom,
  schools: UnderSchools = USUAL_SCHOOLS,
): UnderBreak[] {
  return UNDER_RULES.flatMap((rule) => {
    const found = RULES[rule]({ option, covering, room, schools });
    return found ? [{ rule, ...found }] : [];
  });
}
