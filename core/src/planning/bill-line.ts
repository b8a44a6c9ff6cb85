import { say, type Sayable } from '../said/index.ts';
import type { Cents } from '../bill/index.ts';
import type { JobStage } from './draft.ts';
import type { CostKind, CostPart } from './stage-cost.ts';

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

/** A part of a stage's cost, with who bears it. */
export interface Borne {
  share: Omit<BillShare, 'cents'>;
  part: CostPart;
}

export const sumOf = (borne: readonly Borne[], of: (one: Borne) => number): number =>
  borne.reduce((sum, one) => sum + of(one), 0);

/** A line that is neither bought in packs nor hired, its price a figure of the job. */
export const bareLine = (
  of: Pick<BillLine, 'id' | 'kind' | 'what' | 'unit' | 'net' | 'gross' | 'cents' | 'asStagesCents' | 'shares'>,
): BillLine => ({
  ...of,
  packs: null,
  price: { source: say('figures.price'), on: '', supplier: '', isOwn: false, isUnknown: false },
  kg: 0,
  litres: 0,
  usedH: null,
  isOneBatch: false,
  sealedDays: null,
  hire: null,
});

/** What parts of the stages cost as they reckon them, on one line. */
export function plainLine(id: string, borne: readonly Borne[]): BillLine {
  const cents = sumOf(borne, ({ share }) => share.asStageCents);
  const { kind, what, unit } = borne[0]!.part;
  return bareLine({
    ...{ id, kind, what, unit, cents },
    net: sumOf(borne, ({ part }) => part.net),
    gross: sumOf(borne, ({ part }) => part.quantity),
    asStagesCents: cents,
    shares: borne.map(({ share }) => ({ ...share, cents: share.asStageCents })),
  });
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
