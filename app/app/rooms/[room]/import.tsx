import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const ImportScreen = fetched(() => import('../../../src/room/import-screen.tsx').then((screen) => screen.ImportScreen));

export default function Import() {
  const { room } = useLocalSearchParams<{ room: string }>();
  return <ImportScreen roomId={room} />;
}
