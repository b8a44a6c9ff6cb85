import { allOf, gap, listed, lower, mass, midSentence, reach, say, type Said, type Sayable } from '../said/index.ts';
import { mayDo, type Caution, type Stop } from '../hazards/index.ts';
import { layerName, type Layer } from '../layers/index.ts';
import { TAKEN_UP } from './context.ts';
import type { StripContext } from './facts.ts';
import { layerAreaM2 } from './layer-area.ts';
import { dustOf } from './options.ts';
import type { CutPlan, SawDepth } from './pieces.ts';
import type { Ask } from './prepare.ts';
import { makeGoodOf, mayAll, removalOf } from './removal.ts';
import { gripperMm, pullsStaples, removalHours } from './removal-hours.ts';
import type { TrimPiece } from './trim.ts';
import type { Offer } from './ways-up.ts';

/** One step of the work, in the order it is done. */
export interface Step {
  key: string;
  group: 'clear' | 'dust' | 'fixtures' | 'trim' | 'layer' | 'edges' | 'clean' | 'kept';
  words: Sayable;
  lines: Said[];
  hours: number;
  /** Why it may not be done yet; empty when it may. */
  stops: Stop[];
  cautions: Caution[];
  layerIds: string[];
  doneAt: string | null;
}

/** Layers that come up as one, with how they are cut. */
export interface Pack {
  key: string;
  layerIds: string[];
  words: Said;
  areaM2: number;
  cut: CutPlan | null;
  saw: SawDepth | null;
}

/** A step before it is known whether it has been ticked. */
type Undone = Omit<Step, 'doneAt'>;

/** Preparations as steps of a group; nothing of the layers is touched by them. */
export function asSteps(group: Step['group'], asks: readonly Ask[]): Undone[] {
  return asks.map((ask) => ({ cautions: [], ...ask, group, stops: [], layerIds: [] }));
}

/** What must be settled before anything is touched. */
export function clearing(ctx: StripContext, going: readonly Layer[]): Undone[] {
  const steps: Undone[] = [];
  for (const layer of going) {
    const gate = mayAll(ctx, removalOf(layer).methods, layer);
    if (gate.allowed) continue;
    steps.push({
      key: `clear/${layer.id}`,
      group: 'clear',
      words: say('stripout.laboratoryResultForTheBeforeIt', { layerName: lower(layerName(layer)) }),
      lines: [say('stripout.aCompetentPersonTakesTheSamples')],
      hours: 0,
      stops: gate.stops,
      cautions: [],
      layerIds: [layer.id],
    });
  }
  const wet = ctx.room.fixtures.some((f) => ['toilet', 'radiator', 'appliance', 'bath'].includes(f.kind));
  if (going.length > 0 && wet)
    steps.push({
      key: 'clear/services',
      group: 'clear',
      words: say('stripout.gasWaterAndElectricityIsolatedBy'),
      lines: [],
      hours: 0.25,
      stops: [],
      cautions: [],
      layerIds: [],
    });
  return steps;
}

/** Skirting off, wall by wall, with the label of each piece; hours from its length. */
export function trimSteps(ctx: StripContext, trim: readonly TrimPiece[]): Undone[] {
  const gate = mayDo(ctx.hazards, 'lever-trim', { layers: [], trim: true });
  return ctx.plan.corners.flatMap((_, wall): Undone[] => {
    const pieces = trim.filter((piece) => piece.wall === wall);
    if (pieces.length === 0) return [];
    const metres = pieces.reduce((sum, piece) => sum + piece.lengthMm, 0) / 1000;
    return [
      {
        key: `trim/W${wall + 1}`,
        group: 'trim',
        words: say('stripout.skirtingOffWallW', {
          wall: wall + 1,
          pieces: listed(
            pieces.map((p) => p.label),
            ', ',
          ),
        }),
        lines: [say('stripout.scorePaintAndCaulkFirstLever'), say('stripout.labelEachPieceOnItsBack')],
        hours: metres * ctx.figure('skirting-h-m'),
        stops: gate.stops,
        cautions: gate.cautions,
        layerIds: [],
      },
    ];
  });
}

/** Taking a pack up: saw depth and pieces, hours from its area, then gripper and staples. A shut gate leaves only why. */
export function packSteps(ctx: StripContext, pack: Pack, going: readonly Layer[]): Undone[] {
  const layers = pack.layerIds.map((id) => going.find((l) => l.id === id)!);
  const lead = layers.at(-1)!;
  const gates = layers.map((layer) => mayAll(ctx, removalOf(layer).methods, layer));
  const shut = gates.find((gate) => !gate.allowed);
  const sawStop = pack.saw?.stop
    ? [{ hazard: 'heating', words: pack.saw.stop, decides: say('stripout.sawStop1Decides') }]
    : [];
  const parts = layers.map((layer, i) => removalHours(ctx, layer, gates[i]!.allowed));
  const lines: Said[] = [];
  if (!shut) {
    if (pack.saw) lines.push(say('stripout.sawSetTo', { depthMm: gap(pack.saw.depthMm) }));
    if (pack.cut)
      lines.push(
        say('stripout.piecesHeaviest', { piecesCount: pack.cut.pieces.length, heaviestKg: mass(pack.cut.heaviestKg) }),
      );
    lines.push(...removalOf(lead).steps);
  }
  const steps: Undone[] = [
    {
      key: `${TAKEN_UP}${pack.key}`,
      group: 'layer',
      words: say('stripout.takeUpPack', { pack: pack.words }),
      lines,
      hours: parts.reduce((sum, { lift, undercut }) => sum + lift + undercut, 0),
      stops: [...(shut?.stops ?? []), ...sawStop],
      cautions: [...new Map(gates.flatMap((g) => g.cautions).map((c) => [c.id, c])).values()],
      layerIds: pack.layerIds,
    },
  ];
  if (lead.fixing === 'tacked' && !shut)
    steps.push({
      key: `edges/gripper/${pack.key}`,
      group: 'edges',
      words: say('stripout.leverOfGripperOffAtIts', { roundM: reach(gripperMm(ctx)) }),
      lines: [say('stripout.piecesIntoARigidBox'), say('stripout.staplesScrapedOrPulled')],
      hours: parts.reduce((sum, { gripper }) => sum + gripper, 0),
      stops: [],
      cautions: gates[0]!.cautions.filter((c) => c.id === 'gripper'),
      layerIds: pack.layerIds,
    });
  if (layers.some((l) => l.fixing === 'stapled') && !shut) {
    const pull = pullsStaples(ctx);
    steps.push({
      key: `edges/staples/${pack.key}`,
      group: 'edges',
      words: pull ? say('stripout.pullTheStaplesLeftBehindRocking') : say('stripout.sinkTheStaplesLeftBehind'),
      lines: pull ? [] : [say('stripout.onlyUnderAPanelOrA')],
      hours: parts.reduce((sum, { staples }) => sum + staples, 0),
      stops: [],
      cautions: [],
      layerIds: pack.layerIds,
    });
  }
  return steps;
}

/** What gets feet over the steps up that the floor on top leads to. */
export function stepUps(ctx: StripContext, offers: readonly Offer[]): Undone[] {
  return offers
    .filter((offer) => offer.first)
    .map((offer) => ({
      key: `kept/ramp/${offer.openingId}`,
      group: 'kept',
      words: offer.words,
      lines: [],
      hours: offer.hours,
      stops: [],
      cautions: [],
      layerIds: [],
    }));
}

/** Making a layer good so that it can be covered. */
export function mendStep(ctx: StripContext, layer: Layer): Undone {
  const good = makeGoodOf(layer)!;
  const gate = mayAll(ctx, good.methods, layer);
  return {
    key: `good/${layer.id}`,
    group: 'layer',
    words: allOf([good.words, midSentence(layerName(layer))], ': '),
    lines: ctx.card.kind === 'glue-down-vinyl' ? [say('stripout.rubDownAnyTrowelMarkIt')] : [],
    hours: layerAreaM2(ctx, layer) * ctx.figure(good.hours),
    stops: gate.stops,
    cautions: gate.cautions,
    layerIds: [layer.id],
  };
}

/** Vacuuming the base once everything is up. */
export function cleanStep(ctx: StripContext, going: readonly Layer[]): Undone {
  const mineral = going.some((l) => dustOf(ctx, l) === 'silica');
  return {
    key: 'clean/vacuum',
    group: 'clean',
    words: say('stripout.vacuumTheBaseMarkWhatIs'),
    lines: [mineral ? say('stripout.classMOrHVacuumNever') : say('stripout.vacuumThenLookAlongALow')],
    hours: 0.02 * ctx.plan.corners.length + 0.3,
    stops: [],
    cautions: [],
    layerIds: [],
  };
}
