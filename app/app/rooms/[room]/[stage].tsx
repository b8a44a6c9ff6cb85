import { useLocalSearchParams } from 'expo-router';
import { RoomScreen } from '../../../src/room/room-screen.tsx';

export default function Room() {
  const { room, stage } = useLocalSearchParams<{ room: string; stage: string }>();
  return <RoomScreen key={room} roomId={room} stage={stage} />;
}
