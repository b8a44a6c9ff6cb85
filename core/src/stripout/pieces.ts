import { allOf, gap, midSentence, say, type Said } from '../said/index.ts';
import { LAYERS, layerName, type Layer } from '../layers/index.ts';
import {
  centreOf,
  common,
  distanceMm,
  entryPoint,
  fixturePoint,
  fixtureRect,
  FIXTURES,
  lineThrough,
  regionAreaM2,
  regionOf,
  SERVICE_WORDS,
  serviceSideMm,
  sideDistanceMm,
  together,
  without,
  type Fixture,
  type Region,
  type RegionPart,
} from '../room/index.ts';
import type { Cut, Guides, PieceLimits } from './cut-frame.ts';
import { cutIntoPieces } from './cut-plan.ts';
import type { StripContext } from './facts.ts';
import { holesOf, layerRegion, rateOf } from './layer-area.ts';
import { undercutMmOf } from './removal-hours.ts';

/** A piece to saw, lift and carry: numbered from the way in. */
interface ShownPiece {
  label: string;
  part: RegionPart;
  areaM2: number;
  massKg: number;
  /** Freed by knife or oscillating tool in front of a cabinet, not by the saw. */
  undercut: boolean;
  at: [number, number];
}

/** How a layer, or several that come up together, is cut. */
export interface CutPlan {
  pieces: ShownPiece[];
  cuts: Cut[];
  sawMm: number;
  seamMm: number;
  undercutMm: number;
  areaM2: number;
  heaviestKg: number;
  limits: PieceLimits;
}

function cabinets(ctx: StripContext): Fixture[] {
  return ctx.room.fixtures.filter((f) => f.kind === 'cabinet' && !f.round);
}

/** The recess under a cabinet's front, where the layer runs in to the toe-kick board. */
function recess(fixture: Fixture): Region {
  const kick = Math.min(fixture.toeKickMm ?? 0, fixture.depthMm);
  const [w, d] = [fixture.widthMm / 2, fixture.depthMm / 2];
  return kick > 0 ? regionOf(fixtureRect(fixture, -w, d - kick, w, d)) : [];
}

/** Where the saw cannot go: the recess, and the set distance in front of the cabinet. */
function apron(fixture: Fixture, frontMm: number): Region {
  const kick = Math.min(fixture.toeKickMm ?? 0, fixture.depthMm);
  const [w, d] = [fixture.widthMm / 2, fixture.depthMm / 2];
  return regionOf(fixtureRect(fixture, -w, d - kick, w, d + frontMm));
}

/** The way cuts run: along the longest wall. */
function longestWallRad(ctx: StripContext): number {
  const { corners } = ctx.plan;
  let [best, turn] = [0, 0];
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    if (distanceMm(a, b) > best) [best, turn] = [distanceMm(a, b), Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm)];
  });
  return turn;
}

/** Greatest size of a piece for the way a layer is cut, or null where it is not cut at all. */
function limitsOf(ctx: StripContext, layers: readonly Layer[]): PieceLimits | null {
  const cut = LAYERS[layers.at(-1)!.kind].cut;
  if (cut === 'none') return null;
  const kgPerM2 = Math.max(
    0.01,
    layers.reduce((sum, layer) => sum + rateOf(ctx, layer, 'kg'), 0),
  );
  const massKg = ctx.figure('carry-kg');
  const side = ctx.figure('piece-mm');
  return cut === 'strips'
    ? { longMm: ctx.figure('strip-long-mm'), shortMm: ctx.figure('strip-wide-mm'), massKg, kgPerM2 }
    : { longMm: side, shortMm: side, massKg, kgPerM2 };
}

/** The whole region that comes up: the layer's area with the recesses under cabinets, less what comes through it. */
function liftedRegion(ctx: StripContext, layer: Layer): Region {
  const floor = layerRegion(ctx, layer);
  const recesses = cabinets(ctx)
    .map(recess)
    .filter((r) => r.length > 0);
  const whole =
    recesses.length > 0 ? together([floor, ...recesses.map((r) => common(r, regionOf(ctx.plan.corners)))]) : floor;
  return without(whole, holesOf(ctx, ctx.figure('pipe-clear-mm')));
}

/** Cuts a layer, or several lying together that come up as one, into pieces that can be carried. Null where it is not cut. */
export function cutPlanOf(ctx: StripContext, layers: readonly Layer[]): CutPlan | null {
  const limits = limitsOf(ctx, layers);
  const layer = layers.at(-1)!;
  if (!limits) return null;
  const whole = liftedRegion(ctx, layer);
  const sawn = LAYERS[layer.kind].cut === 'squares';
  const frontMm = ctx.figure('cabinet-front-mm');
  const aprons = sawn ? cabinets(ctx).map((f) => apron(f, frontMm)) : [];
  const under = aprons.length > 0 ? common(whole, together(aprons)) : [];
  const open = under.length > 0 ? without(whole, under) : whole;
  const guides: Guides = {
    seams: layers.flatMap((l) => l.seams).map((s) => lineThrough(s.axMm, s.ayMm, s.bxMm, s.byMm)),
    standing: ctx.room.fixtures
      .filter((f) => f.kind === 'pipe' || FIXTURES[f.kind].standing === 'island')
      .map((f) => [f.xMm, f.yMm] as const),
  };
  const turn = longestWallRad(ctx);
  const sawing = cutIntoPieces(open, limits, guides, turn);
  const undercut = cutIntoPieces(under, limits, { ...guides, seams: [] }, turn);
  const fronts = sawn ? cabinets(ctx).map((f) => frontCut(f, frontMm)) : [];
  const frontMmSum = fronts.reduce((sum, cut) => sum + Math.hypot(cut.to[0] - cut.from[0], cut.to[1] - cut.from[1]), 0);
  const entry = entryPoint(ctx.room, ctx.plan);
  const all = [
    ...sawing.pieces.map((piece) => ({ ...piece, undercut: false, at: centreOf(piece.part) })),
    ...undercut.pieces.map((piece) => ({ ...piece, undercut: true, at: centreOf(piece.part) })),
  ].sort(
    (a, b) =>
      Math.hypot(a.at[0] - entry.xMm, a.at[1] - entry.yMm) - Math.hypot(b.at[0] - entry.xMm, b.at[1] - entry.yMm),
  );
  return {
    pieces: all.map((piece, i) => ({ label: String(i + 1), ...piece })),
    cuts: [...sawing.cuts, ...undercut.cuts, ...fronts],
    sawMm: sawing.sawMm + undercut.sawMm + frontMmSum,
    seamMm: sawing.seamMm,
    undercutMm: undercutMmOf(ctx, layer),
    areaM2: regionAreaM2(whole),
    heaviestKg: Math.max(0, ...all.map((piece) => piece.massKg)),
    limits,
  };
}

function frontCut(fixture: Fixture, frontMm: number): Cut {
  const [w, d] = [fixture.widthMm / 2, fixture.depthMm / 2 + frontMm];
  const [a, b] = [fixturePoint(fixture, -w, d), fixturePoint(fixture, w, d)];
  return { from: [a.xMm, a.yMm], to: [b.xMm, b.yMm], kind: 'saw' };
}

/** How deep the saw is set for layers that come up together, and what stands against it. */
export interface SawDepth {
  depthMm: number;
  layersMm: number;
  allowanceMm: number;
  warnings: Said[];
  /** Set when the saw may not be used here at all. */
  stop: Said | null;
}

const MARKS_BASE_MM = 0.5;

export function sawDepthOf(ctx: StripContext, layers: readonly Layer[]): SawDepth | null {
  if (LAYERS[layers.at(-1)!.kind].cut !== 'squares' && !layers.some((l) => l.kind === 'glued-wood')) return null;
  const layersMm = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const allowanceMm = ctx.figure('saw-allowance-mm');
  const clear = ctx.figure('services-clear-mm');
  const bases = [ctx.room.base, ...(ctx.room.secondBase ? [ctx.room.secondBase] : [])];
  const warnings: Said[] = [];
  if (allowanceMm > MARKS_BASE_MM)
    warnings.push(
      say('stripout.sawMarksBase', {
        allowance: gap(allowanceMm),
        enough: gap(MARKS_BASE_MM),
      }),
    );
  let stop: Said | null = null;
  for (const { heating, heatingDepthMm } of bases) {
    if (heating === 'unknown') warnings.push(say('stripout.whetherTheFloorIsHeatedIs'));
    if (heating !== 'water' && heating !== 'electric') continue;
    if (heatingDepthMm === null) stop = say('stripout.theDepthOfTheHeatingIs');
    else if (heatingDepthMm - allowanceMm < clear)
      stop ??= say('stripout.heatingUnderTheBaseTheSaw', {
        heatingDepthMm: gap(heatingDepthMm),
        clear: gap(clear),
      });
  }
  stop ??= overService(ctx, layers.at(-1)!, allowanceMm, clear);
  return { depthMm: layersMm + allowanceMm, layersMm, allowanceMm, warnings, stop };
}

/** A line under the layer whose depth is not known, or leaves the saw no room: the saw stays away until it is. */
function overService(ctx: StripContext, layer: Layer, allowanceMm: number, clearMm: number): Said | null {
  const region = layerRegion(ctx, layer);
  const near = (ctx.room.services ?? []).find(
    (service) =>
      (service.found === 'supposed' || service.depthMm === null || service.depthMm - allowanceMm < clearMm) &&
      region.some(([outer]) =>
        outer
          ? sideDistanceMm(service, { points: outer.map(([xMm, yMm]) => ({ xMm, yMm })), area: true }) <=
            serviceSideMm(service)
          : false,
      ),
  );
  if (!near) return null;
  const what = midSentence(SERVICE_WORDS[near.kind]);
  return near.depthMm === null || near.found === 'supposed'
    ? say('stripout.serviceNoDepth', { what })
    : say('stripout.serviceUnderSaw', { what, depth: gap(near.depthMm), clear: gap(clearMm) });
}

/** Layers taken up together, as they are called within a sentence. */
export function packName(layers: readonly Layer[]): Said {
  return allOf(
    layers.map((layer) => midSentence(layerName(layer))),
    ' with ',
  );
}
