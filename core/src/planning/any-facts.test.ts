import { seeded } from '../units/index.ts';
import { ALL_FIGURES, JOB_FIGURES } from '../figures/job-figures.ts';
import { courseOf } from './course-of-job.ts';
import { AT, FACTS, house, surprise, withToilet } from './invented-job.ts';
import { SURPRISE_STATES } from './facts.ts';
import type { JobFacts } from './job-facts.ts';

const NOTHING_UNDER = { panels: [], rolls: [] };
const ROOMS = [...house(), withToilet()];
const IDS = ['hall', 'parlour', 'wash'];
const NAMES = Object.keys(JOB_FIGURES) as (keyof typeof JOB_FIGURES)[];

/** Facts at the ends of their ranges and between, the same for a seed. */
function invented(draw: () => number): JobFacts {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)]!;
  const some = <T>(of: readonly T[], share: number): T[] => of.filter(() => draw() < share);
  return {
    ...FACTS,
    figures: some(NAMES, 0.15).map((name) => {
      const { min, max } = ALL_FIGURES[name];
      return { name, value: pick([min, max, Math.max(min, Math.round((min + max) / 2))]), source: '' };
    }),
    surprises: some([1, 2], 0.6).map((k) =>
      surprise({
        id: `s${k}`,
        ofRoomId: pick(IDS),
        hours: pick([0, 1, 400]),
        waitH: pick([0, 24, 2000]),
        cost: pick([0, 84, 1e6]),
        sharePct: pick([0, 35, 100]),
        before: pick(['strip', 'level', 'lay'] as const),
        state: pick(SURPRISE_STATES),
        isMakingSafe: draw() < 0.3,
      }),
    ),
    furnishings: some(IDS, 0.4).map((ofRoomId) => ({
      ...{ id: ofRoomId, jobId: 'j', ofRoomId, goes: pick(['none', 'room', 'elsewhere'] as const), note: '' },
      toRoomId: pick([...IDS, null]),
      hours: pick([0, 2, 40]),
    })),
    waysIn: some(IDS, 0.3).map((ofRoomId) => ({ id: ofRoomId, jobId: 'j', ofRoomId, isOwn: draw() < 0.5, note: '' })),
    taskHolds: some(['2026-05-20T08:00:00.000Z', '2020-01-01T08:00:00.000Z', null], 0.3).map((notBefore) => ({
      ...{ id: 'h', jobId: 'j', key: 'parlour/level/prime', notBefore, note: '' },
    })),
  };
}

test.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])(
  'whatever facts %i are: sums agree to the cent, and chances are in order',
  (seed) => {
    const draw = seeded(seed * 31);
    const facts = invented(draw);
    const rooms = ROOMS.filter(() => draw() < 0.8);
    const { days, bill, price, changes } = courseOf(rooms, facts, NOTHING_UNDER, AT);
    const sum = (cents: readonly number[]) => cents.reduce((all, one) => all + one, 0);
    const cost = sum(bill.lines.map(({ cents }) => cents));
    expect([bill.total.cost, price.cost]).toEqual([cost, cost]);
    expect(price.net).toBe(sum(price.firm.map(({ netCents }) => netCents)) + price.rounding);
    expect(price.gross).toBe(price.net + sum(price.tax.map(({ cents }) => cents)));
    expect([price.gross, ...bill.lines.map(({ cents }) => cents)].every(Number.isSafeInteger)).toBe(true);
    const { p50, p80, p95 } = price.spread;
    expect(p50 <= p80 && p80 <= p95 && price.contingency >= 0).toBe(true);
    // Either there is a plan, or a reason why not.
    expect(days.none === null).toBe(days.tasks.length > 0 || rooms.length === 0);
    expect(days.tasks.every(({ from, to }) => from <= to)).toBe(true);
    const ends = [days.chances.p50, days.chances.p80, days.chances.p95].map(({ handOver }) => handOver ?? '9');
    expect([...ends].sort()).toEqual(ends);
    // More work is never promised sooner.
    const half = (laying: { day: string; isAfternoon: boolean } | null) =>
      laying === null ? '9' : `${laying.day}${laying.isAfternoon ? 'b' : 'a'}`;
    for (const { before, after } of changes) expect(half(after.laying) >= half(before.laying)).toBe(true);
  },
);
