import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const RoomScreen = fetched(() => import('../../../src/room/room-screen.tsx').then((screen) => screen.RoomScreen));

export default function Room() {
  const { room, stage } = useLocalSearchParams<{ room: string; stage: string }>();
  return <RoomScreen key={room} roomId={room} stage={stage} />;
}
