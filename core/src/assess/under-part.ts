import { allUnder, cardOf } from '../under/index.ts';
import { underCriteria, worstVerdict } from '../verdict/index.ts';
import type { RoomPart } from './room-part.ts';
import { underRoomOf, underSchoolsOf } from './under-ground.ts';
import { underOf } from './under-of.ts';

/** What lies between the prepared floor and the planks: rules, ranking, vapour, heat. */
export const under: RoomPart<'under', 'outline' | 'strip' | 'damp' | 'flat' | 'heights'> = {
  id: 'under',
  reads: [
    'room',
    'card',
    'underCards',
    'underChoices',
    'heatDays',
    'cableTests',
    'airReadings',
    'airLogs',
    'layers',
    'answers',
    'figures',
    'ticks',
  ],
  needs: ['outline', 'strip', 'damp', 'flat', 'heights'],
  judge(set, { outline: plan, strip, damp, flat, heights }) {
    const { figure } = strip.context;
    const room = underRoomOf(
      set,
      {
        strip,
        damp,
        flat: worstVerdict(flat.criteria.map(({ verdict }) => verdict)),
      },
      cardOf(allUnder(set.underCards).panels, set.underChoices.at(-1)?.panelId ?? null)?.rM2KW ?? 0,
    );
    return {
      state: underOf(set, room, underSchoolsOf(set.answers), {
        damp,
        heights,
        plan,
        figure,
        fix: strip.surfaceGates.fix,
      }),
      validUntil: null,
    };
  },
  criteria: (state, set, { strip }) => underCriteria(set.room, state, strip.surfaceGates.fix.allowed),
};
