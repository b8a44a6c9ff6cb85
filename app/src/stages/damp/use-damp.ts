import { useMemo } from 'react';
import { dampContext, type RoomPicture } from '@maquette/core';
import type { DampContext, DampState } from '@maquette/core/damp';
import type { RoomFacts } from '@maquette/core/room';
import { nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { plainFacts } from '../../worker/use-judged.ts';

/** Damp as the worker judged it, with what it was judged from. Null without a card, or until the first judgement is here. */
export function useDamp(
  shown: ShownRoom,
  room: RoomFacts,
  picture: RoomPicture | null,
): { ctx: DampContext; state: DampState } | null {
  const { card } = shown;
  const state = picture?.damp ?? null;
  return useMemo(
    () => (card && state ? { ctx: dampContext(plainFacts(room, shown), card, nowUtc()), state } : null),
    [room, shown, card, state],
  );
}
