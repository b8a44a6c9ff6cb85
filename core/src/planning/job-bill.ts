import { hireOf, isBoughtCheaper, milli, packsFor, parted, poolsOf, wholeOf, type Cents } from '../bill/index.ts';
import type { Price } from '../bill/facts.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import { say, type Sayable } from '../said/index.ts';
import type { JobStage } from './draft.ts';
import { centsOf, type BillProduct, type CostKind, type CostPart, type StageCost } from './stage-cost.ts';
import type { PlannedPacks } from './under-costs.ts';

/** What one stage of one room bears of a line. */
export interface BillShare {
  roomId: string;
  stage: JobStage;
  quantity: number;
  cents: Cents;
  /** As the stage itself reckons it. */
  asStageCents: Cents;
}

/** One line of a job's bill, over all stages and rooms. */
export interface BillLine {
  id: string;
  kind: CostKind | 'travel';
  what: Sayable;
  unit: string;
  /** Without waste, and with it. */
  net: number;
  gross: number;
  /** Null where it is not bought in packs. */
  packs: { count: number; holds: number; eachCents: Cents; apart: number } | null;
  cents: Cents;
  asStagesCents: Cents;
  shares: BillShare[];
  price: { source: Sayable; on: string; supplier: string; isOwn: boolean; isUnknown: boolean };
  kg: number;
  litres: number;
  /** Hours of the plan at which it is used first and last; null where no task of it is planned. */
  usedH: { from: number; to: number } | null;
  isOneBatch: boolean;
  sealedDays: number | null;
  /** Hired together: the times it is kept, by days of the plan; and what it would cost to buy, where that is cheaper. */
  hire: { stretches: { fromDay: number; toDay: number; cents: Cents }[]; buyCents: Cents | null } | null;
}

/** When a stage of a room is worked at, hours of the plan; null where nothing of it is planned. */
export type UsedAt = (roomId: string, stage: JobStage) => { from: number; to: number } | null;

export interface BillAsk {
  costs: readonly StageCost[];
  packs: readonly PlannedPacks[];
  prices: readonly Price[];
  figure: AnyFigureOf;
  usedAt: UsedAt;
  /** Days of the plan on which each machine is used, the weekday of day 0 (Sunday being 0), days on site, and days a hired toilet stands. */
  days: { machines: Readonly<Record<string, readonly number[]>>; weekday: number; onSite: number; toilet: number };
}

interface Borne {
  share: Omit<BillShare, 'cents'>;
  part: CostPart;
}

const ownPrice = (prices: readonly Price[], id: string): Price | null =>
  prices.findLast(({ productId }) => productId === id) ?? null;

/** A pack as one buys it: by the price book where it knows it. */
function bought(product: BillProduct, prices: readonly Price[], figure: AnyFigureOf) {
  const own = ownPrice(prices, product.id);
  if (!own)
    return {
      pack: product.pack,
      eachCents: Math.round((product.price ?? 0) * 100),
      kg: product.kg,
      litres: product.litres,
      openedH: product.openedH,
      sealedDays: product.sealedDays,
      price: { source: product.source, on: '', supplier: '', isOwn: false, isUnknown: product.price === null },
    };
  const permille = Math.round(figure('tax-pct') * 10);
  const cents = Math.round(own.price * 100);
  return {
    pack: own.pack,
    // Everything is reckoned without tax, which goes on the whole at the end.
    eachCents: own.hasTax ? wholeOf(cents * 1000, 1000 + permille) : cents,
    kg: own.kg,
    litres: own.litres,
    openedH: own.openedH,
    sealedDays: own.sealedDays,
    price: { source: own.source || own.name, on: own.pricedOn, supplier: own.supplier, isOwn: true, isUnknown: false },
  };
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

const sumOf = (borne: readonly Borne[], of: (one: Borne) => number) => borne.reduce((sum, one) => sum + of(one), 0);
const NO_PRICE: BillLine['price'] = { source: '', on: '', supplier: '', isOwn: false, isUnknown: false };

function plainLine(id: string, borne: readonly Borne[]): BillLine {
  const cents = sumOf(borne, ({ share }) => share.asStageCents);
  const { part } = borne[0]!;
  return {
    id,
    kind: part.kind,
    what: part.what,
    unit: part.unit,
    net: sumOf(borne, ({ part: { net } }) => net),
    gross: sumOf(borne, ({ part: { quantity } }) => quantity),
    packs: null,
    cents,
    asStagesCents: cents,
    shares: borne.map(({ share }) => ({ ...share, cents: share.asStageCents })),
    price: { ...NO_PRICE, source: say('figures.price') },
    kg: 0,
    litres: 0,
    usedH: null,
    isOneBatch: false,
    sealedDays: null,
    hire: null,
  };
}

function productLine(
  { product, borne }: { product: BillProduct; borne: Borne[] },
  { packs: known, prices, figure, usedAt }: BillAsk,
): BillLine {
  const { pack, eachCents, kg, litres, openedH, sealedDays, price } = bought(product, prices, figure);
  const uses = borne.map(({ share }) => usedAt(share.roomId, share.stage));
  const needs = borne.map(({ share }, k) => ({
    key: String(k),
    roomId: share.roomId,
    gross: milli(share.quantity),
    fromH: uses[k]?.from ?? 0,
    toH: uses[k]?.to ?? 0,
  }));
  // What was cut or counted over the whole job is bought as it was; a price book with other packs buys as much in them.
  const planned = known.find((one) => one.product === product.id);
  const whole = planned && pack === product.pack ? planned.packs : null;
  const of = {
    id: product.id,
    pack: milli(pack),
    packCents: eachCents,
    openedLifeH: product.isOneBatch || planned ? null : openedH,
    isKit: product.isKit,
  };
  const pools = poolsOf(of, needs);
  const packs = whole ?? pools.reduce((sum, pool) => sum + pool.packs, 0);
  const bears = new Map(pools.flatMap(({ parts }) => parts.map(({ key, cents }) => [key, cents] as const)));
  const cents = packs * eachCents;
  const shares = borne.map(({ share }, k) => ({ ...share, cents: bears.get(String(k)) ?? 0 }));
  if (whole !== null) shareOut(shares, cents);
  const used = uses.flatMap((one) => (one ? [one] : []));
  return {
    id: product.id,
    kind: 'material',
    what: product.name,
    unit: product.unit,
    net: sumOf(borne, ({ part }) => part.net),
    gross: sumOf(borne, ({ part }) => part.quantity),
    packs: {
      count: packs,
      holds: pack,
      eachCents,
      apart: needs.reduce((sum, { gross }) => sum + packsFor(gross, milli(pack)), 0),
    },
    cents,
    asStagesCents: shares.reduce((sum, { asStageCents }) => sum + asStageCents, 0),
    shares,
    price,
    kg: packs * kg,
    litres: packs * litres,
    usedH:
      used.length === 0
        ? null
        : { from: Math.min(...used.map(({ from }) => from)), to: Math.max(...used.map(({ to }) => to)) },
    isOneBatch: product.isOneBatch,
    sealedDays,
    hire: null,
  };
}

/** A sum borne by what each takes, to the cent. */
function shareOut(shares: BillShare[], cents: Cents): void {
  const weights = shares.map(({ quantity }) => Math.round(quantity * 1000));
  const parts = parted(cents, weights);
  shares.forEach((share, k) => (share.cents = parts[k]!));
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
          {
            id,
            kind,
            what,
            unit: 'days',
            net: count,
            gross: count,
            packs: null,
            cents: Math.round(money * 100),
            asStagesCents: 0,
            shares: [],
            price: { ...NO_PRICE, source: say('figures.price') },
            kg: 0,
            litres: 0,
            usedH: null,
            isOneBatch: false,
            sealedDays: null,
            hire: null,
          },
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

/** What stages reckon by themselves, what buying together changes, and what the job takes besides. */
export interface BillTotal {
  asStages: Cents;
  /** Below nothing where the job buys and hires for less than its stages one by one. */
  together: Cents;
  besides: Cents;
  cost: Cents;
}

export function totalOfBill(lines: readonly BillLine[]): BillTotal {
  const sum = (of: (line: BillLine) => number) => lines.reduce((all, line) => all + of(line), 0);
  const asStages = sum(({ asStagesCents }) => asStagesCents);
  const beside = sum(({ shares, cents }) => (shares.length === 0 ? cents : 0));
  const cost = sum(({ cents }) => cents);
  return { asStages, besides: beside, cost, together: cost - asStages - beside };
}
