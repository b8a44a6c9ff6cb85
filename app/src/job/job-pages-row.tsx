import { JobCourseRow } from './job-course-row.tsx';
import { keptCourses } from './kept-courses.ts';

/** The pages of a job under its rooms, as they stood when they were last worked out. */
export function JobPagesRow({ jobId }: { jobId: string }) {
  return <JobCourseRow jobId={jobId} page="rooms" shown={{ course: keptCourses.last(jobId) }} />;
}
