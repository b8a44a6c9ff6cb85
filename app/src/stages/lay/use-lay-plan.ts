import { useEffect, useState } from 'react';
import type { LayPlan, RoomSet, RulePrice, StartCompared } from '@maquette/core';
import { nowUtc } from '../../data/ids.ts';
import { useLatest } from '../../ui/use-latest.ts';
import { useDesk } from '../../worker/use-judged.ts';

export interface LayPlanned {
  plan: LayPlan | null;
  /** Whether this plan was searched long. */
  isLong: boolean;
  /** Share done of the longer search; null where none runs. */
  searching: number | null;
  failed: string | null;
  stop: () => void;
  search: () => void;
  starts: StartCompared[] | null;
  prices: RulePrice[] | null;
  /** What is worked out beside the plan now. */
  beside: 'starts' | 'prices' | null;
  compare: () => void;
  price: () => void;
}

interface Held {
  of: RoomSet | null;
  /** Null: there is nothing to plan. Kept while the next one is worked out. */
  plan: LayPlan | null;
  isLong: boolean;
  searching: number | null;
  failed: string | null;
}
interface Beside {
  of: RoomSet | null;
  starts: StartCompared[] | null;
  prices: RulePrice[] | null;
  working: LayPlanned['beside'];
}

const NOTHING: Beside = { of: null, starts: null, prices: null, working: null };

/** A plan at once whenever something changes, then a longer search behind it until it is proved least, stopped, or out of time. */
export function useLayPlan(set: RoomSet | null): LayPlanned {
  const desk = useDesk();
  const aside = useDesk();
  const [held, setHeld] = useState<Held>({ of: null, plan: null, isLong: false, searching: null, failed: null });
  const [beside, setBeside] = useState<Beside>(NOTHING);
  const search = (of: RoomSet, before: LayPlan | null) => {
    setHeld((now) => ({ ...now, searching: 0, failed: null }));
    desk.ask(
      { kind: 'lay', set: of, atUtc: nowUtc(), pace: 'long' },
      (plan, failed) =>
        setHeld((now) => ({
          of,
          plan: better(plan, before),
          isLong: !failed,
          searching: null,
          failed: failed ?? now.failed,
        })),
      'now',
      ({ share }) => setHeld((now) => ({ ...now, searching: share })),
    );
  };
  // The search belongs to these facts: it is begun by their plan and by nothing else.
  const latest = useLatest(search);
  useEffect(() => {
    if (!set) return;
    desk.stop();
    desk.ask({ kind: 'lay', set, atUtc: nowUtc(), pace: 'live' }, (plan, failed) => {
      setHeld({ of: set, plan, isLong: false, searching: null, failed });
      if (plan && plan.pattern === 'stagger' && !isProved(plan)) latest.current(set, plan);
    });
  }, [set, desk, latest]);
  const current = beside.of === set ? beside : NOTHING;
  const ask = (working: 'starts' | 'prices') => {
    if (!set) return;
    setBeside({ ...current, of: set, working });
    const done = { ...current, of: set, working: null };
    if (working === 'starts')
      aside.ask({ kind: 'layStarts', set, atUtc: nowUtc() }, (starts) => setBeside({ ...done, starts }));
    else aside.ask({ kind: 'layRules', set, atUtc: nowUtc() }, (prices) => setBeside({ ...done, prices }));
  };
  return {
    ...held,
    stop: () => {
      desk.stop();
      setHeld((now) => ({ ...now, searching: null }));
    },
    search: () => set && search(set, held.plan),
    starts: current.starts,
    prices: current.prices,
    beside: current.working,
    compare: () => ask('starts'),
    price: () => ask('prices'),
  };
}

/** Whether as few planks were found as there can be, with every rule kept. */
export const isProved = ({ planks, least, breaches, pattern }: LayPlan): boolean =>
  pattern === 'stagger' && breaches.length === 0 && planks <= Math.max(least.longest, least.rows, least.area);

/** The longer search may end where it began: what was found first stands then. */
function better(found: LayPlan | null, before: LayPlan | null): LayPlan | null {
  if (!found || !before) return found ?? before;
  const worse =
    found.breaches.length > before.breaches.length ||
    (found.breaches.length === before.breaches.length && found.planks > before.planks);
  return worse ? before : found;
}
