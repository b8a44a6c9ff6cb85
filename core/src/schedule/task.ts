import type { Calendar } from './calendar.ts';

interface Common {
  /** Room, stage, what and mark, by their ids: kept when the plan changes, so that ticks stay its own. */
  key: string;
  /** Tasks that end before it begins. */
  after: readonly string[];
  /** It begins no earlier, whatever else is free. */
  notBefore?: number;
}

/** Something that is done by hand, in working time only: it stops at night, and never for other work. */
export interface Work extends Common {
  kind: 'work';
  /** Working time, quarters of an hour with all its people at it. */
  quarters: number;
  people: number;
  room: string | null;
  /** It ends on the day on which it begins. */
  unbroken: boolean;
  machines: readonly string[];
  /** Another trade by whose days it goes, and whose people do it. */
  trade: string | null;
  /** Neighbours hear it: it goes on in the hours for loud work only. */
  isLoud?: boolean;
  /** Its room stays shut from its start until this wait has ended. */
  shutUntil: string | null;
  /** What it takes at its start, freed at the end of another task. */
  holds: readonly { what: string; until: string }[];
  /** Planks or adhesive of a room begin with it: the date that is asked for. */
  isLaying: boolean;
}

/** Elapsed time in which nobody does anything; it runs through nights. */
export interface Wait extends Common {
  kind: 'wait';
  quarters: number;
}

export type Task = Work | Wait;

/** A task begins within so many quarters of the end of another; that one begins later rather than let it come late. */
export interface Within {
  key: string;
  of: string;
  quarters: number;
}

/** What stands from work that is done: rooms that are shut yet, what is held, and what has to begin by when. */
export interface Standing {
  shut: readonly { room: string; to: number }[];
  held: readonly { what: string; until: string }[];
  deadlines: readonly { key: string; by: number }[];
}

export interface Job {
  tasks: readonly Task[];
  within: readonly Within[];
  calendar: Calendar;
  people: number;
  machines: Readonly<Record<string, number>>;
  /** How many of a thing may be held at once: all toilets but one, the kitchen once. */
  holdings: Readonly<Record<string, number>>;
  trades: Readonly<Record<string, Calendar>>;
  /** Hours in which loud work may go on; left out it goes by the calendar of the job. */
  loud?: Calendar;
  /** Ways into each room from outside: each a list of rooms that have to be open. A room that is not named is entered from outside. */
  ways: Readonly<Record<string, readonly (readonly string[])[]>>;
  standing?: Standing;
}

/** Where a task lies: first quarter, and the first after it. */
export interface Placed {
  from: number;
  to: number;
}
export type Plan = ReadonlyMap<string, Placed>;

/** Why there is no plan at all. */
export type NoPlan =
  | { why: 'circle'; keys: string[] }
  | { why: 'unknown'; key: string; names: string }
  | { why: 'never'; key: string }
  | { why: 'held'; key: string; what: string; by: string }
  | { why: 'within'; key: string; of: string };

export const isWork = (task: Task): task is Work => task.kind === 'work';

/** The calendar a work goes by. */
export const calendarFor = (
  { calendar, trades, loud = calendar }: Pick<Job, 'calendar' | 'trades' | 'loud'>,
  { trade, isLoud }: Work,
): Calendar => (trade !== null ? (trades[trade] ?? calendar) : isLoud ? loud : calendar);

/** The end of a work that begins at an open quarter: so many open quarters later; null where it would not end within the calendar, or not on its day. */
export function endOfWork({ isOpen, dayOf, quarters: most }: Calendar, work: Work, from: number): number | null {
  if (from >= most || !isOpen[from]) return null;
  let left = work.quarters;
  for (let q = from; q < most; q++) {
    if (!isOpen[q]) continue;
    if (work.unbroken && dayOf[q] !== dayOf[from]) return null;
    if (--left <= 0) return q + 1;
  }
  return null;
}
