import { findCard, type CoveringCard } from '@maquette/core/coverings';
import { statedBuildUp } from '@maquette/core/heights';
import { allUnder, cardOf, NO_UNDER_CARDS } from '@maquette/core/under';
import type { DemoRoom } from './demo-room.ts';
import type { Put } from './put.ts';

const DAY_MS = 86_400_000;
/** Heating up was over so many days before the demo is looked at. */
const HEATED_AGO = 9;

const shipped = (id: string): Omit<CoveringCard, 'id'> => {
  const { id: _, ...body } = findCard([], id)!;
  return body;
};

/** A covering of the demo's own: click vinyl without a pad, so that something soft may lie under it. */
export const DEMO_CARD_ID = 'demo-vinyl-without-pad';
const DEMO_CARD: Omit<CoveringCard, 'id'> = {
  ...shipped('shipped-click-vinyl'),
  name: 'Click vinyl without a pad',
  attachedPad: false,
  softAllowed: 'yes',
  source: 'Invented for the demo.',
};

/** Staves of wood for the reading room: as planks of engineered wood, but short and of two hands. */
const DEMO_STAVES_ID = 'demo-wood-staves';
const DEMO_STAVES: Omit<CoveringCard, 'id'> = {
  ...shipped('shipped-engineered'),
  name: 'Engineered wood staves',
  kind: 'click-herringbone',
  plankLengthMm: 600,
  plankWidthMm: 120,
  packM2: 1.44,
  endPieceMm: 200,
  staggerMm: 200,
  source: 'Invented for the demo.',
};

/** Cards of the demo's own. */
export const DEMO_CARDS: readonly CoveringCard[] = [
  { id: DEMO_CARD_ID, ...DEMO_CARD },
  { id: DEMO_STAVES_ID, ...DEMO_STAVES },
];

/** What was chosen under the planks of a demo room, with the build-up Heights counts for it, and its days of heating. */
export async function seedUnder(put: Put, id: string, room: DemoRoom, seededAt: string): Promise<void> {
  if (room.under) {
    const choice = {
      underlayId: null,
      filmId: null,
      membraneId: null,
      panelId: null,
      isLayerChosen: 'underlayId' in room.under || 'filmId' in room.under,
      note: '',
      ...room.under,
    };
    await put('underChoices', `${id}-under`, id, choice);
    const cards = allUnder(NO_UNDER_CARDS);
    const underlay = cardOf(cards.underlays, choice.underlayId);
    const card = findCard(DEMO_CARDS, room.cardId)!;
    const usual = statedBuildUp([], card);
    await put('buildUps', `${id}-build-up`, id, {
      ...usual,
      panelMm: cardOf(cards.panels, choice.panelId)?.thicknessMm ?? 0,
      ...(choice.isLayerChosen
        ? {
            filmMm: cardOf(cards.films, choice.filmId)?.thicknessMm ?? 0,
            underlayMm: underlay?.thicknessMm ?? null,
            kPaAtHalfMm: underlay?.kPa ?? usual.kPaAtHalfMm,
            setShare: underlay?.setShare ?? usual.setShare,
          }
        : {}),
    });
  }
  for (const [n, [flowC, surfaceC]] of (room.heated ?? []).entries())
    await put('heatDays', `${id}-heat-${n + 1}`, id, {
      phase: 'before',
      day: new Date(Date.parse(seededAt) - (HEATED_AGO + room.heated!.length - n) * DAY_MS).toISOString().slice(0, 10),
      flowC,
      surfaceC,
      note: '',
    });
}
