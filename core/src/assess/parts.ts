import { defaultSpacingMm } from '../coverings/index.ts';
import { judgeDamp } from '../damp/index.ts';
import { failureChance, flatMemo, judgeFlat, stationsBesides, stationsOf, type FlatMemo } from '../flat/index.ts';
import { mayDo, type Method } from '../hazards/index.ts';
import { fromTheTop } from '../layers/index.ts';
import { entryPoint, openAssumptions, planOf } from '../room/index.ts';
import {
  laidOver,
  planStripOut,
  stripContext,
  underfootOf,
  type StripContext,
  type StripPlan,
} from '../stripout/index.ts';
import { WATER_SIGNS } from '../soundness/index.ts';
import {
  assumedCriteria,
  dampCriteria,
  flatCriteria,
  openMarks,
  soundCriteria,
  stripCriteria,
} from '../verdict/index.ts';
import { dampContextOf } from './damp-context.ts';
import { levelJob, levelling } from './level-parts.ts';
import { breaksOf } from './room-breaks.ts';
import type { RoomPart, StripState } from './room-part.ts';

/** The room as it is drawn: the others stand in it. */
const outline: RoomPart<'outline'> = {
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
const strip: RoomPart<'strip', 'outline'> = {
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

/** Moisture of the floor and air of the room. */
const damp: RoomPart<'damp', 'strip'> = {
  id: 'damp',
  reads: [
    'room',
    'card',
    'airReadings',
    'airLogs',
    'dampTests',
    'dampReadings',
    'like',
    'answers',
    'layers',
    'ticks',
    'marks',
  ],
  needs: ['strip'],
  judge(set, needs, atUtc) {
    const context = dampContextOf(set, needs.strip.context, atUtc);
    // What was tested in other rooms ages as well.
    const elsewhere = set.like.others ?? [];
    const timed = [set.airReadings, set.airLogs, set.dampTests, set.dampReadings, elsewhere].some(
      (list) => list.length > 0,
    );
    // Ages are told to the minute: with something read, what is said holds to the end of this one.
    return { state: { context, state: judgeDamp(context) }, validUntil: timed ? context.atUtc : null };
  },
  criteria({ context, state }, set, { strip }, _atUtc, { memo }) {
    const open = openMarks(set.room, set, context.figure, underfootOf(set.room, strip.context.facts));
    const signs = open.flatMap(({ mark }) => (WATER_SIGNS.includes(mark.kind) ? [mark] : []));
    return dampCriteria(context, state, memo, signs);
  },
};

/** Damage found and the floor gone over. */
const sound: RoomPart<'sound', 'strip'> = {
  id: 'sound',
  reads: ['room', 'marks', 'checks', 'ticks'],
  needs: ['strip'],
  judge: () => ({ state: null, validUntil: null }),
  criteria: (_state, set, { strip: { context } }) =>
    soundCriteria(set.room, context.plan, set, set.ticks, context.figure, underfootOf(set.room, context.facts)),
};

const MEMO = 'surface';

/** Heights of the floor, and how they keep the covering's rules. */
const surface: RoomPart<'surface', 'outline'> = {
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

/** How sure the flatness is, by drawing floors that fit the readings: takes longer than the rest together. */
const sure: RoomPart<'sure', 'surface'> = {
  id: 'sure',
  reads: ['room'],
  needs: ['surface'],
  onDemand: true,
  judge({ room }, { surface: { state } }) {
    const rules = state?.rules.map((result) => result.rule) ?? [];
    return { state: state && failureChance(state, rules, room.contactsOnly), validUntil: null };
  },
};

/** Whether the floor keeps the rules, and how surely where that has been worked out. */
const flat: RoomPart<'flat', 'outline' | 'surface', 'sure'> = {
  id: 'flat',
  reads: ['room', 'card', 'marks', 'works', 'readings'],
  needs: ['outline', 'surface'],
  hears: ['sure'],
  judge: () => ({ state: null, validUntil: null }),
  criteria: (_state, set, { outline: plan, surface: { state }, sure: chance }) =>
    flatCriteria(set.room, plan, set.card, state, set, chance ?? null, set),
};

/** Every part in the order in which it is judged. */
export const PARTS = [outline, strip, damp, sound, surface, sure, flat, levelJob, levelling] as const;
