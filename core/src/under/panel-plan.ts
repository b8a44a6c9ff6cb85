import { regionAreaM2, type Region } from '../room/index.ts';
import { seeded } from '../units/index.ts';
import { cutPanels, cutsOf, type CutSheet } from './panel-cuts.ts';
import {
  jointsOf,
  layPanels,
  rowsOf,
  USUAL_PANEL_RULES,
  type BaseSeams,
  type PanelLayout,
  type PanelMake,
  type PanelRules,
  type PanelWay,
} from './panel-rows.ts';

export interface PanelPlan {
  layout: PanelLayout;
  sheets: CutSheet[];
  cuts: number;
  /** Fewer sheets than this cover no such field, by its area alone. */
  leastSheets: number;
}

export interface PanelSearch {
  rules?: PanelRules;
  trials?: number;
  seed?: number;
  /** Asked now and then; the best found so far is the answer. */
  shouldStop?: () => boolean;
}

/** Offsets are tried on a lattice of so much, mm. */
const LATTICE_MM = 20;
const TRIALS = 600;
/** What a worse layout is still gone on with from, in sheets, at the beginning. */
const WARM = 0.6;

/** By the rules first, then sheets, then cuts, then pieces. */
const valueOf = ({ layout, sheets, cuts }: PanelPlan): number =>
  layout.weight * 1e3 + sheets.length + cuts * 1e-3 + layout.pieces.length * 1e-5;

/**
 * Panels over a field, along x: the start of the first row and the first joint of every row, sought by annealing from the plain way
 * (whole sheets from the corner, every other row half a sheet on), never worse than that. The same seed gives the same plan.
 */
export function planPanels(
  field: Region,
  make: PanelMake,
  base: BaseSeams,
  { rules = USUAL_PANEL_RULES, trials = TRIALS, seed = 1, shouldStop = () => false }: PanelSearch = {},
): PanelPlan {
  const draw = seeded(seed);
  const leastSheets = Math.ceil((regionAreaM2(field) * 1e6) / (make.widthMm * make.lengthMm) - 1e-9);
  const planOf = (way: PanelWay): PanelPlan => {
    const layout = layPanels(field, make, way, base, rules);
    const sheets = cutPanels(layout.pieces, make);
    return { layout, sheets, cuts: cutsOf(sheets, make), leastSheets };
  };
  const [left] = reachOf(field);
  const rows = Math.ceil(heightOf(field) / (make.widthMm + make.gapMm)) + 1;
  const plain = (): PanelWay => ({
    startMm: 0,
    jointsMm: Array.from({ length: rows }, (_, k) => left + (k % 2 === 0 ? make.lengthMm : make.lengthMm / 2)),
  });
  let now = planOf(plain());
  let best = now;
  for (let trial = 0; trial < trials && !(trial % 20 === 0 && shouldStop()); trial++) {
    if (valueOf(best) < leastSheets + 1 && best.layout.weight === 0 && trial > trials / 3) break;
    const way = otherWay(now.layout.way, field, make, draw, now);
    const tried = planOf(way);
    const warmth = WARM * (1 - trial / trials);
    const worse = valueOf(tried) - valueOf(now);
    if (worse <= 0 || draw() < Math.exp(-worse / Math.max(1e-6, warmth))) now = tried;
    if (valueOf(now) < valueOf(best) - 1e-9) best = now;
  }
  return best;
}

/** One thing laid otherwise: the first row, one row's joints anywhere on the lattice, or so that its first piece is what another left over. */
function otherWay(way: PanelWay, field: Region, make: PanelMake, draw: () => number, { sheets }: PanelPlan): PanelWay {
  const kind = draw();
  const pitch = make.lengthMm + make.gapMm;
  const lattice = (mm: number) => Math.round((draw() * mm) / LATTICE_MM) * LATTICE_MM;
  if (kind < 0.2) return { ...way, startMm: lattice(make.widthMm) % make.widthMm };
  const rows = rowsOf(field, make, way.startMm);
  const row = Math.floor(draw() * rows.length);
  const place = rows[row]!;
  const [left, right] = reachOf(place.region);
  let joint = left + lattice(pitch);
  if (kind > 0.55) {
    // What is left of some strip of a sheet becomes the first piece of this row, or the last.
    const rests = sheets
      .flatMap(({ shelves }) => shelves.map(({ usedMm }) => make.lengthMm - usedMm - 3))
      .filter((mm) => mm > 100);
    const rest = rests[Math.floor(draw() * rests.length)];
    if (rest !== undefined) joint = kind > 0.78 ? left + rest + make.gapMm / 2 : right - rest - make.gapMm / 2;
  }
  const first = jointsOf(place, make, joint)[0] ?? joint;
  return { ...way, jointsMm: way.jointsMm.map((mm, k) => (k === row ? first : mm)) };
}

function reachOf(region: Region): [number, number] {
  const xs = region.flatMap((part) => part[0]!.map(([x]) => x));
  return [Math.min(...xs), Math.max(...xs)];
}

function heightOf(region: Region): number {
  const ys = region.flatMap((part) => part[0]!.map(([, y]) => y));
  return Math.max(...ys) - Math.min(...ys);
}
