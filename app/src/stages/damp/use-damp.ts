import { useMemo } from 'react';
import { dampContext, type RoomPicture } from '@maquette/core';
import type { DampContext, DampState } from '@maquette/core/damp';
import { nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';

/** Damp as the worker judged it, with what it was judged from. Null without a card, or until the first judgement is here. */
export function useDamp(shown: ShownRoom, picture: RoomPicture | null): { ctx: DampContext; state: DampState } | null {
  const { set } = shown;
  const state = picture?.damp ?? null;
  return useMemo(() => (set && state ? { ctx: dampContext(set, nowUtc()), state } : null), [set, state]);
}
