import { stage } from '../stage.ts';

export default stage('damp', 'Damp', () => import('./damp-stage.tsx').then(({ DampStage }) => DampStage), {
  parts: ['damp'],
});
