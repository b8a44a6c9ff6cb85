import { stage } from '../stage.ts';

/** The room itself is set up once it has a way in. */
export default stage('room', 'Room', () => import('./room-stage.tsx').then(({ RoomStage }) => RoomStage), {
  parts: ['outline'],
  mark: (_picture, hasWayIn) => (hasWayIn ? 'lay' : 'measure'),
});
