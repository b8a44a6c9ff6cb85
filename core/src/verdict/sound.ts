import { decidedBy } from '../hazards/index.ts';
import { lower, say, sentence } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { Plan, RoomFacts } from '../room/index.ts';
import { KEEP_OFF_KINDS, MARK_WORDS, treatmentOf, walkOf, type SoundFacts } from '../soundness/index.ts';
import { placeWords } from './place.ts';
import { markTick } from './ticks.ts';
import { VERDICTS, type OwnCriterion } from './words.ts';

/** Criteria of soundness: what was found and is not treated yet, and how much of the floor nobody has been over. */
export function soundCriteria(
  room: RoomFacts,
  plan: Plan,
  facts: SoundFacts,
  done: readonly { key: string }[],
  figure: FigureOf,
): OwnCriterion[] {
  const open = facts.marks
    .filter((mark) => !KEEP_OFF_KINDS.includes(mark.kind) && !done.some((tick) => tick.key === markTick(mark.id)))
    .map((mark) => ({ mark, treatment: treatmentOf(mark, room, figure) }))
    .sort((a, b) => VERDICTS.indexOf(a.treatment.verdict) - VERDICTS.indexOf(b.treatment.verdict));
  const steps = walkOf(room, plan, facts.checks, figure('tap-mm'));
  const left = steps.filter((step) => !step.done);
  const criteria: OwnCriterion[] = [];
  const worst = open[0];
  if (worst)
    criteria.push({
      id: 'sound-marks',
      at: [worst.mark.xMm, worst.mark.yMm],
      title: say('verdict.damageTitle'),
      verdict: worst.treatment.verdict,
      margin: say('verdict.damageOpen', {
        count: open.length,
        mark: lower(MARK_WORDS[worst.mark.kind]),
        place: placeWords(room, plan, [worst.mark.xMm, worst.mark.yMm]),
      }),
      next: worst.treatment.decides
        ? say('verdict.treatmentDecided', {
            treatment: worst.treatment.words,
            decided: decidedBy(worst.treatment.decides),
          })
        : worst.treatment.words,
    });
  criteria.push({
    id: 'sound-walk',
    title: say('verdict.soundTitle'),
    verdict: left.length > 0 ? 'measure' : 'lay',
    margin: say('verdict.goneOver', {
      done: steps.length - left.length,
      all: steps.length,
    }),
    next: left.length > 0 ? sentence(left[0]!.words) : say('verdict.allGoneOver'),
  });
  return criteria;
}
