import { shoppingRuns, type PackCount, type ShoppingRun } from '../bill/index.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import { say, type Sayable } from '../said/index.ts';
import type { JobStage } from './draft.ts';
import { siteDay } from './job-calendar.ts';
import { totalOfBill, type BillLine, type BillTotal } from './bill-line.ts';
import type { ShownDays } from './shown-days.ts';

/** A line with the days on which it is used first and last; null where no day is planned for it. */
export interface ShownLine extends BillLine {
  firstDay: string | null;
  lastDay: string | null;
  /** Packs that are there already, as far as they were counted. */
  atHand: number;
  /** The day on a pack is before its last use: it is ordered later, or not at all from there. */
  tooOldOn: string | null;
}

/** What was bought and opened of a product, against what was planned. */
export interface CountedPacks {
  count: PackCount;
  what: Sayable;
  /** Sealed packs that go back, and until when the supplier takes them. */
  back: number;
  backBy: string;
  /** Opened against planned; null while nothing was planned. */
  ratio: number | null;
}

/** What is taken along on a day. */
export interface DayTools {
  day: string;
  stages: JobStage[];
  machines: string[];
  tools: Sayable[];
}

export interface ShownBill {
  lines: ShownLine[];
  total: BillTotal;
  runs: (Omit<ShoppingRun, 'byDay' | 'load'> & { byDay: string; load: { what: Sayable; packs: number }[] })[];
  /** By supplier: as few trips as weight and room in the van allow, and whether there are no more. */
  least: { supplier: string; trips: number; isMet: boolean }[];
  carry: { kg: number; heaviest: { what: Sayable; kg: number } | null; stackM2: number };
  tools: DayTools[];
  counted: CountedPacks[];
  /** What was opened against what was planned over all that is counted; null where nothing is. */
  usedRatio: number | null;
}

const DAY_MS = 86_400_000;
const addDays = (day: string, days: number) =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);

/** A bill as its page shows it: with days, trips to the merchant, what is carried, and what goes back. */
export function shownBill(
  lines: readonly BillLine[],
  days: ShownDays,
  counts: readonly PackCount[],
  figure: AnyFigureOf,
  boxesIn: (productId: string) => number,
  nameOf: (productId: string) => Sayable,
): ShownBill {
  const dayAt = (hours: number): string | null =>
    days.days[Math.min(days.days.length - 1, Math.floor(hours / 24))]?.day ?? null;
  const newest = [...new Map(counts.map((one) => [one.productId, one])).values()];
  const shown = lines.map((line): ShownLine => {
    const [usedDay, lastDay] = line.usedH ? [dayAt(line.usedH.from), dayAt(line.usedH.to)] : [null, null];
    const firstDay = line.isOneBatch ? (carriedOn(line, days) ?? usedDay) : usedDay;
    const bought = newest.find(({ productId }) => productId === line.id)?.bought ?? 0;
    const useBy = newest.find(({ productId }) => productId === line.id)?.useBy ?? '';
    const keepsTo = useBy !== '' ? useBy : line.sealedDays !== null ? addDays(days.today, line.sealedDays) : null;
    return {
      ...line,
      firstDay,
      lastDay,
      atHand: Math.max(bought, boxesIn(line.id)),
      tooOldOn: keepsTo !== null && lastDay !== null && lastDay > keepsTo ? keepsTo : null,
    };
  });
  const bought = shown.filter(({ packs }) => packs !== null && packs.count > 0);
  const toFetch = ({ packs, atHand }: ShownLine) => Math.max(0, packs!.count - atHand);
  const dayNumber = new Map(days.days.map(({ day }, k) => [day, k]));
  const { runs, least } = shoppingRuns(
    bought.map((line) => ({
      id: line.id,
      supplier: line.price.supplier,
      packs: toFetch(line),
      kgEach: line.kg / line.packs!.count,
      litresEach: line.litres / line.packs!.count,
      neededDay: dayNumber.get(line.firstDay ?? '') ?? 0,
    })),
    { kg: figure('van-kg'), litres: figure('van-l') },
    figure('fetch-early-days'),
  );
  // What was bought for another choice is none of the bill's lines any more, and goes back all the same.
  const whatOf = (id: string): Sayable => shown.find((line) => line.id === id)?.what ?? nameOf(id);
  const heaviest = bought.reduce<ShownBill['carry']['heaviest']>((most, { what, kg, packs }) => {
    const each = kg / packs!.count;
    return !most || each > most.kg ? { what, kg: each } : most;
  }, null);
  const kg = bought.reduce((sum, line) => sum + line.kg, 0);
  const counted = newest.map((count): CountedPacks => ({
    count,
    what: whatOf(count.productId),
    back: Math.max(0, count.bought - count.opened),
    backBy: count.boughtOn === '' ? '' : addDays(count.boughtOn, figure('return-days')),
    ratio: count.planned > 0 ? count.opened / count.planned : null,
  }));
  const planned = counted.filter(({ ratio }) => ratio !== null);
  const sum = (of: (one: CountedPacks) => number) => planned.reduce((all, one) => all + of(one), 0);
  return {
    lines: shown,
    total: totalOfBill(lines),
    runs: runs.map(({ byDay, load, ...run }) => ({
      ...run,
      byDay: days.days[byDay]?.day ?? days.today,
      load: load.map(({ id, packs }) => ({ what: whatOf(id), packs })),
    })),
    least: Object.entries(least).map(([supplier, trips]) => ({
      supplier,
      trips,
      isMet: runs.filter((run) => run.supplier === supplier).length <= trips,
    })),
    carry: { kg, heaviest, stackM2: kg / figure('stack-kg-m2') },
    tools: toolsOf(days),
    counted,
    usedRatio: planned.length === 0 ? null : sum(({ count }) => count.opened) / sum(({ count }) => count.planned),
  };
}

/** The day on which boxes of a covering are first carried in, where some are not yet. */
function carriedOn({ shares }: BillLine, { tasks, zone }: ShownDays): string | null {
  const from = tasks
    .filter(
      ({ key, roomId, doneAt }) =>
        doneAt === null && key.endsWith('/order/carry') && shares.some((share) => share.roomId === roomId),
    )
    .map((task) => task.from)
    .sort()[0];
  return from ? siteDay(zone, from) : null;
}

/** Tools of each day on which somebody works, by the stages that are worked at. */
function toolsOf({ tasks, days, zone }: ShownDays): DayTools[] {
  const format = new Intl.DateTimeFormat('en-CA', { timeZone: zone });
  const byDay = new Map<string, { stages: Set<JobStage>; machines: Set<string> }>();
  for (const task of tasks) {
    if (task.kind !== 'work' || task.doneAt !== null || task.trade !== null) continue;
    for (const { from } of task.stretches) {
      const day = format.format(new Date(from));
      const held = byDay.get(day) ?? { stages: new Set<JobStage>(), machines: new Set<string>() };
      held.stages.add(task.stage);
      task.machines.forEach((name) => held.machines.add(name));
      byDay.set(day, held);
    }
  }
  return days.flatMap(({ day }) => {
    const held = byDay.get(day);
    if (!held) return [];
    const stages = [...held.stages];
    return [
      {
        day,
        stages,
        machines: [...held.machines],
        tools: stages.flatMap((stage) => {
          const words = toolWords(stage);
          return words ? [words] : [];
        }),
      },
    ];
  });
}

function toolWords(stage: JobStage): Sayable | null {
  switch (stage) {
    case 'order':
      return say('planning.toolsOrder');
    case 'strip':
      return say('planning.toolsStrip');
    case 'sound':
      return say('planning.toolsSound');
    case 'damp':
      return say('planning.toolsDamp');
    case 'membrane':
      return say('planning.toolsMembrane');
    case 'level':
      return say('planning.toolsLevel');
    case 'panels':
      return say('planning.toolsPanels');
    case 'lay':
      return say('planning.toolsLay');
    case 'end':
      return say('planning.toolsEnd');
    case 'change':
    case 'heating':
    case 'hazard':
      return null;
  }
}
