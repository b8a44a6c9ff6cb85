import { milli, packsFor, parted, poolsOf, wholeOf, type Cents } from '../bill/index.ts';
import type { Price } from '../bill/facts.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import { sumOf, type BillLine, type BillShare, type Borne } from './bill-line.ts';
import type { JobStage } from './draft.ts';
import type { BillProduct } from './stage-cost.ts';
import type { PlannedPacks } from './under-costs.ts';

/** When a stage of a room is worked at, hours of the plan; null where nothing of it is planned. */
export type UsedAt = (roomId: string, stage: JobStage) => { from: number; to: number } | null;

interface BoughtBy {
  packs: readonly PlannedPacks[];
  prices: readonly Price[];
  figure: AnyFigureOf;
  usedAt: UsedAt;
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

/** A product over all rooms that take it, its packs pooled as long as they keep. */
export function productLine(
  { product, borne }: { product: BillProduct; borne: Borne[] },
  { packs: known, prices, figure, usedAt }: BoughtBy,
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
