import { answerTo } from '../fields/index.ts';
import { HEATING } from '../hazards/index.ts';
import {
  levellingJob,
  panelOver,
  planLevelling,
  POUR_LEAST,
  type KeepOff,
  type LevellingPlan,
  type Rise,
} from '../levelling/index.ts';
import type { Mark } from '../soundness/index.ts';
import { allUnder, cardOf } from '../under/index.ts';
import type { LevelWork, RoomPart } from './room-part.ts';

/** What levelling is planned from: the judged floor, what may be done to it, and what is asked for. */
export const levelJob: RoomPart<'levelJob', 'outline' | 'strip' | 'surface'> = {
  id: 'levelJob',
  reads: ['room', 'figures', 'marks', 'rises', 'answers'],
  needs: ['outline', 'strip', 'surface'],
  onDemand: true,
  judge({ room, figures, marks, rises, answers }, { outline: plan, strip, surface: { state } }) {
    if (!state) return { state: null, validUntil: null };
    const { grind, prime, fix } = strip.surfaceGates;
    const job = levellingJob({
      room,
      plan,
      state,
      figures,
      keepOff: keptOff(marks),
      // Heating holds each cell back by its own base's depth; what else is against it closes the room.
      gates: { grind: grind.stops.every(({ hazard }) => hazard === HEATING), prime: prime.allowed, fix: fix.allowed },
      laidOver: strip.laidOver,
      rises: risesAsked(rises),
      pourLeastMm: answerTo(answers, POUR_LEAST),
    });
    return { state: { job, state }, validUntil: null };
  },
};

const MEMO = 'ways';

/** The first ways to level: null where nothing has been read. A panel is reckoned with as it is chosen under the planks: the other ways do not wait for that, and are kept. */
export const levelling: RoomPart<'levelling', 'levelJob'> = {
  id: 'levelling',
  reads: ['underChoices', 'underCards'],
  needs: ['levelJob'],
  onDemand: true,
  judge({ underChoices, underCards }, { levelJob: work }, _atUtc, { memo }) {
    if (!work) return { state: null, validUntil: null };
    const kept = memo.get(MEMO) as { work: LevelWork; plan: LevellingPlan | null } | undefined;
    const plan = kept?.work === work ? kept.plan : planLevelling(work.job, work.state);
    memo.set(MEMO, { work, plan });
    const card = cardOf(allUnder(underCards).panels, underChoices.at(-1)?.panelId ?? null);
    if (!plan || !card) return { state: plan, validUntil: null };
    const { thicknessMm, lengthMm, widthMm, costEach } = card;
    const costM2 = (costEach / (lengthMm * widthMm)) * 1e6;
    return { state: { ...plan, panel: panelOver(work.job, { thicknessMm, costM2 }) }, validUntil: null };
  },
};

function risesAsked(rises: readonly Rise[]): Map<string, number> {
  const asked = new Map<string, number>();
  // The newest counts, and comes last.
  for (const { placeId, riseMm } of rises) {
    if (riseMm === null) asked.delete(placeId);
    else asked.set(placeId, riseMm);
  }
  return asked;
}

/** How far a marked point or line keeps work off, where no size is given, mm. */
const KEEP_OFF_MM = 100;

/** Places marked to be kept off by the grinder or by compound. */
function keptOff(marks: readonly Mark[]): KeepOff[] {
  return marks.flatMap((mark): KeepOff[] => {
    if (mark.kind !== 'no-grind' && mark.kind !== 'no-fill') return [];
    const { shape, sizeMm } = mark;
    return [
      {
        what: mark.kind === 'no-grind' ? 'grind' : 'fill',
        shape,
        points: shape === 'point' ? [mark] : mark.points,
        reachMm: sizeMm === null ? (shape === 'area' ? 0 : KEEP_OFF_MM) : sizeMm / 2,
      },
    ];
  });
}
