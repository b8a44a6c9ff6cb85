import type { Cents } from '../bill/index.ts';
import type { Sayable } from '../said/index.ts';
import type { JobStage } from './draft.ts';

export type CostKind = 'labour' | 'material' | 'hire' | 'disposal' | 'trade';

/** Something one buys, as it is packed. */
export interface BillProduct {
  id: string;
  name: Sayable;
  unit: string;
  /** How much a pack holds, in its unit. */
  pack: number;
  /** What a pack costs where no price book says otherwise, in the job's money; null where nobody has said. */
  price: number | null;
  kg: number;
  litres: number;
  openedH: number | null;
  sealedDays: number | null;
  /** Two parts that are mixed: what is left is lost at the end of a session. */
  isKit: boolean;
  /** All of it has to be of one batch. */
  isOneBatch: boolean;
  source: Sayable;
}

/** One part of what a stage of a room costs. */
export interface CostPart {
  kind: CostKind;
  what: Sayable;
  product: BillProduct | null;
  /** Of the product, in its unit; hours of labour; days of hire. */
  quantity: number;
  /** Without what is reckoned in for waste. */
  net: number;
  unit: string;
  /** As its stage reckons it, in the job's money. */
  cost: number;
  /** Name of a machine that is hired over the whole job at once; null where it is none. */
  machine: 'grinder' | 'hammer' | null;
}

/** What one stage of a room costs, as that stage tells it, with its parts. */
export interface StageCost {
  roomId: string;
  stage: JobStage;
  /** As the stage tells it; null where it tells none, and its parts are the bill's own. */
  told: number | null;
  parts: CostPart[];
}

/** Parts of a stage's cost in whole cents: together they are what the stage tells, to the cent. What rounding leaves over stands with the largest that is bought by no pack. */
export function centsOf({ told, parts }: Pick<StageCost, 'told' | 'parts'>): Cents[] {
  const cents = parts.map(({ cost }) => Math.round(cost * 100));
  if (told === null) return cents;
  const over = Math.round(told * 100) - cents.reduce((all, one) => all + one, 0);
  const rank = ({ product, cost }: CostPart) => (product === null ? 1e9 : 0) + cost;
  const at = parts.reduce((most, one, k) => (rank(one) > rank(parts[most]!) ? k : most), 0);
  if (cents.length > 0) cents[at]! += over;
  return cents;
}

export const part = (of: Partial<CostPart> & Pick<CostPart, 'kind' | 'what' | 'cost'>): CostPart => ({
  product: null,
  quantity: 0,
  net: of.quantity ?? 0,
  unit: '',
  machine: null,
  ...of,
});
