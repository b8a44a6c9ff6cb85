import { SHIPPED_CARDS, type CoveringCard, type FlatnessRule } from '../coverings/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { RoomSet } from './room-set.ts';

/** A way to lay vinyl on this floor, as its sheet and the job's figures have it. */
export interface KindCompared {
  kind: 'click' | 'glue';
  name: string;
  isChosen: boolean;
  /** Covering, and adhesive where there is some. */
  materialCost: number | null;
  hours: number;
  restH: number;
  rules: readonly FlatnessRule[];
  stepMm: number | null;
  cementLimitRh: number;
  runM: number | null;
}

const ofKind = (kind: CoveringCard['kind']) => SHIPPED_CARDS.find((card) => card.kind === kind)!;

/** Clicked and glued vinyl side by side over an area; the chosen card stands for its own kind. Empty where neither is meant. */
export function compareKinds({ card }: Pick<RoomSet, 'card'>, areaM2: number, figure: FigureOf): KindCompared[] {
  if (card.kind !== 'click-vinyl' && card.kind !== 'glue-down-vinyl') return [];
  return (['click-vinyl', 'glue-down-vinyl'] as const).map((kind): KindCompared => {
    const of = card.kind === kind ? card : ofKind(kind);
    const isGlued = kind === 'glue-down-vinyl';
    const planks =
      of.plankLengthMm && of.plankWidthMm ? (areaM2 * 1e6) / (of.plankLengthMm * of.plankWidthMm) : areaM2 / 0.22;
    const glueCost = isGlued ? areaM2 * figure('glue-kg-m2') * figure('glue-cost-kg') : 0;
    return {
      kind: isGlued ? 'glue' : 'click',
      name: of.name,
      isChosen: of === card,
      materialCost: of.costM2 === null ? null : areaM2 * of.costM2 + glueCost,
      hours: (planks * figure('plank-lay-min') + (isGlued ? areaM2 / figure('glue-spread-m2-min') : 0)) / 60,
      restH: of.acclimatiseH,
      rules: of.rules,
      stepMm: of.stepMm,
      cementLimitRh: of.cementLimitRh,
      runM: of.longestRunM,
    };
  });
}
