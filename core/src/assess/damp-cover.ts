import { onGround, MEMBRANE, type DampContext, type DampState } from '../damp/index.ts';
import { answerTo } from '../fields/index.ts';
import { allUnder, cardOf, FILM_SD_M, membraneHolds, needsOf } from '../under/index.ts';
import type { DampCover } from '../verdict/index.ts';
import type { RoomSet } from './room-set.ts';
import { dampestRh } from './slab-reading.ts';
import { familyOf } from './under-ground.ts';

/** What is put over a base that reads too damp: a membrane that is on, step by step, or a taped film that the covering’s sheet takes as a cure. Null where nothing is. */
export function dampCoverOf(set: RoomSet, context: DampContext, state: DampState): DampCover | null {
  const choice = set.underChoices.at(-1);
  if (!choice) return null;
  const cards = allUnder(set.underCards);
  const covering = needsOf(set.card);
  const membrane = cardOf(cards.membranes, choice.membraneId);
  const { baseKind } = set.room;
  const ground = {
    base: familyOf(baseKind),
    damp: 'work' as const,
    isSulfate: baseKind === 'calcium-sulfate-screed',
    hasMembrane: answerTo(set.answers, MEMBRANE) === 'recorded',
  };
  const ticked = new Set(set.ticks.map(({ key }) => key));
  if (membrane && membraneHolds(membrane, ticked, ground, dampestRh({ state }), !covering.floats))
    return { by: 'membrane', name: membrane.name, limitRh: membrane.limitRh };
  if (!choice.isLayerChosen || !covering.filmCures || !covering.floats || ground.base !== 'mineral') return null;
  // Over gypsum on the ground a film shuts damp in, whatever the sheet of the covering says of films.
  if (ground.isSulfate && onGround(context) && !ground.hasMembrane) return null;
  const underlay = cardOf(cards.underlays, choice.underlayId);
  const tight = [cardOf(cards.films, choice.filmId), underlay && { name: underlay.name, sdM: underlay.filmSdM }].find(
    (film) => film !== null && film.sdM >= FILM_SD_M,
  );
  return tight ? { by: 'film', name: tight.name } : null;
}
