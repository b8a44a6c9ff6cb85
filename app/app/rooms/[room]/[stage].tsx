import { useEffect } from 'react';
import { useLocalSearchParams } from 'expo-router';
import { prepareWords } from '@maquette/words';
import { STAGES } from '../../../src/stages/stages.ts';
import { fetched } from '../../../src/ui/fetched.tsx';
import { keptPictures } from '../../../src/worker/kept-pictures.ts';
import { warmWorker } from '../../../src/worker/start-worker.ts';

const RoomScreen = fetched(() => import('../../../src/room/room-screen.tsx').then((screen) => screen.RoomScreen));

export default function Room() {
  const { room, stage } = useLocalSearchParams<{ room: string; stage: string }>();
  // The room's screen, its stage and the worker are read side by side, not one after the other.
  useEffect(warmWorker, []);
  useEffect(prepareWords, []);
  useEffect(() => keptPictures.prepare(room), [room]);
  useEffect(() => STAGES.find(({ id }) => id === stage)?.prepare(), [stage]);
  return <RoomScreen key={room} roomId={room} stage={stage} />;
}
