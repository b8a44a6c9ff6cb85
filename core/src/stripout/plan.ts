import { LAYERS, answerTo, fromTheTop, layerName, type Layer } from '../layers/index.ts';
import { gateOf, mayDo, type Caution, type LayerGate, type Stop } from '../hazards/index.ts';
import { perimeterMm } from '../room/index.ts';
import type { StripContext } from './facts.ts';
import { debrisOf, type DebrisTotal } from './debris.ts';
import { compareLayers, HIRE_WORDS, layerAreaM2, rateOf, type Comparison } from './options.ts';
import { cutPlanOf, packName, sawDepthOf, type CutPlan, type SawDepth } from './pieces.ts';
import { dustPlan, fixturesOut, leftAtOpenings, type Ask } from './prepare.ts';
import { makeGoodOf, mayAll, removalOf } from './removal.ts';
import { trimPieces, type TrimPiece } from './trim.ts';

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

export interface StripPlan {
  comparisons: Comparison[];
  gates: LayerGate[];
  packs: Pack[];
  trim: TrimPiece[];
  trimOff: boolean;
  steps: Step[];
  left: { key: string; words: string }[];
  debris: DebrisTotal;
  /** Work hours of one person, and days for the crew. */
  hours: number;
  days: number;
  hire: { words: string; days: number; cost: number }[];
  tools: string[];
  cost: { labour: number; disposal: number; hire: number; making: number; total: number };
  /** Layers that stay, for what the planks will lie over. */
  keptLayerIds: string[];
  /** Suspect materials that stay in place, for the hand-over. */
  leftInPlace: string[];
}

/** Sheet or tile glued on an overlay panel that goes too comes up with the panel: one cut, one lift. */
function packsOf(layers: readonly Layer[]): Layer[][] {
  const packs: Layer[][] = [];
  for (let i = 0; i < layers.length; i++) {
    const [upper, lower] = [layers[i]!, layers[i + 1]];
    const together =
      lower?.kind === 'overlay-panel' &&
      LAYERS[upper.kind].family === 'resilient' &&
      upper.fixing === 'glued' &&
      sameWhere(upper, lower);
    packs.push(together ? [upper, lower] : [upper]);
    if (together) i++;
  }
  return packs;
}

function sameWhere(a: Layer, b: Layer): boolean {
  const text = (l: Layer) =>
    l.where
      .map((w) => `${w.lineId}${w.side}`)
      .sort()
      .join('|');
  return text(a) === text(b);
}

/** Strip-out from the layers and the choices made: order, cuts, edges, dust, debris, hours, hire. A function of facts alone. */
export function planStripOut(ctx: StripContext): StripPlan {
  const { facts, figure } = ctx;
  const layers = fromTheTop(facts.layers);
  const comparisons = compareLayers(ctx);
  const taken = new Map(comparisons.map((c) => [c.layerId, c.taken]));
  const gates = layers.map((layer) => gateOf(ctx.hazards, layer));
  const going = layers.filter((layer) => taken.get(layer.id) === 'remove');
  const mending = layers.filter((layer) => taken.get(layer.id) === 'make-good');
  const staying = layers.filter((layer) => taken.get(layer.id) === 'keep' || taken.get(layer.id) === 'make-good');
  const packs = packsOf(going).map((pack): Pack => ({
    key: pack.map((l) => l.id).join('+'),
    layerIds: pack.map((l) => l.id),
    words: packName(pack),
    areaM2: layerAreaM2(ctx, pack.at(-1)!),
    // A layer whose gate is shut is given no cuts: nothing is shown of how to take it up.
    cut: pack.every((l) => mayAll(ctx, removalOf(l).methods, l).allowed) ? cutPlanOf(ctx, pack) : null,
    saw: sawDepthOf(ctx, pack),
  }));
  const dusty = going.some((l) => LAYERS[l.kind].dust !== 'low');
  const trim = trimPieces(ctx.room, ctx.plan, facts.answers);
  const trimOff = (answerTo(facts.answers, 'school/skirting') ?? 'off') === 'off' && going.length > 0;
  const done = new Map(facts.ticks.map((tick) => [tick.key, tick.doneAt]));
  const steps = [
    ...clearing(ctx, going),
    ...(going.length > 0 ? asSteps('dust', dustPlan(ctx, dusty)) : []),
    ...(going.length > 0 ? asSteps('fixtures', fixturesOut(ctx)) : []),
    ...(trimOff ? trimSteps(ctx, trim) : []),
    ...packs.flatMap((pack) => packSteps(ctx, pack, going)),
    ...mending.map((layer) => mendStep(ctx, layer)),
    ...(going.length > 0 ? [cleanStep(ctx, going)] : []),
  ].map((step) => ({ ...step, doneAt: done.get(step.key) ?? null }));
  const masses = going.map((layer) => ({ layer, massKg: layerAreaM2(ctx, layer) * rateOf(ctx, layer, 'kg') }));
  const debris = debrisOf(masses, figure);
  const hours = steps.reduce((sum, step) => sum + step.hours, 0);
  const days = hours / (figure('crew') * figure('hours-a-day'));
  const hire = hireDays(ctx, going);
  const making = mending.reduce((sum, layer) => sum + layerAreaM2(ctx, layer) * figure(makeGoodOf(layer)!.cost), 0);
  const cost = {
    labour: hours * figure('labour-h'),
    disposal: debris.massKg * figure('disposal-kg'),
    hire: hire.reduce((sum, h) => sum + h.cost, 0),
    making,
  };
  return {
    comparisons,
    gates,
    packs,
    trim,
    trimOff,
    steps,
    left: leftAtOpenings(ctx, [...new Set(going.map((l) => LAYERS[l.kind].family))]),
    debris,
    hours,
    days,
    hire,
    tools: [...new Set(going.flatMap((l) => removalOf(l).tools))],
    cost: { ...cost, total: cost.labour + cost.disposal + cost.hire + cost.making },
    keptLayerIds: staying.map((l) => l.id),
    leftInPlace: gates
      .filter((gate) => staying.some((l) => l.id === gate.layerId))
      .flatMap((gate) =>
        gate.materials.filter((m) => m.state === 'positive' || m.state === 'shut').map((m) => m.words),
      ),
  };
}

type Undone = Omit<Step, 'doneAt'>;

function asSteps(group: Step['group'], asks: readonly Ask[]): Undone[] {
  return asks.map((ask) => ({ cautions: [], ...ask, group, stops: [], layerIds: [] }));
}

/** What must be settled before anything is touched. */
function clearing(ctx: StripContext, going: readonly Layer[]): Undone[] {
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

function trimSteps(ctx: StripContext, trim: readonly TrimPiece[]): Undone[] {
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

function packSteps(ctx: StripContext, pack: Pack, going: readonly Layer[]): Undone[] {
  const layers = pack.layerIds.map((id) => going.find((l) => l.id === id)!);
  const lead = layers.at(-1)!;
  const gates = layers.map((layer) => mayAll(ctx, removalOf(layer).methods, layer));
  const shut = gates.find((gate) => !gate.allowed);
  const sawStop = pack.saw?.stop
    ? [{ hazard: 'heating', words: pack.saw.stop, decides: 'heating or electrical trade' }]
    : [];
  const lines: string[] = [];
  if (!shut) {
    if (pack.saw) lines.push(`Saw set to ${Math.round(pack.saw.depthMm * 10) / 10} mm`);
    if (pack.cut)
      lines.push(`${pack.cut.pieces.length} pieces, heaviest ${Math.round(pack.cut.heaviestKg * 10) / 10} kg`);
    lines.push(...removalOf(lead).steps);
  }
  const steps: Undone[] = [
    {
      key: `layer/${pack.key}`,
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
      words: `Lever ${Math.round(roundM * 10) / 10} m of gripper off at its nails`,
      lines: ['Pieces into a rigid box', 'Staples scraped or pulled'],
      hours: roundM * ctx.figure('gripper-h-m'),
      stops: [],
      cautions: gates[0]!.cautions.filter((c) => c.id === 'gripper'),
      layerIds: pack.layerIds,
    });
  if (layers.some((l) => l.fixing === 'stapled') && !shut) {
    const pull = (answerTo(ctx.facts.answers, 'school/staples') ?? 'pull') === 'pull';
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

function mendStep(ctx: StripContext, layer: Layer): Undone {
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

function cleanStep(ctx: StripContext, going: readonly Layer[]): Undone {
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

function hireDays(ctx: StripContext, going: readonly Layer[]): StripPlan['hire'] {
  const hoursBy = new Map<keyof typeof HIRE_WORDS, number>();
  for (const layer of going) {
    if (!mayAll(ctx, removalOf(layer).methods, layer).allowed) continue;
    const hours = layerAreaM2(ctx, layer) * rateOf(ctx, layer, 'hours');
    for (const name of removalOf(layer).hire) hoursBy.set(name, (hoursBy.get(name) ?? 0) + hours);
  }
  return [...hoursBy].map(([name, hours]) => {
    const days = Math.max(1, Math.ceil(hours / (ctx.figure('crew') * ctx.figure('hours-a-day'))));
    return { words: HIRE_WORDS[name], days, cost: days * ctx.figure(name) };
  });
}
