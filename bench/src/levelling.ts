import loadHighs from 'highs';
import { highsModels, mixedChange, smallestFill, type MixedChange, type Pace } from '@maquette/core/levelling';
import { floorOf, INVENTED_FLOORS, type InventedFloor } from './floors.ts';

const RULE = { gapMm: 3, edgeMm: 2000 };
const RATES = { fillPerL: 3, grindPerL: 10, touchPerM2: 3 };
/** The tighter plan is asked to stop at the end of the round in which this has passed: its bound is then all but the optimum. */
const PATIENCE_MS = 90_000;
/** It is to settle in this. */
const AIM_MS = 10_000;

interface Tried {
  floor: InventedFloor;
  live: MixedChange;
  liveMs: number;
  tight: MixedChange;
  tightMs: number;
  fillOnlyL: number;
}

/** Levelling of fourteen invented floors of 40 m2: live plan against the tighter programme, each certified. */
async function levellingBench(): Promise<string[]> {
  const open = highsModels(await loadHighs());
  const tried = INVENTED_FLOORS.map((floor): Tried => {
    const { grid, heights } = floorOf(floor);
    const cells = grid.inside.length;
    const limits = { fillMm: new Float64Array(cells).fill(Infinity), grindMm: new Float64Array(cells).fill(3) };
    const plan = (pace: Pace, shouldStop?: () => boolean) => {
      const started = performance.now();
      const made = mixedChange(grid, heights, [RULE], RATES, limits, {
        open,
        contactsOnly: false,
        pace,
        ...(shouldStop ? { shouldStop } : {}),
      })!;
      return { made, ms: performance.now() - started };
    };
    const live = plan('live');
    const started = performance.now();
    const tight = plan('tighter', () => performance.now() - started > PATIENCE_MS);
    const fill = smallestFill(grid, heights, [RULE], { rocking: true }).fillMm;
    return {
      floor,
      live: live.made,
      liveMs: live.ms,
      tight: tight.made,
      tightMs: tight.ms,
      fillOnlyL: fill.reduce((sum, f) => sum + f, 0) * grid.cellAreaM2,
    };
  });
  const lines = tried.map(({ floor, live, liveMs, tight, tightMs, fillOnlyL }) =>
    [
      floor.name,
      `live ${(liveMs / 1000).toFixed(1)} s, ${live.linearCost.toFixed(1)}`,
      `over its own programme ${share(live.linearCost, live.boundCost)}`,
      `tighter ${(tightMs / 1000).toFixed(1)} s${tight.settled ? '' : ' (not settled)'}, bound ${tight.boundCost.toFixed(1)}`,
      `live over that bound ${share(live.linearCost, tight.boundCost)}`,
      `fill only ${share(fillOnlyL * (RATES.fillPerL + RATES.touchPerM2 / 3), live.linearCost)} dearer`,
      `certificates ${live.holds ? 'hold' : 'DO NOT HOLD'}`,
    ].join(' | '),
  );
  const settled = tried.filter((t) => t.tight.settled && t.tightMs <= AIM_MS);
  const near = tried.filter(({ live, tight }) => live.linearCost <= tight.boundCost * 1.05);
  return [
    ...lines,
    `Live plan, 14 floors of 40 m2: median ${(median(tried.map((t) => t.liveMs)) / 1000).toFixed(1)} s, slowest ${(Math.max(...tried.map((t) => t.liveMs)) / 1000).toFixed(1)} s; certificates hold on ${tried.filter((t) => t.live.holds).length}`,
    `Within 5 % of the tighter bound: ${near.length} of ${tried.length}`,
    `Tighter plan: ${settled.length} of ${tried.length} settled within ${AIM_MS / 1000} s`,
  ];
}

const share = (value: number, of: number) => (of > 0 ? `${((value / of - 1) * 100).toFixed(1)} %` : '-');
const median = (list: number[]) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!;

for (const line of await levellingBench()) console.log(line);
