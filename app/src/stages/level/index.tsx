import { worstVerdict } from '@maquette/core/verdict/words';
import { stage } from '../stage.ts';

/** What is left of the whole room but for its heights, which have a stage of their own. */
export default stage('level', 'Level', () => import('./level-stage.tsx').then(({ LevelStage }) => LevelStage), {
  parts: ['levelJob', 'levelling'],
  mark: (picture) =>
    picture
      ? worstVerdict(picture.criteria.flatMap((c) => (c.part === 'heights' || c.part === 'under' ? [] : [c.verdict])))
      : 'measure',
});
