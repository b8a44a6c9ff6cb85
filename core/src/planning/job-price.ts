import { totalOf, withMargin, wholeOf, type Cents, type Quotation } from '../bill/index.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import { say, type Sayable } from '../said/index.ts';
import { quantile, type Chances } from '../schedule/index.ts';
import { JOB_STAGES, type JobStage } from './draft.ts';
import type { BillLine } from './bill-line.ts';

/** A firm line of a quotation: what one stage of one room costs, and its price. */
export interface FirmLine {
  id: string;
  roomId: string | null;
  stage: JobStage | 'besides';
  what: Sayable;
  costCents: Cents;
  netCents: Cents;
}

/** A line that is charged where it comes, and only then. */
export interface ProvisionalLine {
  id: string;
  roomId: string;
  what: Sayable;
  trigger: Sayable;
  sharePct: number;
  netCents: Cents;
}

export interface ShownPrice {
  firm: FirmLine[];
  /** Work that is not in the price, by whom it is known. */
  provisional: ProvisionalLine[];
  cost: Cents;
  rounding: Cents;
  net: Cents;
  tax: { permille: number; cents: Cents }[];
  gross: Cents;
  /** Base and what comes beside it in half, four of five and nineteen of twenty draws, all of it with margin and without tax. */
  spread: { p50: Cents; p80: Cents; p95: Cents };
  /** Money to keep ready for the provisional lines: never charged beside them. */
  contingency: Cents;
  given: Quotation | null;
}

export interface PriceAsk {
  lines: readonly BillLine[];
  provisional: readonly Omit<ProvisionalLine, 'netCents'>[];
  /** Cost of each provisional line where it comes. */
  costs: Readonly<Record<string, Cents>>;
  chances: Chances | null;
  figure: AnyFigureOf;
  given: Quotation | null;
}

/** A price as it is quoted: what every stage of every room costs with margin, what may come, and the tax on the whole. */
export function priceOf({ lines, provisional, costs, chances, figure, given }: PriceAsk): ShownPrice {
  const margin = Math.round(figure('margin-pct') * 10);
  const taxPermille = Math.round(figure('tax-pct') * 10);
  const byStage = new Map<string, { roomId: string; stage: JobStage; cents: Cents }>();
  for (const line of lines)
    for (const { roomId, stage, cents } of line.shares) {
      const key = `${roomId}/${stage}`;
      const held = byStage.get(key) ?? { roomId, stage, cents: 0 };
      byStage.set(key, { ...held, cents: held.cents + cents });
    }
  const firm: FirmLine[] = [
    ...[...byStage]
      .map(([id, { roomId, stage, cents }]) => ({
        id,
        roomId,
        stage,
        what: stageWords(stage),
        costCents: cents,
        netCents: withMargin(cents, margin),
      }))
      .sort((a, b) => JOB_STAGES.indexOf(a.stage) - JOB_STAGES.indexOf(b.stage)),
    ...lines
      .filter(({ shares }) => shares.length === 0)
      .map(({ id, what, cents }) => ({
        id,
        roomId: null,
        stage: 'besides' as const,
        what,
        costCents: cents,
        netCents: withMargin(cents, margin),
      })),
  ];
  const sum = firm.reduce((all, { netCents }) => all + netCents, 0);
  const step = Math.round(figure('round-to') * 100);
  const rounding = step > 0 ? Math.ceil(sum / step) * step - sum : 0;
  const { net, tax, gross } = totalOf([
    ...firm.map(({ netCents }) => ({ netCents, taxPermille })),
    { netCents: rounding, taxPermille },
  ]);
  // With margin as a whole: a share of a price is a share of what comes beside it as well.
  const extra = (share: number) => (chances ? withMargin(quantile(chances.extraCents, share), margin) : 0);
  const [p50, p80, p95] = [0.5, 0.8, 0.95].map((share) => net + extra(share)) as [Cents, Cents, Cents];
  return {
    firm,
    provisional: provisional.map((one) => ({ ...one, netCents: withMargin(costs[one.id] ?? 0, margin) })),
    cost: lines.reduce((all, { cents }) => all + cents, 0),
    rounding,
    net,
    tax,
    gross,
    spread: { p50, p80, p95 },
    contingency: p80 - net,
    given,
  };
}

/** What of a price is margin, in tenths of a percent: told beside it. */
export const marginOf = ({ cost, net }: Pick<ShownPrice, 'cost' | 'net'>): number =>
  net > 0 ? wholeOf((net - cost) * 1000, net) : 0;

export function stageWords(stage: JobStage): Sayable {
  switch (stage) {
    case 'order':
      return say('planning.stageOrder');
    case 'hazard':
      return say('planning.stageHazard');
    case 'heating':
      return say('planning.stageHeating');
    case 'strip':
      return say('planning.stageStrip');
    case 'sound':
      return say('planning.stageSound');
    case 'damp':
      return say('planning.stageDamp');
    case 'membrane':
      return say('planning.stageMembrane');
    case 'level':
      return say('planning.stageLevel');
    case 'panels':
      return say('planning.stagePanels');
    case 'lay':
      return say('planning.stageLay');
    case 'end':
      return say('planning.stageEnd');
    case 'change':
      return say('planning.stageChange');
  }
}
