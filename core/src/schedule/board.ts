import { calendarFor, endOfWork, isWork, type Job, type Placed, type Work } from './task.ts';

/** What is taken quarter by quarter while a plan is made. One board serves plan after plan: it is wound back to nothing between them. */
export interface Board {
  /** The first place at or after a quarter at which a work may lie; null where there is none. */
  earliest: (work: Work, from: number) => Placed | null;
  /** Puts a work there, its room being shut up to a quarter where it shuts it. */
  put: (work: Work, at: Placed, shutTo: number) => void;
  /** What somebody held is free from a quarter on. */
  free: (what: string, from: number) => void;
  /** How much was put so far; and back to there. */
  mark: () => number;
  rewind: (mark: number) => void;
}

type Lane = Int16Array;

/** One room: works in it, quarters in which somebody has to get in, how often it is shut, and its ways in by the shut lanes along them. */
interface Room {
  busy: Lane;
  worked: Lane;
  shut: Lane;
  ways: readonly (readonly Lane[])[];
}

/** Something held: how many hold it from a quarter on until somebody frees it. */
interface Holding {
  most: number;
  /** Where the count changes, and by how much, in the order of time. */
  changes: { at: number; by: number }[];
}

/** What of a work never changes from plan to plan. */
interface Needs {
  room: Room | null;
  machines: readonly { lane: Lane; most: number }[];
  isOpen: Uint8Array;
  people: number;
  holdings: readonly Holding[];
}

/** @param shutMore - quarters for which a work's room stays shut after its end: its wait, as long as it is */
export function openBoard(job: Job, shutMore: (work: Work) => number): Board {
  const { quarters } = job.calendar;
  const lane = (): Lane => new Int16Array(quarters);
  const people = lane();
  const works = job.tasks.filter(isWork);
  const { shut: shutYet = [], held: heldYet = [] } = job.standing ?? {};
  const named = [
    ...works.flatMap(({ room }) => (room === null ? [] : [room])),
    ...Object.values(job.ways).flat(2),
    ...shutYet.map(({ room }) => room),
  ];
  const shuts = new Map([...new Set(named)].map((name) => [name, lane()] as const));
  const rooms = new Map(
    [...shuts].map(([name, shut]): [string, Room] => [
      name,
      {
        busy: lane(),
        worked: lane(),
        shut,
        ways: (job.ways[name] ?? []).map((way) => way.map((one) => shuts.get(one)!)),
      },
    ]),
  );
  const machines = new Map(Object.entries(job.machines).map(([name, most]) => [name, { lane: lane(), most }] as const));
  const holdings = new Map<string, Holding>();
  for (const { what } of [...works.flatMap(({ holds }) => holds), ...heldYet])
    holdings.set(what, { most: job.holdings[what] ?? 1, changes: [] });
  // What stands already is never wound back.
  for (const { room, to } of shutYet) shuts.get(room)!.fill(1, 0, Math.min(to, quarters));
  for (const { what } of heldYet) holdings.get(what)!.changes.push({ at: 0, by: 1 });
  const needs = new Map(
    works.map((work): [string, Needs] => [
      work.key,
      {
        room: work.room === null ? null : rooms.get(work.room)!,
        machines: work.machines.map((name) => machines.get(name) ?? { lane: lane(), most: 0 }),
        isOpen: calendarFor(job, work).isOpen,
        people: work.trade === null ? work.people : 0,
        holdings: work.holds.map(({ what }) => holdings.get(what)!),
      },
    ]),
  );
  const undo: (() => void)[] = [];
  const add = (on: Lane, from: number, to: number, by: number) => {
    const end = Math.min(to, quarters);
    for (let q = from; q < end; q++) on[q]! += by;
    undo.push(() => {
      for (let q = from; q < end; q++) on[q]! -= by;
    });
  };
  const change = ({ changes }: Holding, at: number, by: number) => {
    const held = { at, by };
    const place = changes.findIndex((one) => one.at > at);
    changes.splice(place < 0 ? changes.length : place, 0, held);
    undo.push(() => changes.splice(changes.indexOf(held), 1));
  };
  const isReached = ({ ways }: Room, q: number, shutToo: Lane | null): boolean =>
    ways.length === 0 || ways.some((way) => way.every((shut) => shut !== shutToo && shut[q] === 0));
  /** The first quarter in which a work cannot be done; -1 where it can be done throughout. */
  const blockedAt = ({ room, machines: takes, isOpen, people: own }: Needs, from: number, to: number): number => {
    for (let q = from; q < to; q++) {
      if (room && (room.busy[q]! > 0 || room.shut[q]! > 0)) return q;
      for (const { lane: at, most } of takes) if (at[q]! + 1 > most) return q;
      if (!isOpen[q]) continue;
      if (people[q]! + own > job.people) return q;
      if (room && !isReached(room, q, null)) return q;
    }
    return -1;
  };
  /** The last quarter that keeps a room from being shut over a time; -1 where nothing does. */
  const keptOpenAt = (room: Room, from: number, workedTo: number, to: number): number => {
    for (let q = Math.min(to, quarters) - 1; q >= from; q--) {
      if (q >= workedTo && room.busy[q]! > 0) return q;
      for (const other of rooms.values())
        if (other !== room && other.worked[q]! > 0 && !isReached(other, q, room.shut)) return q;
    }
    return -1;
  };
  /** The quarter from which what a work holds is free for good; one beyond the calendar where somebody holds it still. */
  const freeFrom = ({ holdings: all }: Needs): number =>
    all.reduce((from, { most, changes }) => {
      let count = 0;
      let last = 0;
      for (const { at, by } of changes) {
        // One is to be held more: what is full before a change is free from there on only.
        if (count >= most) last = at;
        count += by;
      }
      return Math.max(from, count >= most ? quarters + 1 : last);
    }, 0);
  return {
    earliest(work, first) {
      const calendar = calendarFor(job, work);
      const need = needs.get(work.key)!;
      const free = freeFrom(need);
      if (free > quarters) return null;
      let from = calendar.nextOpen[Math.max(0, Math.min(Math.max(first, free), quarters))]!;
      while (from < quarters) {
        const to = endOfWork(calendar, work, from);
        if (to === null) {
          // It does not end on this day: the next one, or the calendar is over.
          if (!work.unbroken) return null;
          let next = from;
          while (next < quarters && calendar.dayOf[next] === calendar.dayOf[from]) next++;
          from = calendar.nextOpen[next]!;
          continue;
        }
        const blocked = blockedAt(need, from, to);
        if (blocked >= 0) {
          from = calendar.nextOpen[blocked + 1]!;
          continue;
        }
        const kept = work.shutUntil !== null && need.room ? keptOpenAt(need.room, from, to, to + shutMore(work)) : -1;
        if (kept < 0) return { from, to };
        from = calendar.nextOpen[Math.max(from, kept) + 1]!;
      }
      return null;
    },
    put(work, { from, to }, shutTo) {
      const { room, machines: takes, isOpen, people: own, holdings: held } = needs.get(work.key)!;
      for (let q = from; q < to; q++) {
        if (!isOpen[q]) continue;
        let end = q;
        while (end < to && isOpen[end]) end++;
        if (own > 0) add(people, q, end, own);
        if (room) add(room.worked, q, end, 1);
        q = end;
      }
      if (room) add(room.busy, from, to, 1);
      for (const { lane: at } of takes) add(at, from, to, 1);
      for (const one of held) change(one, from, 1);
      if (work.shutUntil !== null && room) add(room.shut, from, shutTo, 1);
    },
    free: (what, from) => change(holdings.get(what)!, from, -1),
    mark: () => undo.length,
    rewind(mark) {
      while (undo.length > mark) undo.pop()!();
    },
  };
}
