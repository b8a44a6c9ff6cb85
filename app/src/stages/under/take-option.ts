import { statedBuildUp } from '@maquette/core/heights';
import type { UnderCards, UnderChoice } from '@maquette/core/under';
import { bodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import type { Change } from '../../data/write.ts';

type Part = Partial<Omit<UnderChoice, 'id'>>;

const NOTHING = { underlayId: null, filmId: null, membraneId: null, panelId: null, isLayerChosen: false, note: '' };

const cardOf = <C extends { id: string }>(cards: readonly C[], id: string | null) =>
  cards.find((card) => card.id === id);

/** What is chosen under the planks of a room, and the build-up that Heights counts for it: written as one step, taken back as one. */
export function takeChoice(shown: ShownRoom, cards: UnderCards, part: Part): Change[] {
  const roomId = shown.room!.id;
  const held = shown.underChoices.at(-1);
  const choice = { ...(held ? bodyOf(held) : NOTHING), ...part };
  const underlay = cardOf(cards.underlays, choice.underlayId);
  const card = shown.card!;
  const stated = shown.buildUps.at(-1);
  const lies = statedBuildUp(shown.plain.buildUps, card);
  return [
    { kind: 'underChoices', id: held?.id ?? newId(), roomId, body: choice },
    {
      kind: 'buildUps',
      id: stated?.id ?? newId(),
      roomId,
      body: {
        ...lies,
        panelMm: cardOf(cards.panels, choice.panelId)?.thicknessMm ?? 0,
        // While nobody has decided it, underlay and film are reckoned with as before.
        ...(choice.isLayerChosen
          ? {
              filmMm: cardOf(cards.films, choice.filmId)?.thicknessMm ?? 0,
              underlayMm: underlay?.thicknessMm ?? null,
              kPaAtHalfMm: underlay?.kPa ?? lies.kPaAtHalfMm,
              setShare: underlay?.setShare ?? lies.setShare,
            }
          : {}),
        coveringKgM2: stated ? lies.coveringKgM2 : (card.massKgM2 ?? lies.coveringKgM2),
      },
    },
  ];
}
