import { stage } from '../stage.ts';

/** What is left of the whole room. */
export default stage('level', 'Level', () => import('./level-stage.tsx').then(({ LevelStage }) => LevelStage), {
  parts: ['levelJob', 'levelling'],
  mark: (picture) => picture?.verdict ?? 'measure',
});
