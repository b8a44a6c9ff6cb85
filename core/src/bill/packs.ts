import { parted, type Cents, type Milli } from './money.ts';

/** What one room needs of a product in one stage, waste within it. */
export interface Need {
  key: string;
  roomId: string;
  gross: Milli;
  /** When it is first used and last, hours on the plan. */
  fromH: number;
  toH: number;
}

export interface Product {
  id: string;
  pack: Milli;
  packCents: Cents;
  /** So long an opened pack keeps, hours; null where it keeps. */
  openedLifeH: number | null;
  /** Two parts that are mixed: what is left is lost at the end of a session. */
  isKit: boolean;
}

/** Needs that share packs, with what each bears of them. */
export interface Pool {
  product: string;
  packs: number;
  gross: Milli;
  cents: Cents;
  parts: { key: string; roomId: string; cents: Cents }[];
}

const HAIR = 1e-9;
/** A session is a working day at most. */
const SESSION_H = 10;

/** Packs for a quantity. */
export const packsFor = (gross: Milli, pack: Milli): number => Math.max(0, Math.ceil(gross / pack - HAIR));

/**
 * Needs of one product and one batch rule, pooled as long as an opened pack keeps from one use to the next: packs are rounded up once a pool, and parted by what each need takes of
 * them, to the cent.
 */
export function poolsOf(product: Product, needs: readonly Need[]): Pool[] {
  const keepsH = product.isKit ? SESSION_H : product.openedLifeH;
  const sorted = needs.filter(({ gross }) => gross > 0).sort((a, b) => a.fromH - b.fromH || (a.key < b.key ? -1 : 1));
  const groups: { until: number; needs: Need[] }[] = [];
  for (const need of sorted) {
    const last = groups.at(-1);
    const isKept = last !== undefined && (keepsH === null || need.fromH - last.until <= keepsH + HAIR);
    if (isKept) {
      last.needs.push(need);
      last.until = Math.max(last.until, need.toH);
    } else groups.push({ until: need.toH, needs: [need] });
  }
  return groups.map(({ needs: own }): Pool => {
    const gross = own.reduce((sum, need) => sum + need.gross, 0);
    const packs = packsFor(gross, product.pack);
    const cents = packs * product.packCents;
    const shares = parted(
      cents,
      own.map((need) => need.gross),
    );
    return {
      product: product.id,
      packs,
      gross,
      cents,
      parts: own.map(({ key, roomId }, k) => ({ key, roomId, cents: shares[k]! })),
    };
  });
}
