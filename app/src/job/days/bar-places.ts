import type { ShownDays, ShownTask } from '@maquette/core/planning';
import { timesIn } from '@maquette/words';

/** How close the days stand: one by one, by the week, or all of them at once. */
export type Zoom = 'days' | 'weeks' | 'all';

/** A stretch of a task as it is drawn: across in px, and its lane within the row of its room. */
export interface Bar {
  key: string;
  kind: 'work' | 'wait' | 'shut';
  x: number;
  width: number;
  lane: number;
  isDone: boolean;
  decides: boolean;
  isLaying: boolean;
  label: string;
}

export interface RoomBars {
  roomId: string | null;
  name: string;
  bars: Bar[];
  lanes: number;
}

export interface BarChart {
  rows: RoomBars[];
  width: number;
  /** Days with their places; those that are free are shaded. */
  days: { day: string; x: number; width: number; isFree: boolean }[];
  nowX: number | null;
  /** The moment at a place across. */
  momentAt: (x: number) => string;
}

/** Hours of a day that are drawn: what lies outside stands at its edges. */
const [FROM_H, TO_H] = [7, 17];
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const DAY_PX: Record<Exclude<Zoom, 'all'>, number> = { days: 84, weeks: 22 };
const LEAST_DAY_PX = 3;
const LEAST_BAR_PX = 3;

/** Where everything of a plan is drawn, on a chart that is at least so wide. */
export function barChart(
  { tasks, rooms, days, zone, handOver, chances, today }: ShownDays,
  zoom: Zoom,
  widePx: number,
  nowUtc: string,
  words: (task: ShownTask) => string,
): BarChart {
  const times = timesIn(zone);
  const last = [handOver, chances.p80.handOver].reduce<string>((a, b) => (b !== null && b > a ? b : a), today);
  // A day more than the date to promise, so that it stands on the chart.
  const shown = days.filter(({ day }) => day <= last);
  const dayPx = zoom === 'all' ? Math.max(LEAST_DAY_PX, widePx / Math.max(1, shown.length)) : DAY_PX[zoom];
  const first = days[0]?.day ?? today;
  const xOf = (utc: string): number => {
    const [day, clock] = times.localTime(utc).split(' ') as [string, string];
    const hours = Number(clock.slice(0, 2)) + Number(clock.slice(3)) / 60;
    const index = Math.round((Date.parse(day) - Date.parse(first)) / DAY_MS);
    return (index + Math.min(1, Math.max(0, (hours - FROM_H) / (TO_H - FROM_H)))) * dayPx;
  };
  const groups = [
    ...rooms.map(({ id, name }) => ({ roomId: id as string | null, name })),
    { roomId: null, name: 'Orders' },
  ];
  return {
    rows: groups
      .map(({ roomId, name }) => ({
        roomId,
        name,
        ...lanesOf(
          tasks.filter((task) => task.roomId === roomId),
          xOf,
          words,
        ),
      }))
      .filter(({ bars }) => bars.length > 0),
    width: shown.length * dayPx,
    days: shown.map(({ day, minutes }, k) => ({ day, x: k * dayPx, width: dayPx, isFree: minutes === 0 })),
    nowX: xOf(nowUtc),
    momentAt(x) {
      const index = Math.floor(x / dayPx);
      const hours = FROM_H + (x / dayPx - index) * (TO_H - FROM_H);
      const day = new Date(Date.parse(first) + index * DAY_MS).toISOString().slice(0, 10);
      const minutes = Math.round((hours % 1) * 4) * 15;
      const clock = `${String(Math.floor(hours)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
      return times.fromLocalTime(`${day} ${clock}`) ?? new Date(Date.parse(`${day}T08:00:00Z`)).toISOString();
    },
  };
}

/** Tasks of one room side by side where they overlap: each in the first lane that is free. */
function lanesOf(tasks: readonly ShownTask[], xOf: (utc: string) => number, words: (task: ShownTask) => string) {
  const ends: number[] = [];
  const bars: Bar[] = [];
  for (const task of [...tasks].sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0))) {
    const [from, to] = [xOf(task.from), Math.max(xOf(task.to), xOf(task.from) + LEAST_BAR_PX)];
    const free = ends.findIndex((end) => end <= from + 0.5);
    const lane = free < 0 ? ends.length : free;
    ends[lane] = to;
    const common = {
      key: task.key,
      lane,
      isDone: task.doneAt !== null,
      decides: task.decides,
      isLaying: task.isLaying,
      label: words(task),
    };
    const shutTo = task.shutTo !== null && task.doneAt === null ? xOf(task.shutTo) : 0;
    if (shutTo > to) bars.push({ ...common, kind: 'shut', x: to, width: shutTo - to, label: '' });
    for (const [k, stretch] of task.stretches.entries()) {
      const x = xOf(stretch.from);
      const width = Math.max(LEAST_BAR_PX, xOf(stretch.to) - x);
      bars.push({ ...common, kind: task.kind, x, width, label: k === 0 ? common.label : '' });
    }
  }
  return { bars, lanes: Math.max(1, ends.length) };
}
