import type { CoveringCard } from '../coverings/index.ts';
import { isOwnLength, worstUnder, type EdgeWalk } from '../flat/index.ts';
import type { Plan, RoomFacts } from '../room/index.ts';
import { say } from '../said/index.ts';
import { lipsOf, type SoundFacts } from '../soundness/index.ts';
import { formatGap, unitLabel } from '../units/index.ts';
import { placeWords } from './place.ts';
import { LIPS_CHECK } from './ticks.ts';
import type { OwnCriterion } from './words.ts';

/** Places walked with a short edge, over the worst-looking ones, that stand for a floor. */
const SHORT_WALKS_ENOUGH = 5;

/**
 * Lips are felt along joints and entered as marks: stations cannot see them. Judged against the step the card names; a lip on
 * record under a card that names none is told and left to the work on damage. Null where there is nothing to say.
 */
export function lipCriterion(
  room: RoomFacts,
  plan: Plan,
  card: CoveringCard,
  sound: SoundFacts,
  /** Placements that count: none from before the floor was levelled. */
  walks: readonly EdgeWalk[],
): OwnCriterion | null {
  const shortRules = card.rules.filter((rule) => rule.edgeMm < 500);
  if (card.stepMm === null && shortRules.length === 0) return null;
  const { units } = room;
  const allowed = card.stepMm ?? Math.min(...card.rules.map((rule) => rule.gapMm));
  const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
  // Lips are felt while the floor is gone over for damage.
  const base = { id: 'lips', title: say('verdict.lipsTitle'), also: ['sound'] };
  const [worst] = lipsOf(sound.marks);
  if (!worst && sound.checks.some((check) => check.key === LIPS_CHECK && !check.found))
    return {
      ...base,
      verdict: 'lay',
      margin: say('verdict.noLip', { allowed: mm(allowed) }),
      next: say('verdict.feelAgain'),
    };
  // A short rule may be walked with an edge of its own length instead: places over it are told by themselves.
  const walked = walks.filter((walk) => shortRules.some((rule) => isOwnLength(walk, rule.edgeMm)));
  const keeps = walked.every((walk) => worstUnder(walk).gapMm <= allowed);
  if (!worst && card.stepMm === null && keeps && walked.length >= SHORT_WALKS_ENOUGH)
    return {
      ...base,
      verdict: 'lay',
      margin: say('verdict.shortEdgeWalked', {
        count: walked.length,
        most: mm(Math.max(...walked.map((walk) => worstUnder(walk).gapMm))),
      }),
      next: say('verdict.walkAgain'),
    };
  if (!worst)
    return {
      ...base,
      verdict: 'measure',
      margin: say('verdict.lipsUnknown', { allowed: mm(allowed) }),
      next: say('verdict.feelJoints'),
    };
  const over = worst.stepMm! - allowed;
  return {
    ...base,
    at: [worst.xMm, worst.yMm],
    verdict: over > 0 ? 'work' : 'lay',
    margin: say('verdict.lip', {
      apart: mm(Math.abs(over)),
      side: over > 0 ? say('verdict.wordOver') : say('verdict.wordInside'),
      step: mm(worst.stepMm!),
      place: placeWords(room, plan, [worst.xMm, worst.yMm]),
    }),
    next: over > 0 ? say('verdict.mendLip') : say('verdict.lipAllowed'),
  };
}
