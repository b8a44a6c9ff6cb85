import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const BuyScreen = fetched(() => import('../../../src/job/screens.ts').then((screens) => screens.BuyScreen));

export default function JobBuy() {
  const { job } = useLocalSearchParams<{ job: string }>();
  return <BuyScreen jobId={job} />;
}
