import { answerTo } from '../fields/index.ts';
import { SCHOOL } from './schools.ts';
import { mayDo, type Caution, type Stop } from '../hazards/index.ts';
import { LAYERS, layerName, type Layer } from '../layers/index.ts';
import { perimeterMm } from '../room/index.ts';
import { formatMass, formatReach, gapWords } from '../units/index.ts';
import { TAKEN_UP } from './context.ts';
import type { StripContext } from './facts.ts';
import { layerAreaM2, rateOf } from './options.ts';
import type { CutPlan, SawDepth } from './pieces.ts';
import type { Ask } from './prepare.ts';
import { makeGoodOf, mayAll, removalOf } from './removal.ts';
import type { TrimPiece } from './trim.ts';

/** One step of the work, in the order it is done. */
export interface Step {
  key: string;
  group: 'clear' | 'dust' | 'fixtures' | 'trim' | 'layer' | 'edges' | 'clean';
  words: string;
  lines: string[];
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
  words: string;
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
      words: `Laboratory result for the ${layerName(layer).toLowerCase()}, before it is touched`,
      lines: ['A competent person takes the samples; each material is its own sample'],
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
      words: 'Gas, water and electricity isolated by the trade that may',
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
        words: `Skirting off, wall W${wall + 1}: ${pieces.map((p) => p.label).join(', ')}`,
        lines: [
          'Score paint and caulk first, lever at the studs or the bottom plate',
          'Label each piece on its back, denail from the back',
        ],
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
  const { units } = ctx.room;
  const gates = layers.map((layer) => mayAll(ctx, removalOf(layer).methods, layer));
  const shut = gates.find((gate) => !gate.allowed);
  const sawStop = pack.saw?.stop
    ? [{ hazard: 'heating', words: pack.saw.stop, decides: 'heating or electrical trade' }]
    : [];
  const lines: string[] = [];
  if (!shut) {
    if (pack.saw) lines.push(`Saw set to ${gapWords(pack.saw.depthMm, units)}`);
    if (pack.cut) lines.push(`${pack.cut.pieces.length} pieces, heaviest ${formatMass(pack.cut.heaviestKg, units)}`);
    lines.push(...removalOf(lead).steps);
  }
  const steps: Undone[] = [
    {
      key: `${TAKEN_UP}${pack.key}`,
      group: 'layer',
      words: `Take up the ${pack.words}`,
      lines,
      hours:
        layers.reduce((sum, l) => sum + layerAreaM2(ctx, l) * rateOf(ctx, l, 'hours'), 0) +
        ((pack.cut?.undercutMm ?? 0) / 1000) * ctx.figure('undercut-h-m'),
      stops: [...(shut?.stops ?? []), ...sawStop],
      cautions: [...new Map(gates.flatMap((g) => g.cautions).map((c) => [c.id, c])).values()],
      layerIds: pack.layerIds,
    },
  ];
  const openM = ctx.room.openings.reduce((sum, o) => sum + o.widthMm, 0) / 1000;
  const roundM = perimeterMm(ctx.plan.corners) / 1000 - openM;
  if (lead.fixing === 'tacked' && !shut)
    steps.push({
      key: `edges/gripper/${pack.key}`,
      group: 'edges',
      words: `Lever ${formatReach(roundM * 1000, units)} of gripper off at its nails`,
      lines: ['Pieces into a rigid box', 'Staples scraped or pulled'],
      hours: roundM * ctx.figure('gripper-h-m'),
      stops: [],
      cautions: gates[0]!.cautions.filter((c) => c.id === 'gripper'),
      layerIds: pack.layerIds,
    });
  if (layers.some((l) => l.fixing === 'stapled') && !shut) {
    const pull = (answerTo(ctx.facts.answers, SCHOOL['school/staples']) ?? 'pull') === 'pull';
    steps.push({
      key: `edges/staples/${pack.key}`,
      group: 'edges',
      words: pull ? 'Pull the staples left behind, rocking with pliers' : 'Sink the staples left behind',
      lines: pull ? [] : ['Only under a panel or a pad'],
      hours: pack.areaM2 * ctx.figure(pull ? 'staples-h-m2' : 'sink-h-m2'),
      stops: [],
      cautions: [],
      layerIds: pack.layerIds,
    });
  }
  return steps;
}

/** Making a layer good so that it can be covered. */
export function mendStep(ctx: StripContext, layer: Layer): Undone {
  const good = makeGoodOf(layer)!;
  const gate = mayAll(ctx, good.methods, layer);
  return {
    key: `good/${layer.id}`,
    group: 'layer',
    words: `${good.words}: ${layerName(layer).toLowerCase()}`,
    lines: ctx.card.kind === 'glue-down-vinyl' ? ['Rub down any trowel mark: it shows'] : [],
    hours: layerAreaM2(ctx, layer) * ctx.figure(good.hours),
    stops: gate.stops,
    cautions: gate.cautions,
    layerIds: [layer.id],
  };
}

/** Vacuuming the base once everything is up. */
export function cleanStep(ctx: StripContext, going: readonly Layer[]): Undone {
  const mineral = going.some((l) => LAYERS[l.kind].dust === 'silica');
  return {
    key: 'clean/vacuum',
    group: 'clean',
    words: 'Vacuum the base, mark what is found',
    lines: [mineral ? 'Class M or H vacuum, never swept' : 'Vacuum, then look along a low lamp'],
    hours: 0.02 * ctx.plan.corners.length + 0.3,
    stops: [],
    cautions: [],
    layerIds: [],
  };
}
