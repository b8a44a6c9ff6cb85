import { raisesSilica, stopSaid } from '../hazards/index.ts';
import { say, type Said, type Sayable } from '../said/index.ts';
import { answerTo } from '../fields/index.ts';
import { SCHOOL } from './schools.ts';
import type { Method } from '../hazards/index.ts';
import { LAYERS, fromTheTop, type Layer, type LayerSpec } from '../layers/index.ts';
import { mayOverlap, openingName } from '../room/index.ts';
import { layerAreaM2, rateOf } from './layer-area.ts';
import { removalHours, sumOfHours } from './removal-hours.ts';
import { CHOICES, type Choice, type StripContext } from './facts.ts';
import { keepRefusals, makeGoodRefusals } from './keep-rules.ts';
import { beyondOverMm } from './beyond-over.ts';
import type { StepAt } from './step-at.ts';
import { waysUp, type Offer } from './ways-up.ts';
import { makeGoodOf, mayAll, removalOf } from './removal.ts';

/** One of keep, make good, remove for one layer, with all that is compared. */
export interface Option {
  choice: Choice;
  allowed: boolean;
  /** Why not, or what must be known first. */
  refusals: Sayable[];
  /** Stopped by the hazard gate, and not merely unsuitable. */
  stopped: boolean;
  /** Finished surface over the surface that lies there now, mm. */
  levelMm: number;
  steps: StepAt[];
  flat: Said;
  damp: Sayable;
  hours: number;
  debrisKg: number;
  dust: 'none' | 'low' | 'wood' | 'silica';
  hireWords: Said[];
  hireCost: number;
  cost: number;
  /** Ways over a step up that is over the job's limit; the first of each opening is in the cost. */
  offers: Offer[];
  risk: Said;
}

export interface Comparison {
  layerId: string;
  areaM2: number;
  options: Option[];
  recommended: Choice | null;
  because: Sayable;
  /** What the user chose, or null while undecided. */
  chosen: Choice | null;
  note: string;
  /** What the plan works with: the choice, else the recommendation; taken up where a layer below it goes. */
  taken: Choice | null;
  forced: boolean;
}

/** Whole days a tool is hired for so many hours of one person's work, shared by the crew. */
export function hireDaysOf(ctx: StripContext, hours: number): number {
  return Math.max(1, Math.ceil(hours / (ctx.figure('crew') * ctx.figure('hours-a-day'))));
}

const DAMP: Record<string, Said> = {
  soft: say('stripout.dampSoft'),
  floating: say('stripout.dampFloating'),
  resilient: say('stripout.dampResilient'),
  tile: say('stripout.dampTile'),
  wood: say('stripout.dampWood'),
  panel: say('stripout.dampPanel'),
  mineral: say('stripout.dampMineral'),
  fill: say('stripout.dampFill'),
};

function hireOf(ctx: StripContext, names: ReturnType<typeof removalOf>['hire'], hours: number) {
  const days = hireDaysOf(ctx, hours);
  const cost = names.reduce((sum, name) => sum + ctx.figure(name) * days, 0);
  const words = names.map((name) => say('stripout.hireDays', { tool: HIRE_WORDS[name], days }));
  return { cost, words };
}

export const HIRE_WORDS = {
  'extractor-day': say('stripout.hireWordsExtractorDay'),
  'hammer-day': say('stripout.hireWordsHammerDay'),
  'saw-day': say('stripout.hireWordsSawDay'),
  'grinder-day': say('stripout.hireWordsGrinderDay'),
  'stripper-day': say('stripout.hireWordsStripperDay'),
} as const;

/** The dust that taking a layer up raises: of what it is made of, or of the base where what is done reaches that. */
export function dustOf(ctx: StripContext, layer: Layer): LayerSpec['dust'] {
  return raisesSilica(ctx.hazards, removalOf(layer).methods, [layer]) ? 'silica' : LAYERS[layer.kind].dust;
}

function optionOf(ctx: StripContext, layer: Layer, choice: Choice, areaM2: number, levelMm: number): Option {
  const spec = LAYERS[layer.kind];
  const steps = ctx.room.openings.map((opening) => ({
    openingId: opening.id,
    name: openingName(ctx.room, opening),
    stepMm: stepOver(levelMm, beyondOverMm(ctx, opening)),
  }));
  const base = { choice, levelMm, steps };
  if (choice === 'remove') {
    const removal = removalOf(layer);
    const gate = mayAll(ctx, removal.methods, layer);
    const parts = removalHours(ctx, layer, gate.allowed);
    const hours = sumOfHours(parts);
    const debrisKg = areaM2 * rateOf(ctx, layer, 'kg');
    // Behind a shut gate nothing is hired: how it would be taken up is not planned.
    const hire = hireOf(ctx, gate.allowed ? removal.hire : [], parts.lift);
    return {
      ...base,
      allowed: gate.allowed,
      stopped: !gate.allowed,
      refusals: gate.stops.map(stopSaid),
      flat: say('stripout.whatLiesBelowIsReadBare'),
      damp: say('stripout.theBaseBelowCanBeTested'),
      hours,
      debrisKg,
      dust: dustOf(ctx, layer),
      hireWords: hire.words,
      hireCost: hire.cost,
      cost: hours * ctx.figure('labour-h') + debrisKg * ctx.figure('disposal-kg') + hire.cost,
      offers: [],
      risk: spec.watch,
    };
  }
  const good = choice === 'make-good' ? makeGoodOf(layer) : null;
  // A glued floor is stuck to what lies there, which has to be cleaned and primed for it: that disturbs, floating does not.
  const laid: Method = ctx.card.kind === 'glue-down-vinyl' ? 'prime' : 'cover-floating';
  const gate = mayAll(ctx, good ? good.methods : [laid], layer);
  const unsuited = choice === 'keep' ? keepRefusals(ctx, layer) : makeGoodRefusals(ctx, layer, good !== null);
  const making = good ? { hours: areaM2 * ctx.figure(good.hours), cost: areaM2 * ctx.figure(good.cost) } : NO_WORK;
  // A step that is too high is no reason against keeping: it is got over, and what that costs is part of keeping.
  const offers = steps.flatMap(({ openingId, name, stepMm }) => {
    if (stepMm === null || stepMm <= ctx.figure('height-mm')) return [];
    const { widthMm } = ctx.room.openings.find((o) => o.id === openingId)!;
    return waysUp(ctx, { openingId, name, stepMm, widthMm });
  });
  return {
    ...base,
    allowed: gate.allowed && unsuited.length === 0,
    stopped: !gate.allowed,
    refusals: [...gate.stops.map(stopSaid), ...unsuited],
    flat: good ? say('stripout.thenReadFlatnessOnIt', { good: good.words }) : say('stripout.readFlatnessOnItAsIt'),
    damp: DAMP[spec.family] ?? '',
    hours: making.hours,
    debrisKg: 0,
    dust: good ? 'low' : 'none',
    hireWords: [],
    hireCost: 0,
    cost: making.hours * ctx.figure('labour-h') + making.cost,
    offers,
    risk:
      spec.family === 'tile'
        ? say('stripout.aTileThatLetsGoLater')
        : spec.family === 'resilient'
          ? say('stripout.whateverIsWrongBeneathStaysUnseen')
          : say('stripout.itsOwnFixingsAndMovementStay'),
  };
}

function recommend(
  ctx: StripContext,
  layer: Layer,
  options: readonly Option[],
): { choice: Choice | null; because: Sayable } {
  const of = (choice: Choice) => options.find((o) => o.choice === choice)!;
  const [keep, good, remove] = CHOICES.map(of) as [Option, Option, Option];
  const family = LAYERS[layer.kind].family;
  const covered = keep.allowed ? keep : good.allowed ? good : null;
  if (remove.stopped && covered)
    return {
      choice: covered.choice,
      because: say('stripout.takingItUpIsShutLeft'),
    };
  if (remove.stopped)
    return {
      choice: null,
      because: say('stripout.itMayNotBeCoveredAnd'),
    };
  if (!covered) return { choice: 'remove', because: keep.refusals[0] ?? say('stripout.itMayNotBeCovered') };
  if (family === 'tile') {
    return answerTo(ctx.facts.answers, SCHOOL['school/tile']) === 'lift'
      ? { choice: 'remove', because: say('stripout.yourSchoolLiftsTile') }
      : {
          choice: covered.choice,
          because: say('stripout.soundTileIsAStiffBase'),
        };
  }
  if (layer.kind === 'sheet-resilient') {
    return answerTo(ctx.facts.answers, SCHOOL['school/vinyl']) === 'remove'
      ? { choice: 'remove', because: say('stripout.yourSchoolTakesThinVinylUp') }
      : {
          choice: good.allowed ? 'make-good' : covered.choice,
          because: say('stripout.firmThinAndSingleASkim'),
        };
  }
  return covered.cost <= remove.cost
    ? { choice: covered.choice, because: say('stripout.itMayBeCoveredAndThat') }
    : { choice: 'remove', because: say('stripout.takingItUpCostsLessThan') };
}

/** Keep, make good or remove for every layer, side by side. A layer over one that goes must go too. */
export function compareLayers(ctx: StripContext): Comparison[] {
  const layers = fromTheTop(ctx.facts.layers);
  const done: Comparison[] = [];
  // From the bottom up: what is taken up below takes what lies on it along.
  for (const layer of [...layers].reverse()) {
    const below = layers.filter((l) => l.rank > layer.rank && mayOverlap(l.where, layer.where));
    const above = layers.filter((l) => l.rank < layer.rank && mayOverlap(l.where, layer.where));
    const areaM2 = layerAreaM2(ctx, layer);
    const aboveMm = above.reduce((sum, l) => sum + l.thicknessMm, 0);
    const coverMm = ctx.card.thicknessMm;
    const options = CHOICES.map((choice) => {
      const goneMm = aboveMm + (choice === 'remove' ? layer.thicknessMm : 0);
      const addsMm = choice === 'make-good' ? (makeGoodOf(layer)?.addsMm ?? 0) : 0;
      return optionOf(ctx, layer, choice, areaM2, coverMm + addsMm - goneMm);
    });
    const { choice: recommended, because } = recommend(ctx, layer, options);
    const said = ctx.facts.layerChoices.findLast((c) => c.layerId === layer.id);
    // What was chosen before the layer was found to be of another kind may be no choice for it any more.
    const chosen = said && !(said.choice === 'make-good' && !makeGoodOf(layer)) ? said.choice : null;
    const forced = below.some((l) => done.find((d) => d.layerId === l.id)?.taken === 'remove');
    const taken = forced ? 'remove' : (chosen ?? recommended);
    done.unshift({
      layerId: layer.id,
      areaM2,
      options,
      recommended,
      because,
      chosen,
      note: said?.note ?? '',
      taken,
      forced,
    });
  }
  return done.map((comparison) => {
    const layer = layers.find((l) => l.id === comparison.layerId)!;
    const covered = layers.some(
      (l) =>
        l.rank < layer.rank &&
        mayOverlap(l.where, layer.where) &&
        done.find((d) => d.layerId === l.id)!.taken !== 'remove',
    );
    return { ...comparison, options: comparison.options.map((option) => withStep(option, covered)) };
  });
}

/** What gets feet over a step up is reckoned with the layer that ends on top, and once. */
function withStep(option: Option, covered: boolean): Option {
  if (covered) return { ...option, offers: [] };
  const first = option.offers.filter((offer) => offer.first);
  return {
    ...option,
    hours: first.reduce((sum, offer) => sum + offer.hours, option.hours),
    cost: first.reduce((sum, offer) => sum + offer.cost, option.cost),
  };
}

const stepOver = (levelMm: number, beyondMm: number | null) => (beyondMm === null ? null : levelMm - beyondMm);

const NO_WORK = { hours: 0, cost: 0 };
