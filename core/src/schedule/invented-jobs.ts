import { seeded } from '../units/index.ts';
import { calendarOf, type Calendar, type Window } from './calendar.ts';
import type { Job, Task, Wait, Within, Work } from './task.ts';

const DAY: readonly Window[] = [
  [8 * 60, 12 * 60],
  [12 * 60 + 30, 16 * 60],
];
export const weekdays = (windows: readonly Window[]): Partial<Record<number, readonly Window[]>> => ({
  1: windows,
  2: windows,
  3: windows,
  4: windows,
  5: windows,
});

export const work = (key: string, hours: number, after: readonly string[] = [], part: Partial<Work> = {}): Work => ({
  kind: 'work',
  key,
  quarters: Math.round(hours * 4),
  people: 1,
  room: null,
  unbroken: false,
  machines: [],
  trade: null,
  shutUntil: null,
  holds: [],
  isLaying: false,
  after,
  ...part,
});
export const wait = (key: string, hours: number, after: readonly string[]): Wait => ({
  kind: 'wait',
  key,
  quarters: Math.round(hours * 4),
  after,
});

/** An invented job, the same for a seed: rooms one behind another, some poured, one toilet, a grinder, and two people. */
export function inventedJob(seed: number, rooms = 3): Job {
  const draw = seeded(seed * 7717 + 3);
  const hours = (low: number, high: number) => Math.round((low + draw() * (high - low)) * 4) / 4;
  const calendar: Calendar = calendarOf({
    zone: 'Europe/London',
    firstDay: '2026-03-23',
    days: 120,
    week: weekdays(DAY),
  });
  const tasks: Task[] = [];
  const within: Within[] = [];
  const ways: Record<string, string[][]> = {};
  for (let r = 0; r < rooms; r++) {
    const room = `room-${r}`;
    // From outside through the first room, or for the last also by a door of its own.
    ways[room] = r === 0 ? [] : draw() < 0.3 ? [[], ['room-0']] : [['room-0']];
    const of = (name: string) => `${room}/${name}`;
    const isPoured = draw() < 0.6;
    const isToilet = draw() < 0.5 && r % 3 === 1;
    tasks.push(
      work(of('strip'), hours(1, 9), [], {
        room,
        people: draw() < 0.1 ? 2 : 1,
        holds: isToilet ? [{ what: 'toilet', until: of('toilet-in') }] : [],
      }),
    );
    tasks.push(work(of('grind'), hours(0.5, 3), [of('strip')], { room, machines: ['grinder'] }));
    const last = isPoured ? of('cure') : of('grind');
    if (isPoured) {
      tasks.push(work(of('prime'), hours(0.5, 1.5), [of('grind')], { room, unbroken: true }));
      tasks.push(wait(of('dry'), hours(1, 3), [of('prime')]));
      tasks.push(
        work(of('pour'), hours(1, 3.5), [of('dry')], { room, unbroken: true, people: 2, shutUntil: of('walk') }),
      );
      tasks.push(wait(of('walk'), hours(3, 6), [of('pour')]));
      tasks.push(wait(of('cure'), hours(16, 48), [of('pour')]));
      within.push({ key: of('pour'), of: of('prime'), quarters: 24 * 4 });
    }
    tasks.push(work(of('read'), 0.5, [last, ...(isPoured ? [of('walk')] : [])], { room }));
    tasks.push(work(of('lay'), hours(3, 10), [of('read')], { room, isLaying: true }));
    if (draw() < 0.5) within.push({ key: of('lay'), of: of('read'), quarters: 7 * 24 * 4 });
    tasks.push(work(of('skirting'), hours(1, 4), [of('lay')], { room }));
    if (isToilet) tasks.push(work(of('toilet-in'), hours(0.5, 2), [of('skirting')], { room, unbroken: true }));
  }
  return { tasks, within, calendar, people: 2, machines: { grinder: 1 }, holdings: { toilet: 1 }, trades: {}, ways };
}
