import { cutJoined, cutQuickly, cutWhole, type RollPlan } from './roll-cuts.ts';
import { coveredM2, stripsOf, type RolledFloor, type RollMake, type StripLayout, type StripWay } from './strips.ts';

/** What a plan of rolls costs, each of it. */
export interface RollPrices {
  roll: number;
  /** For a metre of seam or joint that is taped. */
  tapeM: number;
  joint: number;
  cut: number;
}
export const USUAL_ROLL_PRICES: RollPrices = { roll: 40, tapeM: 0.4, joint: 1.5, cut: 0.5 };

/** A floor with the way its planks run: strips lie across them by default. */
export interface FloorToRoll extends RolledFloor {
  planks: 'x' | 'y';
  /** Where the schools of one room are not those of the others. */
  own?: { lie?: RollSchools['lie']; edgeMm?: number; lapMm?: number };
}

export interface JobRolls {
  layouts: StripLayout[];
  plan: RollPlan;
  /** Seams and joints, m. */
  tapeM: number;
  cost: number;
  /** Fewer rolls than this cover no such floors, by their area alone. */
  leastRolls: number;
}

export interface RollSchools {
  /** Strips across the planks, along them, or whichever is cheaper. */
  lie: 'across' | 'along' | 'either';
  isJoined: boolean;
}
export const USUAL_ROLL_SCHOOLS: RollSchools = { lie: 'across', isJoined: false };

/** Starts that are tried in each direction, and layouts of a floor that are kept for the whole job. */
const STARTS = 10;
const KEPT = 12;
/** Rounds over all floors in which one of them is laid otherwise. */
const ROUNDS = 3;

/** Layouts of one floor worth trying, the one with least material and seam first. */
function layoutsOf(floor: FloorToRoll, usual: RollMake, schools: RollSchools): StripLayout[] {
  const make = makeFor(floor, usual);
  const lie = floor.own?.lie ?? schools.lie;
  const across = floor.planks === 'x' ? 'y' : 'x';
  const directions: StripWay['direction'][] =
    lie === 'across' ? [across] : lie === 'along' ? [floor.planks] : [across, floor.planks];
  const pitchMm = make.widthMm - make.lapMm;
  const laid = directions.flatMap((direction) =>
    (['low', 'high'] as const).flatMap((from) =>
      Array.from({ length: STARTS }, (_, k) =>
        stripsOf(floor, make, { direction, from, startMm: (k * pitchMm) / STARTS }),
      ),
    ),
  );
  const weight = ({ strips, seamMm }: StripLayout) =>
    strips.reduce(
      (sum, { lengthMm, widthMm }) => sum + lengthMm * (widthMm > make.widthMm / 2 ? 1 : widthMm / make.widthMm),
      0,
    ) +
    0.02 * seamMm;
  return laid.sort((a, b) => weight(a) - weight(b)).slice(0, KEPT);
}

/** The material as one floor takes it. */
export const makeFor = ({ own }: FloorToRoll, make: RollMake): RollMake => ({
  ...make,
  edgeMm: own?.edgeMm ?? make.edgeMm,
  lapMm: own?.lapMm ?? make.lapMm,
});

/** Rolls over all floors of a job at once: every floor's direction and start, and what is cut from which roll. */
export function planRolls(
  floors: readonly FloorToRoll[],
  make: RollMake,
  { schools = USUAL_ROLL_SCHOOLS, prices = USUAL_ROLL_PRICES }: { schools?: RollSchools; prices?: RollPrices } = {},
): JobRolls {
  const kept = floors.map((floor) => layoutsOf(floor, make, schools));
  const areaM2 = floors.reduce((sum, floor) => sum + coveredM2(floor, makeFor(floor, make).edgeMm), 0);
  const leastRolls = Math.ceil((areaM2 * 1e6) / (make.widthMm * make.lengthMm) - 1e-9);
  const costed = (layouts: StripLayout[], plan: RollPlan): JobRolls => {
    const joinsM = plan.joints.reduce((sum, { strip }) => sum + strip.widthMm, 0) / 1000;
    const tapeM = layouts.reduce((sum, { seamMm }) => sum + seamMm, 0) / 1000 + joinsM;
    const cuts = plan.rolls.reduce((sum, { pieces }) => sum + pieces.length, 0);
    const cost =
      plan.rolls.length * prices.roll + tapeM * prices.tapeM + plan.joints.length * prices.joint + cuts * prices.cut;
    return { layouts, plan, tapeM, cost, leastRolls };
  };
  const stripsIn = (layouts: readonly StripLayout[]) => layouts.flatMap((layout) => layout.strips);
  // While layouts are compared a good plan of each does; the one that is taken is then cut as well as it can be.
  const quick = (layouts: StripLayout[]) => costed(layouts, cutQuickly(stripsIn(layouts), make, schools.isJoined));
  const whole = (layouts: StripLayout[]) => {
    const strips = stripsIn(layouts);
    return costed(layouts, schools.isJoined ? cutJoined(strips, make) : cutWhole(strips, make));
  };
  let best = quick(kept.map((layouts) => layouts[0]!));
  for (let round = 0; round < ROUNDS; round++) {
    const before = best.cost;
    kept.forEach((layouts, at) => {
      for (const layout of layouts) {
        if (layout === best.layouts[at]) continue;
        const tried = quick(best.layouts.map((one, k) => (k === at ? layout : one)));
        if (tried.cost < best.cost - 1e-9) best = tried;
      }
    });
    if (best.cost >= before - 1e-9) break;
  }
  return whole(best.layouts);
}
