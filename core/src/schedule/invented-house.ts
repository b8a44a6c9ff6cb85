import { seeded } from '../units/index.ts';
import { calendarOf } from './calendar.ts';
import { wait, weekdays, work } from './invented-jobs.ts';
import type { Spread } from './draws.ts';
import type { Job, Task, Within, Work } from './task.ts';

/** A house with what may come of it. */
export interface InventedHouse {
  job: Job;
  spreads: Record<string, Spread>;
}

const HOURS_A_DAY = 24;

/**
 * An invented house, the same for a seed, its rooms made of what stages ask: coverings on their way, old floors taken up, a base that
 * breathes or dries, repairs, pours, underlay, planks, and the end. Two people, a grinder, one toilet, a hall most rooms lie behind.
 */
export function inventedHouse(seed: number, rooms: number): InventedHouse {
  const draw = seeded(seed * 9176 + 11);
  const hours = (low: number, high: number) => Math.round((low + draw() * (high - low)) * 4) / 4;
  const maybe = (share: number) => draw() < share;
  const tasks: Task[] = [];
  const within: Within[] = [];
  const ways: Record<string, string[][]> = {};
  const spreads: Record<string, Spread> = {};
  const coverings = 1 + Math.floor(draw() * Math.min(3, rooms));
  for (let c = 0; c < coverings; c++) {
    tasks.push(wait(`order/${c}`, hours(2, 14) * HOURS_A_DAY, []));
    tasks.push(work(`carry/${c}`, hours(0.5, 2), [`order/${c}`]));
    tasks.push(wait(`acclimatise/${c}`, maybe(0.5) ? 48 : 0, [`carry/${c}`]));
  }
  for (let r = 0; r < rooms; r++) {
    const room = `room-${r}`;
    ways[room] = r === 0 || maybe(0.15) ? [[]] : [['room-0']];
    let last: string[] = [];
    const add = (name: string, length: number, part: Partial<Work> = {}) => {
      tasks.push(work(`${room}/${name}`, length, last, { room, ...part }));
      last = [`${room}/${name}`];
      return last[0]!;
    };
    const rest = (name: string, length: number) => {
      tasks.push(wait(`${room}/${name}`, length, last));
      last = [`${room}/${name}`];
    };
    const hasToilet = r % 4 === 2;
    if (maybe(0.5)) add('furniture', hours(0.25, 1.5), { people: 2 });
    if (hasToilet) add('toilet-out', 0.5, { holds: [{ what: 'toilet', until: `${room}/toilet-in` }] });
    add('skirting-off', hours(0.25, 1));
    if (maybe(0.6)) {
      add('strip', hours(0.5, 6));
      if (maybe(0.3)) rest('breathes', 7 * HOURS_A_DAY);
    }
    if (maybe(0.4)) {
      add('repair', hours(0.5, 2));
      if (maybe(0.5)) rest('cures', hours(4, 24));
    }
    if (maybe(0.4)) {
      add('test-set', 0.5);
      rest('test-stands', 72);
      add('test-read', 0.25, { unbroken: true });
      if (maybe(0.4)) {
        const days = hours(5, 60);
        rest('dries', days * HOURS_A_DAY);
        spreads[`${room}/dries`] = { kind: 'band', p10: days * 60, p50: days * 96, p90: days * 180 };
        add('read-dry', 0.25, { unbroken: true });
      }
    }
    const read = add('flat', hours(0.25, 1), { unbroken: true });
    if (maybe(0.35)) add('grind', hours(0.5, 3), { machines: ['grinder'] });
    if (maybe(0.5)) {
      const primed = add('prime', hours(0.25, 1), { unbroken: true, shutUntil: `${room}/primer` });
      rest('primer', 2);
      add('pour', hours(0.5, 2.5), { unbroken: true, people: 2, shutUntil: `${room}/walk` });
      within.push({ key: `${room}/pour`, of: primed, quarters: HOURS_A_DAY * 4 });
      rest('walk', hours(3, 6));
      rest('cover', hours(16, 72));
      add('flat-again', 0.5, { unbroken: true });
    }
    const covering = Math.floor(draw() * coverings);
    const under = add('underlay', hours(0.25, 1.5));
    tasks.push(
      work(`${room}/lay`, hours(1, 9), [under, `acclimatise/${covering}`], { room, isLaying: true, people: 1 }),
    );
    within.push({ key: `${room}/lay`, of: read, quarters: 60 * HOURS_A_DAY * 4 });
    last = [`${room}/lay`];
    add('skirting', hours(0.5, 3));
    if (hasToilet) add('toilet-in', 1, { unbroken: true });
    add('hand-over', 0.5);
  }
  const calendar = calendarOf({
    zone: 'Europe/London',
    firstDay: '2026-03-23',
    days: 400,
    week: weekdays([
      [8 * 60, 12 * 60],
      [12 * 60 + 30, 16 * 60],
    ]),
  });
  const job = {
    tasks,
    within,
    calendar,
    people: 2,
    machines: { grinder: 1 },
    holdings: { toilet: 1 },
    trades: {},
    ways,
  };
  return { job, spreads };
}
