import { stage } from '../stage.ts';

/** The room itself is set up once it has a way in, and nothing of it is merely taken for granted. */
export default stage('room', 'Room', () => import('./room-stage.tsx').then(({ RoomStage }) => RoomStage), {
  parts: ['outline'],
  mark: (picture, hasWayIn) =>
    hasWayIn && !picture?.criteria.some(({ part }) => part === 'outline') ? 'lay' : 'measure',
});
