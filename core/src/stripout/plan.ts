import { type Said, type Sayable } from '../said/index.ts';
import { gateOf, type LayerGate } from '../hazards/index.ts';
import { LAYERS, fromTheTop, type Layer } from '../layers/index.ts';
import type { StripContext } from './facts.ts';
import { debrisOf, type DebrisTotal } from './debris.ts';
import { layerAreaM2, rateOf } from './layer-area.ts';
import { compareLayers, dustOf, HIRE_WORDS, hireDaysOf, type Comparison, type Option } from './options.ts';
import { cutPlanOf, packName, sawDepthOf } from './pieces.ts';
import { dustPlan, fixturesOut, leftAtOpenings } from './prepare.ts';
import { keptWork, skirtingOff } from './kept.ts';
import { makeGoodOf, mayAll, removalOf } from './removal.ts';
import {
  asSteps,
  cleanStep,
  clearing,
  mendStep,
  packSteps,
  stepUps,
  trimSteps,
  type Pack,
  type Step,
} from './steps.ts';
import { trimPieces, type TrimPiece } from './trim.ts';

/** The whole strip-out of a room, as the screen shows it. */
export interface StripPlan {
  comparisons: Comparison[];
  gates: LayerGate[];
  packs: Pack[];
  trim: TrimPiece[];
  trimOff: boolean;
  steps: Step[];
  left: { key: string; words: Sayable }[];
  debris: DebrisTotal;
  /** Work hours of one person, and days for the crew. */
  hours: number;
  days: number;
  hire: { name: keyof typeof HIRE_WORDS; words: Said; days: number; cost: number }[];
  tools: Said[];
  cost: { labour: number; disposal: number; hire: number; making: number; total: number };
  /** The same totals as they come from the choices: the layers as compared, what the room asks for once, hire that layers share. */
  together: Together;
  /** Layers that stay, for what the planks will lie over. */
  keptLayerIds: string[];
  /** Suspect materials that stay in place, for the hand-over. */
  leftInPlace: Said[];
}

interface Together {
  layers: { hours: number; debrisKg: number; cost: number };
  once: { hours: number; cost: number };
  /** What hiring one tool for several layers saves; 0 or less. */
  sharedHire: number;
}

/** Parts of the work that are the choices' own; everything else is done once, whatever lies there. */
const OF_A_LAYER = (step: Step) =>
  step.group === 'layer' || step.group === 'edges' || step.key.startsWith('kept/ramp/');

function togetherOf(
  ctx: StripContext,
  options: readonly Option[],
  steps: readonly Step[],
  costs: { hire: number; onceMaterials: number },
): Together {
  const sum = (of: (option: Option) => number) => options.reduce((total, option) => total + of(option), 0);
  const onceHours = steps.reduce((total, step) => total + (OF_A_LAYER(step) ? 0 : step.hours), 0);
  return {
    layers: { hours: sum((o) => o.hours), debrisKg: sum((o) => o.debrisKg), cost: sum((o) => o.cost) },
    once: { hours: onceHours, cost: onceHours * ctx.figure('labour-h') + costs.onceMaterials },
    sharedHire: costs.hire - sum((o) => o.hireCost),
  };
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
  const dusty = going.some((l) => dustOf(ctx, l) !== 'low');
  const trim = trimPieces(ctx.room, ctx.plan, facts.trimFates);
  const decided = comparisons.every((c) => c.chosen !== null || c.forced);
  const trimOff = skirtingOff(ctx) && (going.length > 0 || (decided && staying.length > 0));
  // Where nothing is taken up there still is what a new floor on the old one asks for.
  const options = comparisons.flatMap((c) => c.options.filter((o) => o.choice === c.taken));
  const offers = options.flatMap((option) => option.offers);
  const onTop = staying[0] && decided && going.length === 0 ? keptWork(ctx, addedOver(comparisons, staying[0])) : null;
  const done = new Map(facts.ticks.map((tick) => [tick.key, tick.doneAt]));
  const steps = [
    ...clearing(ctx, going),
    ...(going.length > 0 ? asSteps('dust', dustPlan(ctx, dusty)) : []),
    ...(going.length > 0 ? asSteps('fixtures', fixturesOut(ctx)) : []),
    ...(trimOff ? trimSteps(ctx, trim) : []),
    ...packs.flatMap((pack) => packSteps(ctx, pack, going)),
    ...mending.map((layer) => mendStep(ctx, layer)),
    ...(onTop?.steps ?? []),
    ...stepUps(ctx, offers),
    ...(going.length > 0 ? [cleanStep(ctx, going)] : []),
  ].map((step) => ({ ...step, doneAt: done.get(step.key) ?? null }));
  const masses = going.map((layer) => ({ layer, massKg: layerAreaM2(ctx, layer) * rateOf(ctx, layer, 'kg') }));
  const debris = debrisOf(masses, figure);
  const hours = steps.reduce((sum, step) => sum + step.hours, 0);
  const days = hours / (figure('crew') * figure('hours-a-day'));
  const hire = hireDays(ctx, going);
  const making =
    mending.reduce((sum, layer) => sum + layerAreaM2(ctx, layer) * figure(makeGoodOf(layer)!.cost), 0) +
    offers.reduce((sum, offer) => sum + (offer.first ? offer.material : 0), 0) +
    (onTop?.materials ?? 0);
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
    tools: toolsOf(going),
    together: togetherOf(ctx, options, steps, { hire: cost.hire, onceMaterials: onTop?.materials ?? 0 }),
    cost: { ...cost, total: cost.labour + cost.disposal + cost.hire + cost.making },
    keptLayerIds: staying.map((l) => l.id),
    leftInPlace: gates
      .filter((gate) => staying.some((l) => l.id === gate.layerId))
      .flatMap((gate) =>
        gate.materials.filter((m) => m.state === 'positive' || m.state === 'shut').map((m) => m.words),
      ),
  };
}

/** What the new floor adds over a layer that stays on top, mm. */
function addedOver(comparisons: readonly Comparison[], { id }: Layer): number {
  const { options, taken } = comparisons.find((c) => c.layerId === id)!;
  return options.find((o) => o.choice === taken)!.levelMm;
}

/** Tools of every removal, each once, in the order they are first needed. */
function toolsOf(going: readonly Layer[]): Said[] {
  const byCode = new Map(going.flatMap((l) => removalOf(l).tools).map((tool) => [tool.code, tool]));
  return [...byCode.values()];
}

function hireDays(ctx: StripContext, going: readonly Layer[]): StripPlan['hire'] {
  const hoursBy = new Map<keyof typeof HIRE_WORDS, number>();
  for (const layer of going) {
    if (!mayAll(ctx, removalOf(layer).methods, layer).allowed) continue;
    const hours = layerAreaM2(ctx, layer) * rateOf(ctx, layer, 'hours');
    for (const name of removalOf(layer).hire) hoursBy.set(name, (hoursBy.get(name) ?? 0) + hours);
  }
  return [...hoursBy].map(([name, hours]) => {
    const days = hireDaysOf(ctx, hours);
    return { name, words: HIRE_WORDS[name], days, cost: days * ctx.figure(name) };
  });
}
