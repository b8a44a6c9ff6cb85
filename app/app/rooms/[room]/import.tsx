import { useLocalSearchParams } from 'expo-router';
import { ImportScreen } from '../../../src/room/import-screen.tsx';

export default function Import() {
  const { room } = useLocalSearchParams<{ room: string }>();
  return <ImportScreen roomId={room} />;
}
