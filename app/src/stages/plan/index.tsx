import { stage } from '../stage.ts';

/** What is left of the whole room. */
export default stage('plan', 'Plan', () => import('./plan-stage.tsx').then(({ PlanStage }) => PlanStage), {
  parts: [],
  mark: (picture) => picture?.verdict ?? 'measure',
});
