import { wallName } from '../room/index.ts';
import type { Sayable } from '../said/index.ts';
import { planFloor, USUAL_SET_OUT, type LaidPlank } from '../setout/index.ts';
import { layGround } from './lay-ground.ts';
import { floorAsk } from './lay-ask.ts';
import { planLaying } from './lay-plan.ts';
import type { SoftSpot } from './lay-soft.ts';
import type { RoomSet } from './room-set.ts';

/** What starting at another wall would take. */
export interface StartCompared {
  wall: number;
  name: Sayable;
  planks: number;
  waste: number;
  breaches: number;
  shortEdges: number;
  minutes: number;
}

/** Walls that are compared: the best few of either way. */
const COMPARED = 4;

/** The walls one would start at, each planned as quickly as while something is dragged; the chosen one among them. */
export function compareStarts(
  set: RoomSet,
  soft: readonly SoftSpot[] = [],
  tell: (share: number) => void = () => undefined,
): StartCompared[] {
  const ground = layGround(set, soft);
  if (!ground) return [];
  const setOut = set.setOuts.at(-1) ?? { id: 'proposed', ...USUAL_SET_OUT };
  const walls = [ground.startWall, ...ground.walls.map(({ wall }) => wall)];
  const tried = walls.filter((wall, k) => walls.indexOf(wall) === k).slice(0, COMPARED);
  return tried.flatMap((wall, k): StartCompared[] => {
    tell(k / tried.length);
    const plan = planLaying({ ...set, setOuts: [{ ...setOut, startWall: wall }], laidRows: [] }, { pace: 'live' });
    return plan
      ? [
          {
            wall,
            name: wallName(set.room.walls, wall),
            planks: plan.planks,
            waste: plan.waste,
            breaches: plan.breaches.length,
            shortEdges: plan.short.length,
            minutes: plan.minutes,
          },
        ]
      : [];
  });
}

/** A rule with the planks it costs: as many fewer would do without it. */
export interface RulePrice {
  rule: 'second' | 'stagger' | 'end';
  planks: number;
}

const EASED: Record<RulePrice['rule'], (plank: LaidPlank) => LaidPlank> = {
  stagger: (plank) => ({ ...plank, staggerMm: 0, secondStaggerMm: 0 }),
  second: (plank) => ({ ...plank, secondStaggerMm: 0 }),
  end: (plank) => ({ ...plank, leastEndMm: Math.min(plank.leastEndMm, 150) }),
};

/** What each rule costs in planks, by planning the same rows again with it eased. */
export function rulePrices(
  set: RoomSet,
  soft: readonly SoftSpot[] = [],
  tell: (share: number) => void = () => undefined,
): RulePrice[] {
  const ground = layGround(set, soft);
  if (!ground) return [];
  const ask = floorAsk(ground, { pace: 'live' });
  const base = planFloor(ask);
  if (!base) return [];
  const rules = ['second', 'stagger', 'end'] as const;
  return rules.map((rule, k): RulePrice => {
    tell(k / rules.length);
    const eased = planFloor({ ...ask, plank: EASED[rule](ground.plank), firstMm: base.firstMm });
    // What keeps the rule keeps the eased one too: a search that found no better is not told as a price.
    return { rule, planks: Math.max(0, base.rows.planks - (eased?.rows.planks ?? base.rows.planks)) };
  });
}
