import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const JobScreen = fetched(() => import('../../../src/book/job-screen.tsx').then((screen) => screen.JobScreen));

export default function Job() {
  const { job } = useLocalSearchParams<{ job: string }>();
  return <JobScreen jobId={job} />;
}
