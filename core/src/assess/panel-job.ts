import { allUnder, cardOf, cutPanels, cutsOf, type CutSheet, type PanelCard } from '../under/index.ts';
import type { RoomSet } from './room-set.ts';

import { layRoom, shownRoom, type PanelsOfRoom } from './panel-room.ts';

/** Panels of one card over all rooms that take it. */
export interface PanelsOfJob {
  cardId: string;
  card: PanelCard;
  rooms: PanelsOfRoom[];
  sheets: {
    strips: {
      widthMm: number;
      pieces: { roomId: string; number: number; lengthMm: number; widthMm: number }[];
      restMm: number;
    }[];
    restMm: number;
  }[];
  cuts: number;
  /** Rests of a square metre and more, by their sheets. */
  offcuts: { sheet: number; lengthMm: number; widthMm: number }[];
  leastSheets: number;
  cost: number;
}

/** A rest of so much is kept, m². */
const KEPT_M2 = 1;

/** Panels of a job, by their cards: each room laid by the rules, and all of their pieces cut from the fewest sheets. */
export function panelsOfJob(sets: readonly RoomSet[], tell: (share: number) => void = () => undefined): PanelsOfJob[] {
  const byCard = new Map<string, RoomSet[]>();
  for (const set of sets) {
    const id = set.underChoices.at(-1)?.panelId;
    if (id) byCard.set(id, [...(byCard.get(id) ?? []), set]);
  }
  let done = 0;
  const all = [...byCard.values()].reduce((sum, own) => sum + own.length, 0);
  return [...byCard].flatMap(([cardId, own]): PanelsOfJob[] => {
    const card = cardOf(allUnder(own[0]!.underCards).panels, cardId);
    if (!card) return [];
    const laid = own.map((set) => {
      const made = layRoom(set, card);
      tell(++done / all);
      return made;
    });
    // Cut room by room, or all together: whichever takes fewer sheets.
    const pieces = laid.flatMap(({ plan }) => plan.layout.pieces);
    const together = cutPanels(pieces, card);
    const apart = laid.flatMap(({ plan }) => plan.sheets);
    const sheets = together.length <= apart.length ? together : apart;
    const numbers = new Map(
      laid.flatMap(({ set, order }) =>
        order.map((piece, k) => [piece, { roomId: set.room.id, number: k + 1 }] as const),
      ),
    );
    return [
      {
        cardId,
        card,
        rooms: laid.map((room) => shownRoom(room, card, sheets)),
        sheets: sheets.map(({ shelves, usedMm }) => ({
          restMm: card.widthMm - usedMm,
          strips: shelves.map((shelf) => ({
            widthMm: shelf.widthMm,
            restMm: card.lengthMm - shelf.usedMm,
            pieces: shelf.pieces.map((piece) => ({
              ...numbers.get(piece)!,
              lengthMm: piece.lengthMm,
              widthMm: piece.widthMm,
            })),
          })),
        })),
        cuts: cutsOf(sheets, card),
        offcuts: offcutsOf(sheets, card),
        leastSheets: Math.ceil(
          laid.reduce((sum, { fieldM2 }) => sum + fieldM2, 0) / ((card.lengthMm * card.widthMm) / 1e6) - 1e-9,
        ),
        cost: sheets.length * card.costEach,
      },
    ];
  });
}

/** Rests worth keeping: of a sheet what is not ripped, of a strip what is not cut. */
function offcutsOf(sheets: readonly CutSheet[], { lengthMm, widthMm }: PanelCard): PanelsOfJob['offcuts'] {
  return sheets.flatMap(({ usedMm, shelves }, k) =>
    [
      { sheet: k + 1, lengthMm, widthMm: widthMm - usedMm },
      ...shelves.map((shelf) => ({ sheet: k + 1, lengthMm: lengthMm - shelf.usedMm, widthMm: shelf.widthMm })),
    ].filter((rest) => rest.lengthMm * rest.widthMm >= KEPT_M2 * 1e6 - 1),
  );
}
