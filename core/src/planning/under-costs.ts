import type { UnderPlan } from '../assess/under-plan.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import { say } from '../said/index.ts';
import { allUnder, cardOf, type UnderCards } from '../under/index.ts';
import { fixingProduct, panelProduct, rollProduct, tapeProduct } from './products.ts';
import { part, type StageCost } from './stage-cost.ts';

/** What is known over the job already: whole packs that were planned together. */
export interface PlannedPacks {
  product: string;
  packs: number;
}

/**
 * Rolls and panels as Under plans them over the whole job: each material's cost is what that page tells, borne by its rooms by what each takes of it.
 */
export function underCosts(
  { rolls, panels }: UnderPlan,
  underCards: UnderCards,
  figure: AnyFigureOf,
): { costs: StageCost[]; packs: PlannedPacks[] } {
  const cards = allUnder(underCards);
  const costs: StageCost[] = [];
  const packs: PlannedPacks[] = [];
  for (const roll of rolls) {
    const card = roll.of === 'film' ? cardOf(cards.films, roll.cardId) : cardOf(cards.underlays, roll.cardId);
    if (!card) continue;
    const product = rollProduct(roll.of, card);
    const tape = tapeProduct(figure);
    packs.push({ product: product.id, packs: roll.rolls.length });
    const takes = roll.rooms.map(({ strips }) =>
      strips.reduce((sum, { lengthMm, widthMm }) => sum + (lengthMm * widthMm) / 1e6, 0),
    );
    const all = takes.reduce((sum, one) => sum + one, 0) || 1;
    roll.rooms.forEach(({ roomId }, k) => {
      const share = takes[k]! / all;
      const material = roll.rolls.length * product.pack * card.costM2;
      const taping = roll.tapeM * figure('tape-cost-m');
      costs.push({
        roomId,
        stage: 'lay',
        told: roll.cost * share,
        parts: [
          part({
            kind: 'material',
            what: card.name,
            product,
            quantity: roll.rolls.length * product.pack * share,
            net: takes[k]!,
            unit: 'm²',
            cost: material * share,
          }),
          part({
            kind: 'material',
            what: tape.name,
            product: tape,
            quantity: roll.tapeM * share,
            unit: 'm',
            cost: taping * share,
          }),
          part({
            kind: 'labour',
            what: say('planning.rollsCut'),
            cost: Math.max(0, roll.cost - material - taping) * share,
          }),
        ],
      });
    });
  }
  for (const { card, rooms, sheets, cost } of panels) {
    const product = panelProduct(card);
    packs.push({ product: product.id, packs: sheets.length });
    const takes = rooms.map(({ panels: own }) =>
      own.reduce((sum, { lengthMm, widthMm }) => sum + (lengthMm * widthMm) / 1e6, 0),
    );
    const all = takes.reduce((sum, one) => sum + one, 0) || 1;
    rooms.forEach(({ roomId, fixings }, k) => {
      const share = takes[k]! / all;
      costs.push({
        roomId,
        stage: 'panels',
        told: cost * share,
        parts: [
          part({
            kind: 'material',
            what: card.name,
            product,
            quantity: sheets.length * product.pack * share,
            net: takes[k]!,
            unit: 'm²',
            cost: cost * share,
          }),
        ],
      });
      const fixing = fixingProduct(figure);
      costs.push({
        roomId,
        stage: 'panels',
        told: null,
        parts: [
          part({
            kind: 'material',
            what: fixing.name,
            product: fixing,
            quantity: fixings,
            cost: fixings * figure('fixing-cost'),
          }),
        ],
      });
    });
  }
  return { costs, packs };
}
