import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const HeightsScreen = fetched(() =>
  import('../../../src/job/heights-screen.tsx').then((screen) => screen.HeightsScreen),
);

export default function JobHeights() {
  const { job } = useLocalSearchParams<{ job: string }>();
  return <HeightsScreen jobId={job} />;
}
