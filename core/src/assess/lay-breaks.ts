import { openingName } from '../room/index.ts';
import type { Sayable } from '../said/index.ts';
import { breaksOfRun } from './breaks-of-run.ts';
import type { LayGround } from './lay-ground.ts';
import { openingsThrough } from './lay-through.ts';

/** What keeps one floor from being laid in one: a field longer than the card allows, and openings that have to be parted. */
export interface OverRun {
  /** The longest way of any field, and what the card allows; null where it names nothing, or nothing is longer. */
  longM: { isM: number; mayM: number } | null;
  /** Openings laid through in which Heights has the floor parted. */
  parted: Sayable[];
}

export function overRunOf({ set, region }: LayGround): OverRun {
  const mayM = set.card.longestRunM;
  const reach = (of: 0 | 1) =>
    region.map((part) => {
      const at = part[0]!.map((point) => point[of]);
      return Math.max(...at) - Math.min(...at);
    });
  const isM = Math.max(0, ...reach(0), ...reach(1)) / 1000;
  const through = openingsThrough(set);
  const asked = through.length > 0 ? new Set(breaksOfRun(set).openingIds) : new Set<string>();
  return {
    longM: mayM !== null && isM > mayM + 1e-6 ? { isM, mayM } : null,
    parted: through.flatMap(({ room, opening }) =>
      opening.sharedId !== null && asked.has(opening.sharedId) ? [openingName(room, opening)] : [],
    ),
  };
}
