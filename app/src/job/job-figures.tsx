import { ALL_FIGURES, type AnyFigureName } from '@maquette/core/figures/job';
import type { UnitSystem } from '@maquette/core/units';
import type { NamedFigure } from '../stages/named-figure.ts';
import { fetched } from '../ui/fetched.tsx';

/** What each is called comes with the list. */
const JobFigureLines = fetched(() => import('../stages/figure-lines.tsx').then((part) => part.JobFigureLines));

/** Some figures of a job, each with where it comes from, each to be changed. */
export function JobFigures({
  jobId,
  units,
  names,
}: {
  jobId: string;
  units: UnitSystem;
  names: readonly AnyFigureName[];
}) {
  const figures = names.map((name): NamedFigure => [name, ALL_FIGURES[name]]);
  return <JobFigureLines jobId={jobId} units={units} figures={figures} />;
}
