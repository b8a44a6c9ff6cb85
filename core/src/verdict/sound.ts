import { decidedBy, stopSaid } from '../hazards/index.ts';
import { lower, say, sentence, type Said } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { Plan, RoomFacts } from '../room/index.ts';
import {
  KEEP_OFF_KINDS,
  MARK_WORDS,
  treatmentOf,
  walkOf,
  type Mark,
  type SoundFacts,
  type Treatment,
  type Underfoot,
} from '../soundness/index.ts';
import { placeWords } from './place.ts';
import { markTick } from './ticks.ts';
import { VERDICTS, type OwnCriterion } from './words.ts';

/** Damage that is not treated yet, worst first. A tick closes what the installer may do; what is somebody else's to decide stays open until they have. */
export function openMarks(
  room: RoomFacts,
  { marks, ticks }: { marks: readonly Mark[]; ticks: readonly { key: string }[] },
  figure: FigureOf,
  under: Underfoot,
): { mark: Mark; treatment: Treatment }[] {
  const done = new Set(ticks.map(({ key }) => key));
  return marks
    .filter((mark) => !KEEP_OFF_KINDS.includes(mark.kind))
    .map((mark) => ({ mark, treatment: treatmentOf(mark, room, figure, under) }))
    .filter(({ mark, treatment }) => treatment.verdict === 'stop' || !done.has(markTick(mark.id)))
    .sort((a, b) => VERDICTS.indexOf(a.treatment.verdict) - VERDICTS.indexOf(b.treatment.verdict));
}

/** Criteria of soundness: what was found and is not treated yet, and how much of the floor nobody has been over. */
export function soundCriteria(
  room: RoomFacts,
  plan: Plan,
  facts: SoundFacts,
  done: readonly { key: string }[],
  figure: FigureOf,
  under: Underfoot,
): OwnCriterion[] {
  const open = openMarks(room, { marks: facts.marks, ticks: done }, figure, under);
  const steps = walkOf(room, plan, facts.checks, figure('tap-mm'), under);
  const left = steps.filter((step) => !step.done);
  const next = left.find((step) => step.closedBy.length === 0) ?? left[0];
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
      next: nextFor(worst.treatment),
    });
  criteria.push({
    id: 'sound-walk',
    title: say('verdict.soundTitle'),
    verdict: left.length > 0 ? 'measure' : 'lay',
    margin: say('verdict.goneOver', {
      done: steps.length - left.length,
      all: steps.length,
    }),
    next: !next
      ? say('verdict.allGoneOver')
      : next.closedBy.length > 0
        ? stopSaid(next.closedBy[0]!)
        : sentence(next.words),
  });
  return criteria;
}

function nextFor({ words, decides, closedBy }: Treatment): Said {
  // What closes the floor says who decides about it.
  if (closedBy.length > 0 || !decides) return words;
  return say('verdict.treatmentDecided', { treatment: words, decided: decidedBy(decides) });
}
