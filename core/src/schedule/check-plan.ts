import { calendarFor, isWork, type Job, type Plan, type Work } from './task.ts';

/** What a plan does that it may not, with the task and the quarter. */
export interface Fault {
  what:
    | 'missing'
    | 'order'
    | 'early'
    | 'length'
    | 'night'
    | 'people'
    | 'machine'
    | 'room'
    | 'shut'
    | 'way'
    | 'held'
    | 'late';
  key: string;
  quarter: number;
}

/**
 * Walks a plan quarter by quarter and says all it does wrong: by its own reading of the rules, sharing nothing with what made the plan. Empty where it can be worked as it stands.
 */
export function checkPlan(job: Job, plan: Plan): Fault[] {
  const faults: Fault[] = [];
  const fault = (what: Fault['what'], key: string, quarter: number) => faults.push({ what, key, quarter });
  const missing = job.tasks.filter(({ key }) => !plan.has(key));
  if (missing.length > 0) return missing.map(({ key }) => ({ what: 'missing', key, quarter: 0 }));
  const placeOf = (key: string) => plan.get(key)!;
  for (const task of job.tasks) {
    const { from, to } = placeOf(task.key);
    for (const key of task.after) if (placeOf(key).to > from) fault('order', task.key, from);
    if (from < (task.notBefore ?? 0)) fault('early', task.key, from);
    if (!isWork(task)) {
      if (to - from !== task.quarters) fault('length', task.key, from);
      continue;
    }
    const { isOpen, dayOf } = calendarFor(job, task);
    let worked = 0;
    for (let q = from; q < to; q++) worked += isOpen[q] ?? 0;
    if (worked !== task.quarters) fault('length', task.key, from);
    if (!isOpen[from] || !isOpen[to - 1]) fault('night', task.key, from);
    if (task.unbroken && dayOf[from] !== dayOf[to - 1]) fault('night', task.key, from);
  }
  for (const { key, of, quarters } of job.within)
    if (placeOf(key).from > placeOf(of).to + quarters) fault('late', key, placeOf(key).from);
  const works = job.tasks.filter(isWork);
  const end = Math.max(0, ...works.map(({ key }) => placeOf(key).to));
  // Who is at work, which rooms are shut and what is held, as each begins and ends.
  const on = during(works.map((work) => ({ one: work, ...placeOf(work.key) })));
  const shut = during(
    works.flatMap((work) =>
      work.room !== null && work.shutUntil !== null
        ? [{ one: work, from: placeOf(work.key).from, to: placeOf(work.shutUntil).to }]
        : [],
    ),
  );
  const held = during(
    works.flatMap(({ key, holds }) =>
      holds.map(({ what, until }) => ({ one: what, from: placeOf(key).from, to: placeOf(until).to })),
    ),
  );
  for (let q = 0; q < end; q++) atQuarter(job, { on: on(q), shut: shut(q), held: held(q) }, q, fault);
  return faults;
}

/** What lies at a quarter, asked for one quarter after another. */
function during<T>(all: readonly { one: T; from: number; to: number }[]): (quarter: number) => readonly T[] {
  const coming = [...all].sort((a, b) => a.from - b.from);
  let [next, here] = [0, [] as { one: T; from: number; to: number }[]];
  return (quarter) => {
    if (here.some(({ to }) => to <= quarter)) here = here.filter(({ to }) => to > quarter);
    while (next < coming.length && coming[next]!.from <= quarter) {
      if (coming[next]!.to > quarter) here = [...here, coming[next]!];
      next++;
    }
    return here.map(({ one }) => one);
  };
}

interface Here {
  on: readonly Work[];
  /** Works that keep their rooms shut. */
  shut: readonly Work[];
  held: readonly string[];
}

function atQuarter(
  job: Job,
  { on, shut: shutting, held }: Here,
  q: number,
  fault: (what: Fault['what'], key: string, quarter: number) => void,
): void {
  if (on.length === 0 && held.length === 0) return;
  const atWork = on.filter((work) => calendarFor(job, work).isOpen[q]);
  let people = 0;
  for (const work of atWork) if (work.trade === null) people += work.people;
  if (people > job.people) fault('people', atWork[0]!.key, q);
  const times = (names: readonly string[]) =>
    names.reduce((count, name) => count.set(name, (count.get(name) ?? 0) + 1), new Map<string, number>());
  for (const [name, count] of times(on.flatMap(({ machines }) => machines)))
    if (count > (job.machines[name] ?? 0)) fault('machine', name, q);
  for (const [room, count] of times(on.flatMap(({ room: name }) => (name === null ? [] : [name]))))
    if (count > 1) fault('room', room, q);
  const shut = new Map(shutting.map(({ room, key }) => [room!, key]));
  for (const { key, room } of on) if (room !== null && shut.has(room) && shut.get(room) !== key) fault('shut', key, q);
  for (const { key, room } of atWork) {
    const ways = room === null ? undefined : job.ways[room];
    if (ways && ways.length > 0 && !ways.some((way) => way.every((through) => !shut.has(through))))
      fault('way', key, q);
  }
  for (const [what, count] of times(held)) if (count > (job.holdings[what] ?? 1)) fault('held', what, q);
}
