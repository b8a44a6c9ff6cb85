import { FAILURE_SHARE_MOST, ringsAbove, type FailureChance, type ProposedEdge, type Rings } from '../flat/index.ts';
import type { Plan, RoomFacts } from '../room/index.ts';
import type { Sayable } from '../said/index.ts';
import { FULL_COVER_SHARE, placeWords } from '../verdict/index.ts';

/** How often floors that fit the readings fail, and where most. */
export interface ShownFailure {
  draws: number;
  worstShare: number;
  worstAt: [number, number] | null;
  place: Sayable;
  /** Around the cells that fail in more draws than is taken, plan mm. */
  unsure: Rings;
  /** Where the next reading would tell most. */
  nextAt: [number, number] | null;
  nextPlace: Sayable;
  nextSdMm: number;
  /** Placements of an edge that would best break the verdict, the likeliest first; none before the floor is covered. */
  breakers: ShownBreaker[];
}

/** A placement that may break the verdict, and how often it does among floors that fit the readings. */
export interface ShownBreaker extends ProposedEdge {
  place: Sayable;
  chance: number;
}

/** A chance of failing as it is shown. */
export function shownFailure(chance: FailureChance, room: RoomFacts, plan: Plan, coveredShare: number): ShownFailure {
  const { breakers, draws, worstShare, worstAt, nextAt, nextSdMm, grid, share } = chance;
  return {
    nextAt,
    nextSdMm,
    unsure: worstShare > FAILURE_SHARE_MOST ? ringsAbove(grid, share, FAILURE_SHARE_MOST + 0.01) : [],
    nextPlace: nextAt ? placeWords(room, plan, nextAt) : '',
    breakers:
      coveredShare < FULL_COVER_SHARE
        ? []
        : breakers.map(({ fromXMm, fromYMm, toXMm, toYMm, chance: share }) => ({
            key: `break/${fromXMm}/${fromYMm}/${toXMm}/${toYMm}`,
            fromXMm,
            fromYMm,
            toXMm,
            toYMm,
            chance: share,
            place: placeWords(room, plan, [(fromXMm + toXMm) / 2, (fromYMm + toYMm) / 2]),
          })),
    draws,
    worstShare,
    worstAt,
    place: worstAt ? placeWords(room, plan, worstAt) : '',
  };
}
