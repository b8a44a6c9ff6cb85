import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const RecordScreen = fetched(() => import('../../../src/job/screens.ts').then((screens) => screens.RecordScreen));

export default function JobRecord() {
  const { job } = useLocalSearchParams<{ job: string }>();
  return <RecordScreen jobId={job} />;
}
