import { say, type Sayable } from '../said/index.ts';
import type { PlannedJob } from './plan-job.ts';
import type { ShownBill } from './shown-bill.ts';
import type { ShownDays } from './shown-days.ts';

/** Something that is due, with its time and until when it may be done. */
export interface AgendaItem {
  key: string;
  roomId: string | null;
  /** What it is: work of the plan, a reading in its hours, evidence that grows old, packs that go back. */
  kind: 'work' | 'order' | 'deadline' | 'old' | 'back';
  words: Sayable;
  at: string;
  until: string | null;
  /** It was to be done by now. */
  isOverdue: boolean;
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** So far ahead is told. */
const AHEAD_DAYS = 14;

/** What is due in a job in the next two weeks, in the order of time. */
export function agendaOf(
  days: ShownDays,
  bill: ShownBill,
  draft: PlannedJob['draft'],
  dampAgeDays: number,
  atUtc: string,
): AgendaItem[] {
  const horizon = new Date(Date.parse(atUtc) + AHEAD_DAYS * DAY_MS).toISOString();
  const drafts = new Map(draft.tasks.map((task) => [task.key, task]));
  const items: AgendaItem[] = [];
  for (const task of days.tasks) {
    if (task.doneAt !== null || task.from > horizon) continue;
    const isDelivery = task.kind === 'wait' && task.key.includes('/order/delivery/');
    if (task.kind === 'wait' && !isDelivery) continue;
    // What was done begins the clock of what has to follow soon.
    const within = drafts.get(task.key)?.within ?? null;
    const begunAt = within ? (drafts.get(within.of)?.doneAt ?? null) : null;
    const until = begunAt && within ? new Date(Date.parse(begunAt) + within.hours * HOUR_MS).toISOString() : null;
    items.push({
      key: task.key,
      roomId: task.roomId,
      kind: isDelivery ? 'order' : until ? 'deadline' : 'work',
      words: isDelivery ? say('planning.orderNow', { what: orderedBy(task.words) }) : task.words,
      at: task.from,
      until,
      isOverdue: until !== null && until < atUtc,
    });
  }
  items.push(...growingOld(days, draft, dampAgeDays, atUtc));
  for (const { count, what, back, backBy } of bill.counted)
    if (back > 0 && backBy !== '' && backBy >= days.today)
      items.push({
        key: `back/${count.id}`,
        roomId: null,
        kind: 'back',
        words: say('planning.goBack', { count: back, what }),
        at: `${backBy}T12:00:00.000Z`,
        until: null,
        isOverdue: false,
      });
  return items.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.key < b.key ? -1 : 1));
}

/** What is ordered: the covering that the wait for it names. */
function orderedBy(words: Sayable): Sayable {
  const card = typeof words === 'string' ? null : words.values['card'];
  return typeof card === 'string' ? card : words;
}

/** Readings that decide, and are too old on the day the planks come: they are taken once more before. */
function growingOld(days: ShownDays, { tasks }: PlannedJob['draft'], ageDays: number, atUtc: string): AgendaItem[] {
  return tasks.flatMap((draft): AgendaItem[] => {
    if (!draft.key.endsWith('/damp/decided') || draft.doneAt === null) return [];
    const laying = days.tasks.find(
      ({ roomId, isLaying, doneAt }) => roomId === draft.roomId && isLaying && doneAt === null,
    );
    if (!laying) return [];
    const oldAt = new Date(Date.parse(draft.doneAt) + ageDays * DAY_MS).toISOString();
    // Where it is read again anyway, the first reading need not hold until then.
    const isReadAgain = tasks.some(({ key, doneAt }) => key === `${draft.roomId}/damp/read-dry` && doneAt === null);
    return oldAt < laying.from && !isReadAgain
      ? [
          {
            key: `old/${draft.key}`,
            roomId: draft.roomId,
            kind: 'old',
            words: say('planning.growsOld'),
            at: oldAt,
            until: laying.from,
            isOverdue: oldAt < atUtc,
          },
        ]
      : [];
  });
}
