import { stage } from '../stage.ts';

export default stage(
  'heights',
  'Heights',
  () => import('./heights-stage.tsx').then(({ HeightsStage }) => HeightsStage),
  {
    parts: ['heights'],
    clear: 'lay',
  },
);
