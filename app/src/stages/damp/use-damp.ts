import { useMemo } from 'react';
import { dampContext } from '@maquette/core';
import { judgeDamp, type DampContext, type DampState } from '@maquette/core/damp';
import { nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import type { JudgedFacts } from '../../worker/use-judged.ts';
import { plainFacts } from '../../worker/use-judged.ts';
import type { RoomFacts } from '@maquette/core/room';

/** Damp as it stands, judged here and now: a few readings, no map. Null without a card. */
export function useDamp(shown: ShownRoom, room: RoomFacts): { ctx: DampContext; state: DampState } | null {
  const { card } = shown;
  return useMemo(() => {
    if (!card) return null;
    const ctx = dampContext(plainFacts(room, shown as JudgedFacts), card, nowUtc());
    return { ctx, state: judgeDamp(ctx) };
  }, [room, shown, card]);
}
