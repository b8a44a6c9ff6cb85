import { hireOf, isBoughtCheaper, parted } from '../bill/index.ts';
import type { Price } from '../bill/facts.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import { say, type Sayable } from '../said/index.ts';
import { bareLine, plainLine, type BillLine, type Borne } from './bill-line.ts';
import { productLine, type UsedAt } from './product-line.ts';
import { centsOf, type BillProduct, type StageCost } from './stage-cost.ts';
import type { PlannedPacks } from './under-costs.ts';

export interface BillAsk {
  costs: readonly StageCost[];
  packs: readonly PlannedPacks[];
  prices: readonly Price[];
  figure: AnyFigureOf;
  usedAt: UsedAt;
  /** Days of the plan on which each machine is used, the weekday of day 0 (Sunday being 0), days on site, and days a hired toilet stands. */
  days: { machines: Readonly<Record<string, readonly number[]>>; weekday: number; onSite: number; toilet: number };
}

/** One bill over all stages and rooms: packs pooled as long as they keep, machines hired together, everything else as its stage has it. */
export function billOf(ask: BillAsk): BillLine[] {
  const products = new Map<string, { product: BillProduct; borne: Borne[] }>();
  const machines = new Map<string, Borne[]>();
  const rest = new Map<string, Borne[]>();
  for (const { roomId, stage, told, parts } of ask.costs) {
    const cents = centsOf({ told, parts });
    parts.forEach((part, k) => {
      if (part.cost <= 0 && part.product === null) return;
      const borne = { part, share: { roomId, stage, quantity: part.quantity, asStageCents: cents[k]! } };
      if (part.product) {
        const held = products.get(part.product.id) ?? { product: part.product, borne: [] };
        held.borne.push(borne);
        products.set(part.product.id, held);
        return;
      }
      const [into, name] = part.machine
        ? [machines, part.machine]
        : [rest, `${part.kind}/${typeof part.what === 'string' ? part.what : part.what.code}/${part.unit}`];
      into.set(name, [...(into.get(name) ?? []), borne]);
    });
  }
  return [
    ...[...products.values()].map((one) => productLine(one, ask)),
    ...[...machines].map(([name, borne]) => hireLine(name, borne, ask)),
    ...[...rest].map(([id, borne]) => plainLine(id, borne)),
    ...besides(ask),
  ];
}

function hireLine(name: string, borne: readonly Borne[], { figure, days }: BillAsk): BillLine {
  const line = plainLine(`hire/${name}`, borne);
  const used = days.machines[name] ?? [];
  if (used.length === 0) return { ...line, kind: 'hire', what: machineWords(name) };
  const dayCents = Math.round(
    100 * (name === 'grinder' ? figure('grinder-day') + figure('extractor-day') : figure('hammer-day')),
  );
  const { stretches, cents } = hireOf(
    used,
    {
      dayCents,
      tripCents: Math.round(100 * figure('hire-trip')),
      weekCents: Math.round(dayCents * figure('hire-week-days')),
      weekendCents: null,
    },
    days.weekday,
  );
  const buyCents = Math.round(100 * figure('grinder-buy'));
  const resale = Math.round((buyCents * figure('grinder-resale-pct')) / 100);
  const shares = line.shares.map((share) => ({ ...share }));
  const parts = parted(
    cents,
    shares.map(({ asStageCents }) => asStageCents),
  );
  shares.forEach((share, k) => (share.cents = parts[k]!));
  return {
    ...line,
    kind: 'hire',
    what: machineWords(name),
    cents,
    shares,
    hire: {
      stretches,
      buyCents: name === 'grinder' && isBoughtCheaper(cents, buyCents, resale) ? buyCents - resale : null,
    },
  };
}

const machineWords = (name: string): Sayable => (name === 'grinder' ? say('planning.grinder') : say('planning.hammer'));

/** What the job takes besides its stages: days of travel, and a toilet that stands in. */
function besides({ figure, days }: BillAsk): BillLine[] {
  const line = (id: string, kind: BillLine['kind'], what: Sayable, count: number, money: number): BillLine[] =>
    count > 0 && money > 0
      ? [
          bareLine({
            ...{ id, kind, what, unit: 'days', net: count, gross: count },
            cents: Math.round(money * 100),
            asStagesCents: 0,
            shares: [],
          }),
        ]
      : [];
  return [
    ...line(
      'travel',
      'travel',
      say('planning.travel'),
      days.onSite,
      days.onSite * (figure('travel-day') + figure('travel-h') * figure('labour-h')),
    ),
    ...line(
      'toilet',
      'hire',
      say('planning.hiredToilet'),
      days.toilet,
      days.toilet * figure('toilet-hire-day') + figure('hire-trip'),
    ),
  ];
}
