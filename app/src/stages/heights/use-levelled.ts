import { useEffect, useMemo, useState } from 'react';
import type { LevelledBy, RoomPicture } from '@maquette/core';
import { PLANE_CHOSEN, WAY_CHOSEN } from '@maquette/core/levelling';
import { nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { usePlanned, type Planned } from '../../worker/use-planned.ts';
import { useDesk } from '../../worker/use-judged.ts';
import { useAnswers } from '../use-answers.ts';
import { changeOf } from '../level/change-of.ts';
import type { Heights } from './height-asks.ts';

/** Heights over the floor as the chosen levelling leaves it: worked out where it is asked for. */
export interface Levelled {
  /** The floor asks for levelling that has not been done. */
  wanted: boolean;
  asked: boolean;
  ask: () => void;
  leave: () => void;
  planned: Planned;
  /** Null until it stands. */
  heights: Heights | null;
  failed: string | null;
}

/** Where the floor is still to be levelled: heights with the way that was chosen for it, else with the one that comes first. */
export function useLevelled(shown: ShownRoom, picture: RoomPicture | null): Levelled {
  const wanted = picture?.criteria.some(({ part, verdict }) => part === 'flat' && verdict === 'work') ?? false;
  const [asked, setAsked] = useState(false);
  const answers = useAnswers(shown);
  const planned = usePlanned(shown.set, wanted && asked);
  const { plan, programmes } = planned;
  const way = answers.to(WAY_CHOSEN);
  const plane = answers.to(PLANE_CHOSEN);
  const change = useMemo(() => changeOf({ plan, programmes }, way, plane), [plan, programmes, way, plane]);
  const desk = useDesk();
  const [held, setHeld] = useState<{
    of: LevelledBy;
    set: object;
    heights: Heights | null;
    failed: string | null;
  } | null>(null);
  const { set } = shown;
  useEffect(() => {
    if (!asked || !change || !set) return;
    desk.ask({ kind: 'heights', set, atUtc: nowUtc(), after: change }, (heights, failed) =>
      setHeld({ of: change, set, heights, failed }),
    );
  }, [asked, change, set, desk]);
  const now = asked && held && held.of === change && held.set === set ? held : null;
  return {
    wanted,
    asked,
    ask: () => setAsked(true),
    leave: () => setAsked(false),
    planned,
    heights: now?.heights ?? null,
    failed: now?.failed ?? planned.failed,
  };
}
