import { stage } from '../stage.ts';

/** Done when nothing of it is left; a bare base has nothing to strip. */
export default stage('strip', 'Strip', () => import('./strip-stage.tsx').then(({ StripStage }) => StripStage), {
  parts: ['strip'],
  clear: 'lay',
});
