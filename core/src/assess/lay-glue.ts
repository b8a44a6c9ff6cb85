import { entryPoint } from '../room/index.ts';
import { glueBays, type AdhesiveWork, type FloorPlan, type GlueBay } from '../setout/index.ts';
import type { LayGround } from './lay-ground.ts';

/** Bays of a glued floor in the order in which they are spread. */
export interface GluePlan {
  /** Empty where not even one row holds by the adhesive's clock. */
  bays: GlueBay[];
  work: AdhesiveWork;
  /** Whether the tack of a patch test is planned with, or the sheet's. */
  isTested: boolean;
  kg: number;
  /** Whether the last bay ends at the way out: else whoever lays it shuts himself in. */
  endsAtExit: boolean;
}

/** The minutes a zone took to be tacky: the longest of the newest tests that held. */
export function testedTackMin({ set }: Pick<LayGround, 'set'>): number | null {
  const newest = new Map(set.glueTests.map((test) => [test.zone, test]));
  const held = [...newest.values()].flatMap(({ tackMin, isHeld }) =>
    tackMin !== null && isHeld === true ? [tackMin] : [],
  );
  return held.length === 0 ? null : Math.max(...held);
}

/** Whether the way in lies in the farther half of the rows. */
function endsAtExit({ set, plan, frame, region }: LayGround): boolean {
  const [, door] = frame.to(entryPoint(set.room, plan));
  const vs = region.flatMap((part) => part[0]!.map(([, v]) => v));
  return door >= (Math.min(...vs) + Math.max(...vs)) / 2;
}

export function glueOf(ground: LayGround, floor: FloorPlan): GluePlan | null {
  const { set, figure, plank } = ground;
  if (set.card.kind !== 'glue-down-vinyl') return null;
  const tested = testedTackMin(ground);
  const tackMin = tested ?? figure('glue-tack-min');
  const work: AdhesiveWork = {
    spreadM2Min: figure('glue-spread-m2-min'),
    layM2Min: figure('glue-lay-m2-min'),
    tackMin,
    // What waits longer to be tacky takes longer to be too old as well.
    workingMin: figure('glue-working-min') + Math.max(0, tackMin - figure('glue-tack-min')),
    reachMm: figure('glue-reach-mm'),
  };
  const rows = Math.max(...floor.strips.map(({ row }) => row)) + 1;
  const rowM2 = Array.from({ length: rows }, (_, row) =>
    floor.strips.filter((strip) => strip.row === row).reduce((sum, { areaM2 }) => sum + areaM2, 0),
  );
  const areaM2 = rowM2.reduce((sum, one) => sum + one, 0);
  return {
    bays: glueBays(rowM2, plank.widthMm, work) ?? [],
    work,
    isTested: tested !== null,
    kg: areaM2 * figure('glue-kg-m2'),
    endsAtExit: endsAtExit(ground),
  };
}
