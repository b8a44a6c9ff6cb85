import { useEffect, useState } from 'react';
import type { RoomSet } from '@maquette/core';
import type { Change, LevellingPlan, Pace, Programmed, RuleCost, WayId } from '@maquette/core/levelling';
import { nowUtc } from '../data/ids.ts';
import type { Desk } from './ask.ts';
import type { PlanksAnswer, Progress } from './messages.ts';
import { useDesk } from './use-judged.ts';

type Programmes = Partial<Record<WayId, Programmed>>;

interface Held {
  /** The facts it is worked out from. */
  of: RoomSet | null;
  plan: LevellingPlan | null;
  programmes: Programmes;
  /** What is being worked out now. */
  working: 'plan' | WayId | null;
  progress: Progress | null;
  failed: string | null;
}

export interface Planned extends Omit<Held, 'of'> {
  stop: () => void;
  /** Works the mixed way out again with its nodes nearer together. */
  tighten: () => void;
  /** Whether the mixed way shown is the tighter one. */
  tight: boolean;
  /** Asks what filling would cost under other rules. */
  rules: (told: (costs: RuleCost[] | null, failed: string | null) => void) => void;
  /** Asks where planks would be soft on what a change leaves. */
  planks: (after: Change | null, told: (answer: PlanksAnswer | null, failed: string | null) => void) => void;
  /** Asks for the judged heights as a grid file. */
  grid: (told: (text: string | null, failed: string | null) => void) => void;
}

const STOPPED = 'Stopped. Change anything, or come back to this stage, to work it out again.';
const blank = (of: RoomSet | null): Held => ({
  of,
  plan: null,
  programmes: {},
  working: 'plan',
  progress: null,
  failed: null,
});

/** Ways worth the programme's time: a threshold to meet; always the mix; grinding alone beside it; fill against rocking where a plain fill leaves some. */
function wanted(plan: LevellingPlan): WayId[] {
  if (plan.nothingToDo) return [];
  const ramp: WayId[] = plan.targets.length > 0 ? ['ramp'] : [];
  return [...ramp, 'mixed', 'grind', ...(plan.fill.holds ? [] : (['fill'] as const))];
}

/**
 * The levelling plan, worked out in a worker of its own that the next change of facts, or Stop, ends at once: first what is
 * known at once, then the programmed ways one by one.
 */
export function usePlanned(set: RoomSet | null, asked: boolean): Planned {
  const desk = useDesk();
  // What is asked for beside the plan has a worker of its own: the plan's queue keeps only its newest question.
  const aside = useDesk();
  const [state, setState] = useState<Held>(blank(null));
  const question = asked ? set : null;
  useEffect(() => {
    if (!question) return;
    desk.stop();
    desk.ask({ set: question, atUtc: nowUtc(), kind: 'plan' }, (plan, failed) => {
      const queue = plan ? wanted(plan) : [];
      setState({ ...blank(question), plan, failed, working: queue[0] ?? null });
      workThrough(desk, question, queue, setState);
    });
  }, [question, desk]);
  const held = question && state.of === question ? state : blank(question);
  const mixed = held.programmes.mixed;
  return {
    ...held,
    working: question ? held.working : null,
    tight: mixed?.pace === 'tighter',
    tighten: () => {
      if (!question) return;
      setState((now) => ({ ...now, working: 'mixed', progress: null, failed: null }));
      programme(desk, question, 'mixed', 'tighter', setState, () => undefined);
    },
    rules: (told) => {
      if (question) aside.ask({ set: question, atUtc: nowUtc(), kind: 'rules' }, told);
    },
    planks: (after, told) => {
      if (question) aside.ask({ set: question, atUtc: nowUtc(), kind: 'planks', after }, told);
    },
    grid: (told) => {
      if (question) aside.ask({ set: question, atUtc: nowUtc(), kind: 'grid' }, told);
    },
    stop: () => {
      desk.stop();
      setState((now) => ({
        ...(now.of === question ? now : blank(question)),
        working: null,
        progress: null,
        failed: STOPPED,
      }));
    },
  };
}

type SetHeld = (change: (held: Held) => Held) => void;

function workThrough(desk: Desk, question: RoomSet, queue: readonly WayId[], set: SetHeld): void {
  const [way, ...rest] = queue;
  if (!way) return;
  programme(desk, question, way, 'live', set, () => {
    set((held) => (held.of === question ? { ...held, working: rest[0] ?? null } : held));
    workThrough(desk, question, rest, set);
  });
}

function programme(desk: Desk, question: RoomSet, way: WayId, pace: Pace, set: SetHeld, then: () => void): void {
  desk.ask(
    { set: question, atUtc: nowUtc(), kind: 'programme', way, pace },
    (programmed, failed) => {
      set((held) => {
        if (held.of !== question) return held;
        const programmes = programmed
          ? { ...held.programmes, [way]: kept(held.programmes[way], programmed) }
          : held.programmes;
        return { ...held, programmes, failed, progress: null, working: null };
      });
      then();
    },
    'now',
    (progress) => set((held) => (held.of === question ? { ...held, progress } : held)),
  );
}

/** A tighter programme gives a truer bound; the way shown is the cheaper of the two that hold. */
function kept(before: Programmed | undefined, now: Programmed): Programmed {
  if (!before?.way || before.pace === now.pace) return now;
  if (now.way && (now.way.holds || !before.way.holds) && now.linearCost <= before.linearCost) return now;
  return { ...now, way: before.way, linearCost: before.linearCost };
}
