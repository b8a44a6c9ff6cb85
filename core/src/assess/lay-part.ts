import { layCriteria } from '../verdict/index.ts';
import { layStateOf } from './lay-state.ts';
import type { RoomPart } from './room-part.ts';

/** Boxes, batches, adhesive and rows, as far as they were recorded. */
export const lay: RoomPart<'lay', 'damp'> = {
  id: 'lay',
  reads: [
    'card',
    'answers',
    'marks',
    'airReadings',
    'airLogs',
    'setOuts',
    'laidRows',
    'plankBoxes',
    'boxChecks',
    'damagedPlanks',
    'glueTests',
    'glueBays',
    'figures',
  ],
  needs: ['damp'],
  judge(set, { damp }, atUtc) {
    const state = layStateOf(set, damp, atUtc);
    return { state, validUntil: state.nextLateAt };
  },
  criteria: (state) => layCriteria(state),
};
