import { defaultSpacingMm } from '../coverings/index.ts';
import { flatMemo, judgeFlat, stationsBesides, stationsOf, type FlatMemo } from '../flat/index.ts';
import { mayDo, type Method } from '../hazards/index.ts';
import { fromTheTop } from '../layers/index.ts';
import { entryPoint, openAssumptions, planOf } from '../room/index.ts';
import { laidOver, planStripOut, stripContext, type StripContext, type StripPlan } from '../stripout/index.ts';
import { assumedCriteria, stripCriteria } from '../verdict/index.ts';
import { breaksOf } from './room-breaks.ts';
import type { RoomPart } from './room-part.ts';
import type { StripState } from './strip-state.ts';

/** The room as it is drawn: the others stand in it. */
export const outline: RoomPart<'outline'> = {
  id: 'outline',
  reads: ['room'],
  needs: [],
  judge: ({ room }) => ({ state: planOf(room), validUntil: null }),
  criteria: (_plan, { room }) =>
    assumedCriteria(
      room,
      openAssumptions(room, 0).filter((one) => one !== 'layers'),
    ),
};

/** Old floor, hazards and what is chosen about them. */
export const strip: RoomPart<'strip', 'outline'> = {
  id: 'strip',
  reads: [
    'room',
    'card',
    'layers',
    'samples',
    'taps',
    'answers',
    'layerChoices',
    'trimFates',
    'ticks',
    'marks',
    'levels',
    'figures',
    'country',
  ],
  needs: ['outline'],
  judge(set, needs) {
    const context = stripContext(set.room, set.card, set, needs.outline);
    const plan = planStripOut(context);
    const over = laidOver(set.room, set.layers, plan.keptLayerIds);
    return { state: { context, plan, surfaceGates: surfaceGatesOf(context, plan), laidOver: over }, validUntil: null };
  },
  criteria: ({ context, plan }, { room, layers }) => [
    ...stripCriteria(context, plan),
    ...assumedCriteria(
      room,
      openAssumptions(room, layers.length).filter((one) => one === 'layers'),
    ),
  ],
};

/** Levelling works on the highest layer that stays, or on the base: both are asked of the one predicate. */
function surfaceGatesOf(context: StripContext, plan: StripPlan): StripState['surfaceGates'] {
  const top = fromTheTop(context.facts.layers).find((layer) => plan.keptLayerIds.includes(layer.id));
  // Tools go through a layer that stays, into what carries it.
  const target = { layers: top ? [top] : [], base: true };
  const may = (method: Method) => mayDo(context.hazards, method, target);
  return { grind: may('grind'), prime: may('prime'), fix: may('screw') };
}

const MEMO = 'surface';

/** Heights of the floor, and how they keep the covering's rules. */
export const surface: RoomPart<'surface', 'outline'> = {
  id: 'surface',
  reads: ['room', 'card', 'setups', 'readings', 'stations', 'works', 'edgeWalks', 'scans', 'marks'],
  needs: ['outline'],
  judge(set, { outline: plan }, _atUtc, { memo, tell }) {
    const { room, card } = set;
    const spacingMm = room.spacingMm ?? defaultSpacingMm(card.rules);
    const proposed = stationsOf(plan, spacingMm, set.stations, set.readings, entryPoint(room, plan));
    const kept = (memo.get(MEMO) as FlatMemo | undefined) ?? flatMemo();
    memo.set(MEMO, kept);
    const state = judgeFlat(plan, set, card.rules, {
      spacingMm,
      contactsOnly: room.contactsOnly,
      breaks: breaksOf(room, set.marks),
      memo: kept,
      surfaced: tell,
    });
    const stations = state?.scanned
      ? stationsBesides(proposed, state.grid, state.scanned.seen, set.readings)
      : proposed;
    return { state: { state, spacingMm, stations }, validUntil: null };
  },
};
