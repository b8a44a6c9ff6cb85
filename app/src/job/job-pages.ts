import type { JobCourse } from '@maquette/core/planning';
import type { Verdict } from '@maquette/core/verdict';

/** Pages of a job, as the planks of its course. */
export const JOB_PAGES = [
  { page: 'rooms', label: 'Rooms' },
  { page: 'days', label: 'Days' },
  { page: 'buy', label: 'Buy' },
  { page: 'price', label: 'Price' },
  { page: 'record', label: 'Record' },
] as const;
export type JobPage = (typeof JOB_PAGES)[number]['page'];

export const addressOf = (jobId: string, page: JobPage): `/jobs/${string}` =>
  page === 'rooms' ? `/jobs/${jobId}` : `/jobs/${jobId}/${page}`;

/** How each page stands: nothing is known before the job was worked out. */
export function pageMark(page: JobPage, course: JobCourse | null): Verdict {
  if (!course) return 'measure';
  const { days, bill, price, changes } = course;
  const isStopped = days.caveats.some((one) => one.isStop);
  switch (page) {
    case 'rooms':
      return isStopped ? 'stop' : days.caveats.length > 0 ? 'measure' : 'lay';
    case 'days':
      return days.none ? 'stop' : isStopped ? 'wait' : days.since && days.since.moved.length > 0 ? 'work' : 'lay';
    case 'buy':
      return bill.lines.some((line) => line.price.isUnknown) ? 'measure' : bill.runs.length > 0 ? 'work' : 'lay';
    case 'record':
      return days.tasks.every(({ doneAt }) => doneAt !== null) ? 'lay' : 'wait';
    case 'price':
      return changes.some(({ surprise }) => surprise.state === 'found')
        ? 'wait'
        : price.given?.grossCents === price.gross
          ? 'lay'
          : 'work';
  }
}
