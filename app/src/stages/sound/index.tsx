import { stage } from '../stage.ts';

export default stage('sound', 'Sound', () => import('./sound-stage.tsx').then(({ SoundStage }) => SoundStage), {
  parts: ['sound'],
});
