import { LAYERS } from '../layers/index.ts';
import { isTimber } from '../room/index.ts';
import { layersLeft } from '../stripout/index.ts';
import type { StripPlan } from '../stripout/index.ts';
import { say } from '../said/index.ts';
import type { Chain } from './draft.ts';
import type { Furnishing } from './facts.ts';
import type { RoomGround } from './room-ground.ts';

type Step = StripPlan['steps'][number];
const hoursOf = (steps: readonly Step[]) => steps.reduce((sum, { hours }) => sum + hours, 0);
const left = (steps: readonly Step[]) => hoursOf(steps.filter(({ doneAt }) => doneAt === null));

/** Days of a laboratory as they were found: a few come sooner, some later. */
export const labTable = (days: number): number[] =>
  [0.7, 0.7, 1, 1, 1, 1, 1.3, 1.7, 2.3, 3.3].map((share) => Math.round(24 * days * share));

/** What a room's furniture, kitchen and toilet take from its start until they are back: freed at the ends of these tasks. */
export interface HeldInRoom {
  toiletKey: string;
  kitchenKey: string;
  furnitureKey: string;
}

/** What speaks of the machine a layer is taken up with. */
const LOUD_FAMILIES: readonly string[] = ['tile', 'mineral'];

/**
 * Samples and what follows on them, furniture out, and the strip-out as its stage lists it, step by step in its order.
 *
 * @param held - tasks that free what is taken here: they are put in at the end of the room
 */
export function stripTasks(g: RoomGround, chain: Chain, furnishing: Furnishing | null, held: HeldInRoom): void {
  const { figure, set } = g;
  const { steps, gates } = g.assessment.strip;
  const going = steps.filter(({ group }) => group === 'layer');
  const isWorked = steps.some(({ hours, doneAt }) => hours > 0 && doneAt === null);
  // Nobody can decide about a layer before the laboratory has answered: it is asked for whatever becomes of the layer, unless it is to stay.
  const staying = new Set(
    g.assessment.strip.comparisons.flatMap(({ layerId, chosen }) => (chosen === 'keep' ? [layerId] : [])),
  );
  const lying = new Set(layersLeft(set).map(({ id }) => id));
  const outstanding = gates.filter(
    ({ layerId, materials }) =>
      lying.has(layerId) && !staying.has(layerId) && materials.some(({ state }) => state === 'shut'),
  );
  // Samples are taken in one visit, and nothing that is disturbed waits for less than all answers.
  if (outstanding.length > 0) {
    chain.work('hazard', 'sample', say('planning.sample', { count: outstanding.length }), figure('sample-h'), {
      trade: 'sampler',
      unbroken: true,
      isPriced: true,
    });
    chain.wait('hazard', 'laboratory', say('planning.laboratory'), 24 * figure('lab-days'), {
      spread: { kind: 'table', hours: labTable(figure('lab-days')) },
    });
  }
  const positive = gates.filter(
    ({ layerId, positive: isPositive }) => isPositive && going.some(({ layerIds }) => layerIds.includes(layerId)),
  );
  if (furnishing && furnishing.goes !== 'none' && furnishing.hours > 0)
    chain.work('strip', 'furniture', say('planning.furnitureOut'), furnishing.hours, {
      mostPeople: 2,
      holds:
        // What is moved about within its own room shuts no other.
        furnishing.goes === 'room' && furnishing.toRoomId && furnishing.toRoomId !== set.room.id
          ? [
              { what: `room/${furnishing.toRoomId}`, until: held.furnitureKey },
              { what: `room/${set.room.id}`, until: held.furnitureKey },
            ]
          : [],
    });
  if (positive.length > 0)
    chain.work('hazard', 'licensed', say('planning.licensed'), figure('licensed-days') * figure('hours-a-day'), {
      trade: 'licensed',
      shutUntil: null,
      isPriced: true,
    });
  if (!isWorked && steps.every(({ doneAt }) => doneAt === null)) return toiletOut(g, chain, held);
  const byGroup = (...groups: Step['group'][]) => steps.filter(({ group }) => groups.includes(group));
  const put = (what: string, words: Parameters<Chain['work']>[2], of: readonly Step[], more = {}) => {
    if (of.length === 0 || hoursOf(of) <= 0) return null;
    const stop = of.find(({ stops, doneAt }) => stops.length > 0 && doneAt === null)?.stops[0];
    return chain.work('strip', what, words, hoursOf(of), {
      doneHours: hoursOf(of) - left(of),
      ticks: of.map(({ key }) => key),
      isPriced: true,
      stopped: stop && outstanding.length === 0 && positive.length === 0 ? stop.words : null,
      ...more,
    });
  };
  put(
    'isolate',
    say('planning.isolate'),
    byGroup('clear').filter(({ hours }) => hours > 0),
  );
  put('dust', say('planning.dust'), byGroup('dust'));
  const lifts = byGroup('fixtures');
  const toiletIds = set.room.fixtures.filter(({ kind }) => kind === 'toilet').map(({ id }) => `lift/${id}`);
  const kitchen = kitchenIds(g).map((id) => `lift/${id}`);
  put(
    'fixtures',
    say('planning.fixturesOut'),
    lifts.filter(({ key }) => !toiletIds.includes(key)),
    kitchen.length > 0 ? { holds: [{ what: 'kitchen', until: held.kitchenKey }] } : {},
  );
  const isLifted = put(
    'toilet',
    say('planning.toiletOut'),
    lifts.filter(({ key }) => toiletIds.includes(key)),
    { holds: [{ what: 'toilet', until: held.toiletKey }] },
  );
  if (!isLifted) toiletOut(g, chain, held);
  put('trim', say('planning.trimOff'), byGroup('trim'));
  for (const step of byGroup('layer')) {
    const own = positive.some(({ layerId }) => step.layerIds.includes(layerId));
    // What the licensed trade takes up is none of one's own work.
    if (own) continue;
    const edges = steps.filter(({ group, layerIds }) => group === 'edges' && layerIds.join() === step.layerIds.join());
    const kinds = set.layers.filter(({ id }) => step.layerIds.includes(id)).map(({ kind }) => LAYERS[kind].family);
    const isLoud = kinds.some((family) => LOUD_FAMILIES.includes(family));
    put(`layer/${step.layerIds.join('+')}`, step.words, [step, ...edges], {
      isLoud,
      machines: isLoud ? ['hammer'] : [],
      mostPeople: 2,
    });
  }
  put('kept', say('planning.keptWork'), byGroup('kept'));
  put('clean', say('planning.clean'), byGroup('clean'));
}

/** Planks go under a toilet, whatever lay there before: it comes out where no step of the strip-out lifts it. */
function toiletOut({ set }: RoomGround, chain: Chain, held: HeldInRoom): void {
  const count = set.room.fixtures.filter(({ kind }) => kind === 'toilet').length;
  chain.work('strip', 'toilet', say('planning.toiletOut'), count * TOILET_OUT_H, {
    holds: [{ what: 'toilet', until: held.toiletKey }],
  });
}
const TOILET_OUT_H = 0.4;

/** Fixtures that make a kitchen: cabinets and appliances. */
export const kitchenIds = ({ set }: RoomGround): string[] =>
  set.room.fixtures.some(({ kind }) => kind === 'cabinet')
    ? set.room.fixtures.filter(({ kind }) => kind === 'appliance').map(({ id }) => id)
    : [];

/** After a tight covering a mineral base gives off for a week what it held back, before anything is read on it. */
export function breatheWait(g: RoomGround, chain: Chain): void {
  const { set, figure, assessment } = g;
  if (isTimber(set.room.baseKind)) return;
  const kept = new Set(assessment.strip.keptLayerIds);
  const tight = layersLeft(set).filter(({ id, kind }) => !kept.has(id) && LAYERS[kind].family === 'resilient');
  if (tight.length > 0) chain.wait('strip', 'breathe', say('planning.breathe'), 24 * figure('breathe-days'));
}
