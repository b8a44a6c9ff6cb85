import { underPlanOf } from '@maquette/core';
import type { RoomSet, UnderPlan } from '@maquette/core';
import { courseOf, groundOf, openMemory, whatIfs, type GroundMemory, type RoomGround } from '@maquette/core/planning';
import type { CoveringCard } from '@maquette/core/coverings';
import type { Answers, CourseAsk } from './messages.ts';
import { openModels } from './open-models.ts';

/** A room as it was sent, with what took long of it: asked again by the same key nothing of that is worked out anew. */
interface Held {
  key: string;
  set: RoomSet;
  answers: RoomSet['answers'];
  memory: GroundMemory;
}

const held = new Map<string, Held>();
let under: { of: string; plan: UnderPlan } | null = null;
/** Judging rooms takes most of the time: so much of it is told for them. */
const ROOMS_SHARE = 0.8;

function heldOf({ roomId, key, set, answers }: CourseAsk['rooms'][number]): Held {
  const before = held.get(roomId);
  if (before?.key === key) return before;
  const now = { key, set, answers, memory: before?.memory ?? openMemory() };
  held.set(roomId, now);
  return now;
}

async function groundsOf(ask: CourseAsk, tell: (share: number) => void): Promise<RoomGround[]> {
  const open = await openModels();
  const grounds: RoomGround[] = [];
  for (const [k, room] of ask.rooms.entries()) {
    tell((ROOMS_SHARE * k) / ask.rooms.length);
    const { set, answers, memory } = heldOf(room);
    grounds.push(groundOf(set, answers, ask.atUtc, memory, open));
  }
  tell(ROOMS_SHARE);
  return grounds;
}

/** Rolls and panels over the job, worked out once while no room changes. */
function underOf({ rooms }: CourseAsk, grounds: readonly RoomGround[]): UnderPlan {
  const of = rooms.map(({ key }) => key).join('/');
  if (under?.of === of) return under.plan;
  const mayPanel = new Set(
    grounds.flatMap(({ set, assessment }) => (assessment.under?.panelStops.length === 0 ? [set.room.id] : [])),
  );
  const plan = underPlanOf(
    grounds.map(({ set }) => set),
    undefined,
    ({ room }) => mayPanel.has(room.id),
  );
  under = { of, plan };
  return plan;
}

/** A job's days, bill and price. */
export async function answerCourse(ask: CourseAsk, tell: (share: number) => void): Promise<Answers['course']> {
  const grounds = await groundsOf(ask, tell);
  return courseOf(grounds, ask.facts, underOf(ask, grounds), ask.atUtc);
}

/** Ways it could go otherwise, beside it. */
export async function answerWhatIfs(ask: CourseAsk, tell: (share: number) => void): Promise<Answers['whatIfs']> {
  const grounds = await groundsOf(ask, (share) => tell(share / 4));
  const covered = ask.otherCard ? await coveredBy(ask, grounds, ask.otherCard, (share) => tell(0.2 + share / 4)) : null;
  const told = (share: number) => tell(0.45 + 0.55 * share);
  return whatIfs(grounds, ask.facts, underOf(ask, grounds), ask.atUtc, told, covered);
}

/** The rooms that take the covering most of the floor has, judged with another one; all others as they are. */
async function coveredBy(
  { atUtc }: CourseAsk,
  grounds: readonly RoomGround[],
  card: CoveringCard,
  tell: (share: number) => void,
): Promise<{ name: string; grounds: RoomGround[] }> {
  const areas = new Map<string, number>();
  for (const { set, areaM2 } of grounds) areas.set(set.card.id, (areas.get(set.card.id) ?? 0) + areaM2);
  const most = [...areas].sort((a, b) => b[1] - a[1])[0]?.[0];
  const open = await openModels();
  const changed = grounds.map((g, k) => {
    tell(k / grounds.length);
    if (g.set.card.id !== most || most === card.id) return g;
    const set = { ...g.set, room: { ...g.set.room, cardId: card.id }, card };
    return groundOf(set, g.answers, atUtc, openMemory(), open);
  });
  return { name: card.name, grounds: changed };
}
