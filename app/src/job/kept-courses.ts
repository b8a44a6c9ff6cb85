import { createStore, get, set, type UseStore } from 'idb-keyval';
import type { JobCourse } from '@maquette/core/planning';
import { judgedFrom } from '../data/judged-from.ts';

interface Kept {
  from: string;
  course: JobCourse;
}

/** The last course of each job, kept on the device: its pages and the agenda open with it while it is worked out anew. */
function createKeptCourses() {
  let store: UseStore | null = null;
  const disk = () => (store ??= createStore('maquette-courses', 'jobs'));
  const here = new Map<string, Kept>();
  return {
    /** What was made of a job from these very writes, today, by this build; null where it has to be worked out. */
    held: (jobId: string, writes: string): JobCourse | null => {
      const kept = here.get(jobId);
      return kept?.from === judgedFrom(writes) ? kept.course : null;
    },
    /** Whatever was made of it last, on this device since it was opened. */
    last: (jobId: string): JobCourse | null => here.get(jobId)?.course ?? null,
    async find(jobId: string, writes: string): Promise<JobCourse | null> {
      const kept = here.get(jobId) ?? (await get<Kept>(jobId, disk()).catch(() => undefined));
      if (kept) here.set(jobId, kept);
      return kept?.from === judgedFrom(writes) ? kept.course : null;
    },
    keep(jobId: string, writes: string, course: JobCourse): void {
      const kept = { from: judgedFrom(writes), course };
      here.set(jobId, kept);
      void set(jobId, kept, disk()).catch(() => undefined);
    },
  };
}

export const keptCourses = createKeptCourses();
