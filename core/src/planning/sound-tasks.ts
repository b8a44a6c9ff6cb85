import { say } from '../said/index.ts';
import { MARK_WORDS, type MarkKind } from '../soundness/index.ts';
import { stripContext, underfootOf } from '../stripout/index.ts';
import { openMarks } from '../verdict/index.ts';
import type { Chain } from './draft.ts';
import type { RoomGround } from './room-ground.ts';

/** Marks whose cure is mixed and has to harden. */
const HARDENS: readonly MarkKind[] = ['hole', 'crack', 'joint', 'hollow', 'weak-surface', 'wide-grout'];

/** The floor gone over, and what was found made good; what somebody else has to decide is waited for. */
export function soundTasks(g: RoomGround, chain: Chain): void {
  const { figure, set, areaM2, assessment } = g;
  const walked = assessment.criteria.find(({ id }) => id === 'sound-walk')?.verdict === 'lay';
  if (!walked) chain.work('sound', 'walk', say('planning.walk'), Math.max(0.25, areaM2 * figure('walk-h-m2')));
  const context = stripContext(set.room, set.card, set);
  const open = openMarks(set.room, set, figure, underfootOf(set.room, context.facts));
  const decided = open.filter(({ treatment }) => treatment.verdict === 'stop');
  for (const { mark } of decided)
    chain.wait(
      'sound',
      `decides/${mark.id}`,
      say('planning.decides', { mark: MARK_WORDS[mark.kind] }),
      24 * figure('decider-days'),
    );
  const before = chain.last;
  const repairs = open.filter(({ treatment }) => treatment.verdict === 'work');
  const ends = repairs.flatMap(({ mark }) => {
    chain.last = before;
    const key = chain.work(
      'sound',
      `mark/${mark.id}`,
      say('planning.repair', { mark: MARK_WORDS[mark.kind] }),
      figure('repair-h'),
      {
        ticks: [`mark/${mark.id}`],
        isLoud: false,
      },
    );
    if (HARDENS.includes(mark.kind))
      chain.wait('sound', `sets/${mark.id}`, say('planning.repairSets'), figure('repair-set-h'));
    return key ? chain.last : [];
  });
  if (ends.length > 0) chain.last = ends;
  else chain.last = before;
}
