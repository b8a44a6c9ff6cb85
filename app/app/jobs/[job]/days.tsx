import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const DaysScreen = fetched(() => import('../../../src/job/screens.ts').then((screens) => screens.DaysScreen));

export default function JobDays() {
  const { job } = useLocalSearchParams<{ job: string }>();
  return <DaysScreen jobId={job} />;
}
