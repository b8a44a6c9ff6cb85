import {
  HEAT_PROBE,
  ASKED_DB,
  ASKED_FIRE,
  BUMPS,
  CRAWL,
  ESCAPE,
  FILM_SCHOOL,
  PAD_SCHOOL,
  TIMBER_SCHOOL,
  WET_ROOM,
  USUAL_SCHOOLS,
  type UnderRoom,
  type UnderSchools,
} from '../under/index.ts';

import { MEMBRANE, onGround } from '../damp/index.ts';
import { answerTo, type Answer } from '../fields/index.ts';
import { isTimber, type BaseKind } from '../room/index.ts';
import { LAYERS } from '../layers/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { DampJudged } from './judged.ts';
import type { StripState } from './strip-state.ts';
import type { RoomSet } from './room-set.ts';

/** What a base is to vapour and to what is laid on it. Tile is taken as what it usually lies on. */
export const familyOf = (kind: BaseKind): UnderRoom['base'] =>
  isTimber(kind) ? 'timber' : kind === 'existing-resilient' ? 'other' : 'mineral';

/** Soft layers that stay beneath: nothing is laid over them. */
const liesOnSoft = ({ layers }: Pick<RoomSet, 'layers'>, { plan }: Pick<StripState, 'plan'>): boolean =>
  layers.some(({ id, kind }) => plan.keptLayerIds.includes(id) && ['soft', 'floating'].includes(LAYERS[kind].family));

const known = <T extends string>(answer: T | 'unknown' | null): Exclude<T, 'unknown'> | null =>
  answer === 'unknown' || answer === null ? null : (answer as Exclude<T, 'unknown'>);

/** All that the rules of what lies under planks ask of a room, from its facts and from how damp and flatness stand. */
export function underRoomOf(
  set: RoomSet,
  { strip, damp, flat }: { strip: StripState; damp: DampJudged; flat: Verdict },
  panelRM2KW: number,
): UnderRoom {
  const { base, baseKind } = set.room;
  const { answers } = set;
  const membrane = answerTo(answers, MEMBRANE) ?? 'unknown';
  const hasCover = damp.cover?.by === 'membrane';
  const crawl = answerTo(answers, CRAWL) ?? 'unknown';
  return {
    damp: damp.ofFloor,
    flat,
    liesOnSoft: liesOnSoft(set, strip),
    base: familyOf(baseKind),
    isSulfate: baseKind === 'calcium-sulfate-screed',
    isOnGround: onGround(damp.context),
    // One that is rolled on counts as one that was built in.
    hasMembrane: hasCover || membrane === 'recorded' ? true : membrane === 'unknown' ? null : false,
    crawl:
      base.beneath === 'unknown'
        ? null
        : base.beneath === 'crawl-space'
          ? crawl === 'unknown'
            ? null
            : crawl
          : 'none',
    heated: known(base.heating),
    dwellingBelow: base.beneath === 'unknown' ? (onGround(damp.context) ? false : null) : base.beneath === 'dwelling',
    askedDb: answerTo(answers, ASKED_DB),
    bumpsMm: answerTo(answers, BUMPS) ?? 0,
    isWetRoom: answerTo(answers, WET_ROOM) === 'yes',
    isEscapeRoute: answerTo(answers, ESCAPE) === 'yes',
    askedFireClass: known(answerTo(answers, ASKED_FIRE)),
    panelRM2KW,
  };
}

/** Where practitioners differ, as it was answered for the room. */
export const underSchoolsOf = (answers: readonly Answer[]): UnderSchools => ({
  film: answerTo(answers, FILM_SCHOOL) ?? USUAL_SCHOOLS.film,
  secondPad: answerTo(answers, PAD_SCHOOL) ?? USUAL_SCHOOLS.secondPad,
  timber: answerTo(answers, TIMBER_SCHOOL) ?? USUAL_SCHOOLS.timber,
});

/** Whether a probe holds the underside of the covering over electric heating; null where nobody has said. */
export const probeHolds = (answers: readonly Answer[]): boolean | null => {
  const said = answerTo(answers, HEAT_PROBE) ?? 'unknown';
  return said === 'unknown' ? null : said === 'yes';
};
