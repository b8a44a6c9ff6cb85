import { listed, midSentence, say, sentence, type Sayable } from '../said/index.ts';
import { answerTo } from '../fields/index.ts';
import { LABORATORY, SITE, SITE_HAZARD_IDS, SITE_HAZARDS } from '../hazards/index.ts';
import type { StripContext, StripPlan } from '../stripout/index.ts';
import { layerName } from '../layers/index.ts';
import type { OwnCriterion } from './words.ts';

/** Criteria of strip-out: hazards first, then what is undecided, then what is still to be taken up. None for a bare base. */
export function stripCriteria(ctx: StripContext, plan: StripPlan): OwnCriterion[] {
  const criteria: OwnCriterion[] = [];
  const site = SITE_HAZARD_IDS.filter((id) => answerTo(ctx.facts.answers, SITE[id]) === 'seen');
  for (const topic of site)
    criteria.push({
      id: topic,
      title: say('verdict.siteTitle'),
      verdict: 'stop',
      margin: sentence(SITE_HAZARDS[topic].words),
      next: say('verdict.siteDecided', { who: SITE_HAZARDS[topic].decides }),
    });
  const shut = plan.steps.filter((step) => step.stops.length > 0 && step.doneAt === null);
  // What is not decided yet may still be disturbed: a shut gate stops the room until it is kept, or a laboratory has answered.
  const open = plan.comparisons.filter((c) => c.chosen === null || c.taken === null);
  const gate = plan.gates.find((g) => !g.open && open.some((c) => c.layerId === g.layerId));
  const suspect = gate?.materials.find((m) => m.state === 'shut' || m.state === 'positive');
  const first = shut[0]?.stops[0];
  if (first ?? suspect) {
    criteria.push({
      id: 'hazard-gate',
      title: say('verdict.gateTitle'),
      verdict: 'stop',
      margin: sentence(first?.words ?? suspect!.words),
      next: say('verdict.gateDecided', {
        who: first?.decides ?? LABORATORY,
      }),
    });
  }
  const undecided = plan.comparisons.filter((c) => c.chosen === null && !c.forced);
  if (undecided.length > 0)
    criteria.push({
      id: 'strip-choice',
      title: say('verdict.choiceTitle'),
      verdict: 'measure',
      margin: say('verdict.undecided', {
        count: undecided.length,
        layers: listed(
          undecided.map((c) => midSentence(nameOf(ctx, c.layerId))),
          ', ',
        ),
      }),
      next: say('verdict.choose'),
    });
  // What stands on a floor that stays is in the way of planks; jambs, skirting and beads are done while they are laid.
  const toDo = plan.steps.filter(
    (step) =>
      step.doneAt === null &&
      (step.group === 'layer' ||
        step.group === 'edges' ||
        (step.group === 'kept' && undecided.length === 0 && step.key.startsWith('lift/') && standsOn(ctx, step.key))),
  );
  if (toDo.length > 0)
    criteria.push({
      id: 'strip-work',
      title: say('verdict.stripTitle'),
      verdict: 'work',
      margin: say('verdict.stripToDo', { count: toDo.length }),
      next: sentence(toDo[0]!.words),
    });
  return criteria;
}

/** Whether a step lifts what stands on the floor, and not a bar or a cover. */
const standsOn = (ctx: StripContext, key: string): boolean =>
  ctx.room.fixtures.some((f) => key === `lift/${f.id}` && (f.kind === 'toilet' || f.kind === 'appliance'));

function nameOf(ctx: StripContext, layerId: string): Sayable {
  const layer = ctx.facts.layers.find((l) => l.id === layerId);
  return layer ? layerName(layer) : say('verdict.aLayer');
}
