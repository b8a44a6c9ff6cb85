import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const PriceScreen = fetched(() => import('../../../src/job/screens.ts').then((screens) => screens.PriceScreen));

export default function JobPrice() {
  const { job } = useLocalSearchParams<{ job: string }>();
  return <PriceScreen jobId={job} />;
}
