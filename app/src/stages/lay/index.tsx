import { stage } from '../stage.ts';

export default stage('lay', 'Lay', () => import('./lay-stage.tsx').then(({ LayStage }) => LayStage), {
  parts: ['lay'],
});
