import { stage } from '../stage.ts';

export default stage('flat', 'Flat', () => import('./flat-stage.tsx').then(({ FlatStage }) => FlatStage), {
  parts: ['surface', 'sure', 'flat'],
});
