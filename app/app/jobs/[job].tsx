import { useLocalSearchParams } from 'expo-router';
import { JobScreen } from '../../src/book/job-screen.tsx';

export default function Job() {
  const { job } = useLocalSearchParams<{ job: string }>();
  return <JobScreen jobId={job} />;
}
