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
  for (let q = 0; q < end; q++) atQuarter(job, works, plan, q, fault);
  return faults;
}

function atQuarter(
  job: Job,
  works: readonly Work[],
  plan: Plan,
  q: number,
  fault: (what: Fault['what'], key: string, quarter: number) => void,
): void {
  const placeOf = (key: string) => plan.get(key)!;
  const on = works.filter(({ key }) => placeOf(key).from <= q && q < placeOf(key).to);
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
  const shut = new Map<string, string>();
  for (const { key, room, shutUntil } of works)
    if (room !== null && shutUntil !== null && placeOf(key).from <= q && q < placeOf(shutUntil).to) shut.set(room, key);
  for (const { key, room } of on) if (room !== null && shut.has(room) && shut.get(room) !== key) fault('shut', key, q);
  for (const { key, room } of atWork) {
    const ways = room === null ? undefined : job.ways[room];
    if (ways && ways.length > 0 && !ways.some((way) => way.every((through) => !shut.has(through))))
      fault('way', key, q);
  }
  const held = works.flatMap(({ key, holds }) =>
    holds.flatMap(({ what, until }) => (placeOf(key).from <= q && q < placeOf(until).to ? [what] : [])),
  );
  for (const [what, count] of times(held)) if (count > (job.holdings[what] ?? 1)) fault('held', what, q);
}
