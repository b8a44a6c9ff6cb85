import { mayDoAll, stopsSaid, type HazardFacts, type Method, type Stop } from '../hazards/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { Layer } from '../layers/index.ts';
import { mayLieAt, type PointMm, type RoomFacts } from '../room/index.ts';
import { say, type Said } from '../said/index.ts';
import { decides, type Finding, type Mark } from './facts.ts';
import type { Quantity } from './quantities.ts';
import type { Usual } from './usual.ts';
import { usualTreatment } from './usual-treatment.ts';

/** What lies on a floor and in it, as far as it may close it to hands and tools. */
export interface Underfoot {
  hazards: HazardFacts;
  /** Layers that lie there still. */
  layers: readonly Layer[];
}

/** What is done about a mark. `stop`: it is not the installer's to decide. */
export interface Treatment {
  verdict: 'stop' | 'work' | 'measure' | 'lay';
  words: Said;
  does: readonly Method[];
  quantities: Quantity[];
  cautions: Said[];
  /** Who decides, where it is not the installer. */
  decides: Said | null;
  /** What has to be measured before it can be said. */
  asks: Said | null;
  /** Whose finding closes it, where it is a specialist's; told before they have found and after. */
  awaits: Said | null;
  /** What closes the floor to this treatment; with anything here it is neither advised nor told done. */
  closedBy: Stop[];
}

/** Layers that lie where something with these points is. */
export const layersAt = (points: readonly PointMm[], room: RoomFacts, layers: readonly Layer[]): Layer[] =>
  layers.filter((layer) => mayLieAt(points, room.lines, layer.where));

/**
 * Treatment of a mark with its quantities. Facts only are used: what is missing is asked for, never assumed in silence. While a hazard
 * closes the floor to any part of it, the treatment is a stop that says why, and what is to be bought for it is not told.
 */
export function treatmentOf(mark: Mark, room: RoomFacts, figure: FigureOf, under: Underfoot): Treatment {
  const usual = whole(usualTreatment(mark, room, figure));
  const points = mark.points.length > 0 ? mark.points : [mark];
  const gate = mayDoAll(under.hazards, usual.does, {
    layers: layersAt(points, room, under.layers),
    base: true,
    at: { points, area: mark.shape === 'area', reachMm: mark.points.length > 0 ? 0 : (mark.sizeMm ?? 0) / 2 },
  });
  const [first] = gate.stops;
  if (first)
    return {
      ...usual,
      verdict: 'stop',
      words: stopsSaid(gate.stops),
      quantities: [],
      cautions: [],
      decides: first.decides,
      asks: null,
      closedBy: gate.stops,
    };
  return usual.verdict === 'stop' && mark.finding && decides(mark.finding) ? byFinding(usual, mark.finding) : usual;
}

const whole = (usual: Usual): Treatment => ({
  verdict: 'work',
  quantities: [],
  cautions: [],
  decides: null,
  asks: null,
  closedBy: [],
  awaits: usual.verdict === 'stop' ? (usual.decides ?? null) : null,
  ...usual,
});

/** Whoever had to decide has: what may be done is what they have written. */
function byFinding(usual: Treatment, { by, on, document, may }: Finding): Treatment {
  return {
    ...usual,
    verdict: 'work',
    words: say('soundness.byFinding', { may, by, on, document }),
    decides: null,
  };
}
