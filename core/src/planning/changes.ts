import type { UnderPlan } from '../assess/under-plan.ts';
import type { Cents } from '../bill/index.ts';
import { withMargin } from '../bill/index.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import type { Sayable } from '../said/index.ts';
import { planCases, quantile, type Case } from '../schedule/index.ts';
import { billOfJob } from './bill-of-job.ts';
import type { Surprise } from './facts.ts';
import type { JobFacts } from './job-facts.ts';
import type { BillLine } from './bill-line.ts';
import { askOf, DRAWS, planJob } from './plan-job.ts';
import type { RoomGround } from './room-ground.ts';
import { halfDayAt, type HalfDay } from './shown-days.ts';

/** A recorded surprise as a change: each line of the bill that differs, and the dates before it and after. */
export interface ShownChange {
  surprise: Surprise;
  lines: { what: Sayable; beforeCents: Cents; afterCents: Cents }[];
  /** Of the price, margin counted and tax not. */
  netCents: Cents;
  hours: number;
  before: ChangeDates;
  after: ChangeDates;
}

export interface ChangeDates {
  laying: HalfDay | null;
  handOver: string | null;
}

const TRIES = 120;
const PROMISED = 0.8;

/** What every surprise that was found changes in plan and bill, whoever has decided it or has not yet. */
export function changesOf(
  grounds: readonly RoomGround[],
  facts: JobFacts,
  under: UnderPlan,
  figure: AnyFigureOf,
  atUtc: string,
): ShownChange[] {
  return facts.surprises
    .filter(({ state }) => state !== 'may-come')
    .map((surprise): ShownChange => {
      const others = facts.surprises.filter(({ id }) => id !== surprise.id);
      const agreed: Surprise = { ...surprise, state: 'approved' };
      const sides = [others, [...others, agreed]].map((surprises): JobFacts => ({ ...facts, surprises }));
      const [without, withIt] = sides.map((of) =>
        billOfJob(planJob(grounds, of, atUtc, { tries: TRIES }), grounds, under, of, figure),
      );
      const [before, after] = datesOf(sides, grounds, atUtc);
      const margin = Math.round(figure('margin-pct') * 10);
      const sum = (lines: readonly BillLine[]) => lines.reduce((all, { cents }) => all + cents, 0);
      return {
        surprise,
        lines: differing(without!, withIt!),
        netCents: withMargin(sum(withIt!), margin) - withMargin(sum(without!), margin),
        hours: surprise.hours,
        before: before!,
        after: after!,
      };
    });
}

/** The dates that are promised without a change and with it, side by side: more work is never promised sooner because somebody looked less well. */
function datesOf(sides: readonly JobFacts[], grounds: readonly RoomGround[], atUtc: string): ChangeDates[] {
  const cases = sides.map((facts, k): Case => {
    const { rest, ask } = askOf(grounds, facts, atUtc);
    return { id: String(k), job: rest, spreads: ask.spreads };
  });
  return planCases(cases, TRIES, DRAWS).map(({ found }, k): ChangeDates => {
    if ('why' in found) return { laying: null, handOver: null };
    const { calendar } = cases[k]!.job;
    const { layingHalf, endDay } = found.promised.chances;
    return {
      laying: halfDayAt(calendar, quantile(layingHalf, PROMISED)),
      handOver: calendar.dates[quantile(endDay, PROMISED)] ?? null,
    };
  });
}

/** Lines that are not the same on both sides. */
function differing(before: readonly BillLine[], after: readonly BillLine[]): ShownChange['lines'] {
  const ids = [...new Set([...before, ...after].map(({ id }) => id))];
  return ids.flatMap((id) => {
    const [was, is] = [before.find((line) => line.id === id), after.find((line) => line.id === id)];
    const [beforeCents, afterCents] = [was?.cents ?? 0, is?.cents ?? 0];
    return beforeCents === afterCents ? [] : [{ what: (is ?? was)!.what, beforeCents, afterCents }];
  });
}
