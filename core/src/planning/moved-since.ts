import { say, type Said } from '../said/index.ts';
import { momentOf, type Placed } from '../schedule/index.ts';
import type { KeptPlan } from '../schedule/facts.ts';
import type { PlannedJob } from './plan-job.ts';

/** How a plan stands against the one that was kept: what moved, by how much, and what moved it. */
export interface MovedSince {
  edition: number;
  keptAt: string;
  layingWas: string | null;
  promisedDay: string;
  /** Tasks that begin half a day and more elsewhere, hours; later ones positive. */
  moved: { key: string; byH: number }[];
  /** Null where nothing that was ticked, came or went tells why. */
  cause: { key: string; words: Said } | null;
}

const HOUR_MS = 3_600_000;
/** Nothing counts as moved by less than half a day. */
const MOVED_H = 12;

/** What of a plan lies elsewhere than in the one that was kept. */
export function movedSince(
  kept: KeptPlan | undefined,
  { places, draft, rest }: PlannedJob,
  atUtc: string,
): MovedSince | null {
  if (!kept) return null;
  const was = new Map(kept.places.map((place) => [place.key, place]));
  const now = new Map(draft.tasks.map((task) => [task.key, task]));
  const at = ({ from }: Placed) => Date.parse(momentOf(rest.calendar, from));
  const moved = draft.tasks.flatMap(({ key, doneAt }) => {
    const before = was.get(key);
    const place = places.get(key);
    if (!before || !place || doneAt !== null) return [];
    const byH = (at(place) - Date.parse(before.fromAt)) / HOUR_MS;
    return Math.abs(byH) >= MOVED_H ? [{ key, byH }] : [];
  });
  return {
    edition: kept.edition,
    keptAt: kept.keptAt,
    layingWas: kept.layingAt,
    promisedDay: kept.promisedDay,
    moved,
    cause: moved.length > 0 ? causeOf(was, now, atUtc) : null,
  };
}

type Was = ReadonlyMap<string, KeptPlan['places'][number]>;
type Now = ReadonlyMap<string, PlannedJob['draft']['tasks'][number]>;

/** The first of: what was ticked latest against its time, what is overdue, what came, what went. */
function causeOf(was: Was, now: Now, atUtc: string): MovedSince['cause'] {
  const late = [...was].flatMap(([key, { words, toAt }]) => {
    const doneAt = now.get(key)?.doneAt;
    const hours = doneAt ? Math.round((Date.parse(doneAt) - Date.parse(toAt)) / HOUR_MS) : 0;
    return hours > 0 ? [{ key, words, hours }] : [];
  });
  const latest = late.sort((a, b) => b.hours - a.hours)[0];
  if (latest && latest.hours >= 1)
    return { key: latest.key, words: say('planning.causeLate', { what: latest.words, hours: latest.hours }) };
  const overdue = [...was]
    .filter(([key, { toAt }]) => toAt < atUtc && now.get(key)?.kind === 'work' && now.get(key)?.doneAt === null)
    .sort(([, a], [, b]) => (a.toAt < b.toAt ? -1 : 1))[0];
  if (overdue) return { key: overdue[0], words: say('planning.causeUndone', { what: overdue[1].words }) };
  const came = [...now.values()].find(({ key, doneAt }) => !was.has(key) && doneAt === null);
  if (came) return { key: came.key, words: say('planning.causeNew', { what: came.words }) };
  const gone = [...was].find(([key]) => !now.has(key));
  return gone ? { key: gone[0], words: say('planning.causeGone', { what: gone[1].words }) } : null;
}
