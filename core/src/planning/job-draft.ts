import type { AnyFigureOf } from '../figures/index.ts';
import { say, type Sayable, type Said } from '../said/index.ts';
import { dampTasks, membraneTasks } from './damp-tasks.ts';
import { openChain, type Chain, type Draft } from './draft.ts';
import { endTasks } from './end-tasks.ts';
import type { Furnishing, Surprise } from './facts.ts';
import type { JobFacts } from './job-facts.ts';
import { acclimatiseTasks, layTasks } from './lay-tasks.ts';
import { levelTasks, panelTasks } from './level-tasks.ts';
import type { RoomGround } from './room-ground.ts';
import { soundTasks } from './sound-tasks.ts';
import { breatheWait, stripTasks, type HeldInRoom } from './strip-tasks.ts';

/** What is not known yet of a room, so that its days may still change; or what stops it. */
export interface Caveat {
  roomId: string;
  isStop: boolean;
  title: Said;
  next: Sayable;
}

/** A job as tasks, with what comes with a surprise and what is not known yet. */
export interface JobDraft {
  tasks: Draft[];
  caveats: Caveat[];
  /** Surprises among the tasks, by key, with what each costs beside its hours, in cents. */
  prices: Record<string, number>;
}

const newestFor = <F extends { ofRoomId: string }>(facts: readonly F[], roomId: string): F | null =>
  facts.findLast((one) => one.ofRoomId === roomId) ?? null;

/** Whether the work of a change goes on: once it is approved, and at once where it makes something safe. */
export const isAgreed = ({ state, isMakingSafe }: Pick<Surprise, 'state' | 'isMakingSafe'>): boolean =>
  state === 'approved' || (state === 'found' && isMakingSafe);

/** What a surprise costs where it comes, cents: its hours at the job's rate, and what else it takes. */
export const surpriseCents = ({ hours, cost }: Pick<Surprise, 'hours' | 'cost'>, figure: AnyFigureOf): number =>
  Math.round((hours * figure('labour-h') + cost) * 100);

/**
 * Every task of a job from the facts of every stage, room after room; a task that is not needed is none.
 *
 * @param counted - surprises that are found and open but counted as agreed: the plan as it would be after them
 */
export function draftOf(
  grounds: readonly RoomGround[],
  facts: Pick<JobFacts, 'furnishings' | 'surprises'>,
  counted: ReadonlySet<string> = new Set(),
): JobDraft {
  const draft: JobDraft = { tasks: [], caveats: [], prices: {} };
  const deliveries = deliveryTasks(grounds, draft);
  for (const g of grounds) roomTasks(g, facts, draft, deliveries.get(g.set.card.id) ?? [], counted);
  return draft;
}

/** Coverings on their way: one wait for each card of which no box is in yet. */
function deliveryTasks(grounds: readonly RoomGround[], draft: JobDraft): Map<string, string[]> {
  const byCard = new Map<string, RoomGround[]>();
  for (const g of grounds) byCard.set(g.set.card.id, [...(byCard.get(g.set.card.id) ?? []), g]);
  const deliveries = new Map<string, string[]>();
  for (const [cardId, own] of byCard) {
    if (own.every(({ set }) => set.plankBoxes.length > 0)) continue;
    const chain = openChain(null, () => null);
    const { figure, set } = own[0]!;
    chain.wait(
      'order',
      `delivery/${cardId}`,
      say('planning.delivery', { card: set.card.name }),
      24 * figure('delivery-days'),
    );
    draft.tasks.push(...chain.tasks);
    deliveries.set(cardId, chain.last);
  }
  return deliveries;
}

function roomTasks(
  g: RoomGround,
  { furnishings, surprises }: Pick<JobFacts, 'furnishings' | 'surprises'>,
  draft: JobDraft,
  delivery: readonly string[],
  counted: ReadonlySet<string>,
): void {
  const { set } = g;
  const id = set.room.id;
  const ticked = new Map(set.ticks.map(({ key, doneAt }) => [key, doneAt]));
  const chain = openChain(id, (tick) => ticked.get(tick) ?? null);
  const furnishing: Furnishing | null = newestFor(furnishings, id);
  const held: HeldInRoom = {
    toiletKey: `${id}/end/toilet`,
    kitchenKey: `${id}/end/appliances`,
    furnitureKey: `${id}/end/furniture`,
  };
  const own = surprises.filter(({ ofRoomId }) => ofRoomId === id);
  const changes = (before: Surprise['before']) =>
    changeTasks(
      own.filter((one) => one.before === before),
      g,
      chain,
      draft,
      counted,
    );
  changes('strip');
  stripTasks(g, chain, furnishing, held);
  laboratoryFinds(g, chain, draft);
  const opened = chain.last;
  soundTasks(g, chain);
  breatheWait(g, chain);
  const evidence = dampTasks(g, chain);
  changes('level');
  membraneTasks(g, chain);
  levelTasks(g, chain);
  panelTasks(g, chain, opened);
  const ready = chain.last;
  const rested = acclimatiseTasks(g, chain, delivery);
  chain.last = [...new Set([...ready, ...rested])];
  changes('lay');
  layTasks(g, chain, evidence);
  endTasks(g, chain, furnishing);
  draft.tasks.push(...chain.tasks);
  for (const { verdict, title, next, id: what } of g.assessment.criteria)
    if (verdict === 'stop' || (verdict === 'measure' && what === 'flat'))
      draft.caveats.push({ roomId: id, isStop: verdict === 'stop', title, next });
  if (g.level === 'none')
    draft.caveats.push({
      roomId: id,
      isStop: false,
      title: say('planning.noLevelTitle'),
      next: say('planning.noLevelNext'),
    });
}

/** A laboratory may find what it looks for: a licensed trade comes then, and its notice and days are waited for. */
function laboratoryFinds(g: RoomGround, chain: Chain, draft: JobDraft): void {
  const laboratory = chain.tasks.find(({ key }) => key.endsWith('/hazard/laboratory'));
  if (!laboratory) return;
  const { figure } = g;
  const after = chain.tasks.filter(({ after: all }) => all.includes(laboratory.key));
  const held = chain.last;
  chain.last = [laboratory.key];
  const hours = 24 * (figure('licensed-notice-days') + figure('licensed-days'));
  const key = chain.wait('hazard', 'positive', say('planning.positive'), hours, {
    spread: { kind: 'surprise', share: figure('lab-positive-pct') / 100 },
  });
  if (!key) return;
  draft.prices[key] = Math.round(figure('licensed-cost') * 100);
  for (const task of after)
    if (task.key !== key) task.after = task.after.map((one) => (one === laboratory.key ? key : one));
  // Put before what follows it, so that whoever reads the list reads it in order.
  const put = chain.tasks.pop()!;
  chain.tasks.splice(chain.tasks.indexOf(laboratory) + 1, 0, put);
  chain.last = held.map((one) => (one === laboratory.key ? key : one));
}

function changeTasks(
  own: readonly Surprise[],
  g: RoomGround,
  chain: Chain,
  draft: JobDraft,
  counted: ReadonlySet<string>,
): void {
  for (const one of own) {
    const words = say('planning.change', { what: one.what });
    const isIn = isAgreed(one) || (one.state === 'found' && counted.has(one.id));
    if (isIn) {
      chain.work('change', one.id, words, one.hours);
      chain.wait('change', `${one.id}/stands`, say('planning.changeStands', { what: one.what }), one.waitH);
    } else if (one.state === 'may-come' && one.sharePct > 0) {
      const share = one.sharePct / 100;
      const look = chain.work(
        'change',
        one.id,
        say('planning.lookFor', { what: one.what }),
        Math.max(0.25, one.hours),
        {
          spread: { kind: 'surprise', share },
        },
      )!;
      draft.prices[look] = surpriseCents(one, g.figure);
      chain.wait('change', `${one.id}/stands`, say('planning.changeStands', { what: one.what }), one.waitH, {
        spread: { kind: 'surprise', share },
      });
    }
  }
}
