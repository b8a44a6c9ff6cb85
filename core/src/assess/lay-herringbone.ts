import type { PointMm, Polygon } from '../room/index.ts';
import { borderRound, planHerringbone, tipBesideMm, type BorderRun, type StaveHand } from '../setout/index.ts';
import { regionWithin, type LayGround } from './lay-ground.ts';

/** A stave as it is drawn and cut. */
export interface ShownStave {
  number: number;
  hand: StaveHand;
  outline: Polygon;
  isWhole: boolean;
  /** Its length along its middle, mm. */
  centreMm: number;
}

export interface ShownHerringbone {
  staves: ShownStave[];
  /** Staves that are bought of each hand, whole ones and those that are cut. */
  bought: Record<StaveHand, number>;
  whole: Record<StaveHand, number>;
  waste: number;
  areaM2: number;
  leastByArea: number;
  /** Staves where every cut piece took one of its own. */
  withoutSharing: number;
  /** The line through the middle of the floor, and the one through the tips beside it. */
  middle: [PointMm, PointMm];
  tips: [PointMm, PointMm];
  tipBesideMm: number;
  /** Straight rows along the walls round the pattern; null where there are none, or where they would leave it no room. */
  border: { rows: number; planks: number; runs: BorderRun[]; outlines: Polygon[] } | null;
}

/** Herringbone over a room's floor, its axis along the start wall through the middle. */
export function herringboneOf(ground: LayGround): ShownHerringbone | null {
  const { frame, plank, setOut } = ground;
  const inner = setOut.borderRows > 0 ? regionWithin(ground, setOut.borderRows * plank.widthMm) : [];
  const isBordered = inner.length > 0;
  const region = isBordered ? inner : ground.region;
  const border = isBordered
    ? borderRound(ground.region, (mm) => regionWithin(ground, mm), setOut.borderRows, plank)
    : null;
  const points = region.flatMap((part) => part[0]!);
  if (points.length === 0) return null;
  const [us, vs] = [points.map(([u]) => u), points.map(([, v]) => v)];
  const [left, right] = [Math.min(...us), Math.max(...us)];
  const middleMm = (Math.min(...vs) + Math.max(...vs)) / 2;
  const stave = { lengthMm: plank.lengthMm, widthMm: plank.widthMm, kerfMm: plank.kerfMm };
  const plan = planHerringbone(region, stave, middleMm);
  if (!plan) return null;
  const staves = plan.staves
    .map(({ hand, part, isWhole, centreMm }) => ({
      hand,
      isWhole,
      centreMm,
      at: part[0]!.reduce((low, [, v]) => Math.min(low, v), Infinity),
      outline: part[0]!.map(([u, v]) => frame.back(u, v)),
    }))
    .sort((a, b) => a.at - b.at)
    .map(({ at: _, ...stave1 }, k): ShownStave => ({ ...stave1, number: k + 1 }));
  const patternM2 = plan.staves.reduce((sum, { centreMm }) => sum + (centreMm * plank.widthMm) / 1e6, 0);
  const areaM2 = patternM2 + (border?.areaM2 ?? 0);
  const beside = tipBesideMm(plank.widthMm);
  const line = (v: number): [PointMm, PointMm] => [frame.back(left, v), frame.back(right, v)];
  const { left: lefts, right: rights } = plan.bought;
  const inPattern = lefts.whole + lefts.cut + rights.whole + rights.cut;
  const bought = inPattern + (border?.planks ?? 0);
  return {
    staves,
    bought: { left: lefts.whole + lefts.cut, right: rights.whole + rights.cut },
    whole: { left: lefts.whole, right: rights.whole },
    waste: 1 - (areaM2 * 1e6) / (bought * plank.lengthMm * plank.widthMm),
    areaM2,
    leastByArea: Math.ceil((areaM2 * 1e6) / (plank.lengthMm * plank.widthMm) - 1e-6),
    withoutSharing: staves.length + (border?.planks ?? 0),
    middle: line(middleMm),
    tips: line(middleMm - beside),
    tipBesideMm: beside,
    border: border && {
      rows: setOut.borderRows,
      planks: border.planks,
      runs: border.runs,
      outlines: border.region.flatMap((part) => part.map((ring) => ring.map(([u, v]) => frame.back(u, v)))),
    },
  };
}
