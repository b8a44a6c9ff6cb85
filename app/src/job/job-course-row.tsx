import { useRouter } from 'expo-router';
import { Course } from '../course/course.tsx';
import { addressOf, JOB_PAGES, pageMark, type JobPage } from './job-pages.ts';
import type { CourseShown } from './use-course.ts';

/** The pages of a job as planks. */
export function JobCourseRow({
  jobId,
  page,
  shown,
  wide = false,
}: {
  jobId: string;
  page: JobPage;
  shown: Pick<CourseShown, 'course'>;
  wide?: boolean;
}) {
  const router = useRouter();
  return (
    <Course
      label="Pages of this job"
      wide={wide}
      chosen={page}
      onChoose={(chosen) => router.replace(addressOf(jobId, chosen as JobPage))}
      planks={JOB_PAGES.map(({ page: stage, label }) => ({ stage, label, verdict: pageMark(stage, shown.course) }))}
    />
  );
}
