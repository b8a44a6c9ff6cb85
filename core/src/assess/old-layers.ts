import type { Layer } from '../layers/index.ts';
import { mayLieAt, type PointMm, type RoomFacts } from '../room/index.ts';
import { layersLeft, makeGoodOf, type StripPlan } from '../stripout/index.ts';
import type { RoomSet } from './room-set.ts';

/** A thickness that differs from place to place, mm. */
export type ThicknessAt = (at: PointMm) => number;

/** How thick some layers lie at a place. */
export function thicknessAt(room: Pick<RoomFacts, 'lines'>, layers: readonly Layer[]): ThicknessAt {
  const everywhere = layers
    .filter(({ where }) => where.length === 0)
    .reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  const somewhere = layers.filter(({ where }) => where.length > 0);
  return (at) =>
    somewhere.reduce(
      (sum, { where, thicknessMm }) => (mayLieAt([at], room.lines, where) ? sum + thicknessMm : sum),
      everywhere,
    );
}

/** What a floor that was read at a time still had on it, and what of that goes or is made good after. */
export interface OldFloorAt {
  /** Thickness of all layers that lay there. */
  lyingMm: ThicknessAt;
  /** How much the surface that stays lies under the surface that was read. */
  lowerMm: ThicknessAt;
  /** Some of it goes, and the surface that stays is reckoned from recorded thicknesses. */
  goes: boolean;
}

/** After every moment that a tick may bear: what lies there as the ticks have it now. */
export const TODAY = '9999';

/** The old floor as it lay at a time: layers whose taking up had not been ticked by then. */
export function oldFloorAt(
  set: Pick<RoomSet, 'room' | 'layers' | 'ticks'>,
  plan: StripPlan,
  atUtc: string,
): OldFloorAt {
  const lay = layersLeft({ layers: set.layers, ticks: set.ticks.filter(({ doneAt }) => doneAt <= atUtc) });
  const going = lay.filter(({ id }) => !plan.keptLayerIds.includes(id));
  const isGood = new Set(set.ticks.flatMap(({ key, doneAt }) => (doneAt <= atUtc ? [key] : [])));
  const added = lay.flatMap((layer) => {
    const taken = plan.comparisons.find(({ layerId }) => layerId === layer.id)?.taken;
    const addsMm = taken === 'make-good' && !isGood.has(`good/${layer.id}`) ? (makeGoodOf(layer)?.addsMm ?? 0) : 0;
    return addsMm > 0 ? [{ ...layer, thicknessMm: addsMm }] : [];
  });
  const [goesMm, addsMm] = [thicknessAt(set.room, going), thicknessAt(set.room, added)];
  return {
    lyingMm: thicknessAt(set.room, lay),
    lowerMm: (at) => goesMm(at) - addsMm(at),
    goes: going.length > 0,
  };
}
