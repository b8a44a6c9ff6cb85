import { judgeDamp } from '../damp/index.ts';
import { failureChance } from '../flat/index.ts';
import { underfootOf } from '../stripout/index.ts';
import { WATER_SIGNS } from '../soundness/index.ts';
import { DAMP_AIR, dampCriteria, flatCriteria, openMarks, soundCriteria, worstVerdict } from '../verdict/index.ts';
import { dampCoverOf } from './damp-cover.ts';
import { dampContextOf } from './damp-context.ts';
import { outline, strip, surface } from './floor-parts.ts';
import { heights } from './heights-part.ts';
import { lay } from './lay-part.ts';
import { levelJob, levelling } from './level-parts.ts';
import { under } from './under-part.ts';
import type { RoomPart } from './room-part.ts';

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
    'underChoices',
    'underCards',
  ],
  needs: ['strip'],
  judge(set, needs, atUtc, { memo }) {
    const context = dampContextOf(set, needs.strip.context, atUtc);
    // What was tested in other rooms ages as well.
    const elsewhere = set.like.others ?? [];
    const timed = [set.airReadings, set.airLogs, set.dampTests, set.dampReadings, elsewhere].some(
      (list) => list.length > 0,
    );
    // Ages are told to the minute: with something read, what is said holds to the end of this one.
    const state = judgeDamp(context);
    const open = openMarks(set.room, set, context.figure, underfootOf(set.room, needs.strip.context.facts));
    const signs = open.flatMap(({ mark }) => (WATER_SIGNS.includes(mark.kind) ? [mark] : []));
    const cover = dampCoverOf(set, context, state);
    const criteria = dampCriteria(context, state, memo, signs, cover);
    // A film is laid with the planks: whoever chooses another one has the base as it is.
    const bare = cover?.by === 'film' ? dampCriteria(context, state, memo, signs) : criteria;
    const ofFloor = worstVerdict(bare.flatMap(({ id, verdict }) => (id === DAMP_AIR ? [] : [verdict])));
    return { state: { context, state, criteria, cover, ofFloor }, validUntil: timed ? context.atUtc : null };
  },
  criteria: ({ criteria }) => criteria,
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
  judge: (set, { outline: plan, surface: { state }, sure: chance }) => ({
    state: { criteria: flatCriteria(set.room, plan, set.card, state, set, chance ?? null, set) },
    validUntil: null,
  }),
  criteria: ({ criteria }) => criteria,
};

/** Every part in the order in which it is judged. */
export const PARTS = [
  outline,
  strip,
  damp,
  sound,
  surface,
  sure,
  flat,
  heights,
  under,
  lay,
  levelJob,
  levelling,
] as const;
