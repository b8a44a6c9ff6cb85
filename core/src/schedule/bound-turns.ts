import { earliestPlan } from './earliest.ts';
import { reached, type Prepared } from './prepared.ts';
import { isWork } from './task.ts';

/** So many turns are tried in all their orders; of more, those that take longest. */
const TURNS_MOST = 5;

interface Turn {
  /** What takes it, what frees it, and the layings it leads to. */
  takes: number;
  frees: number;
  laying: number[];
}

/**
 * The quarter before which the last laying cannot begin by the turns of what only one may hold: whoever comes next takes it when the one before has freed it. The best of all orders. 0
 * where nothing is held in turns; null where no order fits into the calendar.
 */
export function turnsBound(prepared: Prepared, laying: readonly number[]): number | null {
  const { tasks, at, next, job } = prepared;
  const turnsOf = new Map<string, Turn[]>();
  tasks.forEach((task, takes) => {
    if (!isWork(task)) return;
    const leads = reached(takes, next);
    for (const { what, until } of task.holds) {
      if ((job.holdings[what] ?? 1) !== 1) continue;
      const turn = { takes, frees: at.get(until)!, laying: laying.filter((k) => leads.has(k)) };
      turnsOf.set(what, [...(turnsOf.get(what) ?? []), turn]);
    }
  });
  let most = 0;
  for (const turns of turnsOf.values()) {
    const best = bestOrder(prepared, longest(prepared, turns));
    if (best === null) return null;
    most = Math.max(most, best);
  }
  return most;
}

function longest(prepared: Prepared, turns: readonly Turn[]): Turn[] {
  const placed = earliestPlan(prepared);
  if (!placed || turns.length <= TURNS_MOST) return [...turns];
  const takesMost = ({ takes, frees }: Turn) => placed[frees]!.to - placed[takes]!.from;
  return [...turns].sort((a, b) => takesMost(b) - takesMost(a)).slice(0, TURNS_MOST);
}

/** The least quarter of the last laying over all orders of the turns; null where none of them fits. */
function bestOrder(prepared: Prepared, turns: readonly Turn[]): number | null {
  let best: number | null = null;
  const go = (left: readonly Turn[], free: number, last: number): void => {
    if (best !== null && last >= best) return;
    if (left.length === 0) {
      best = last;
      return;
    }
    for (const turn of left) {
      const placed = earliestPlan(prepared, new Map([[turn.takes, free]]));
      if (!placed) continue;
      const laid = Math.max(last, ...turn.laying.map((k) => placed[k]!.from));
      go(
        left.filter((one) => one !== turn),
        placed[turn.frees]!.to,
        laid,
      );
    }
  };
  if (turns.length < 2) return 0;
  go(turns, 0, 0);
  return best;
}
