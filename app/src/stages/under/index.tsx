import { stage } from '../stage.ts';

export default stage('under', 'Under', () => import('./under-stage.tsx').then(({ UnderStage }) => UnderStage), {
  parts: ['under'],
});
