import { fetched } from '../ui/fetched.tsx';
import { Fold } from '../ui/fold.tsx';
import type { NamedFigure } from './named-figure.ts';
import type { ShownRoom } from '../data/use-facts.ts';

/** What each is called comes with the list, when it is opened first. */
const FigureLines = fetched(() => import('./figure-lines.tsx').then((part) => part.FigureLines));

/** Rates, limits and prices of the job: each default with where it comes from, each to be changed. */
export function FiguresFold({ shown, figures }: { shown: ShownRoom; figures: readonly NamedFigure[] }) {
  const own = shown.plain.figures.filter((held) => figures.some(([name]) => name === held.name));
  return (
    <Fold
      title="Rates, limits and prices of this job"
      aside={`${own.length} changed`}
      memory={`figures/${shown.room!.id}/${figures[0]?.[0]}`}
    >
      <FigureLines shown={shown} figures={figures} />
    </Fold>
  );
}
