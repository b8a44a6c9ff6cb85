import type { LevelledBy } from '@maquette/core';
import type { Planned } from '../../worker/use-planned.ts';
import type { ChoiceId } from './way-words.ts';

/** What a planned way does to the floor; null while it is not worked out, and where nothing is to be done. */
export function changeOf(
  { plan, programmes }: Pick<Planned, 'plan' | 'programmes'>,
  wanted: ChoiceId | null,
  planeAt: number | null,
): LevelledBy | null {
  if (!plan || plan.nothingToDo) return null;
  const plane = plan.planes[planeAt ?? 0];
  if (wanted === 'plane' && plane) return { levelMm: plane.levelMm };
  if (wanted === 'fill' && plan.fill.holds) return plan.fill.change;
  const chosen = wanted === 'fill' || wanted === 'grind' || wanted === 'ramp' ? programmes[wanted]?.way : null;
  return (chosen ?? programmes.mixed?.way)?.change ?? null;
}
