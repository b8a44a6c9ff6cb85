import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../src/ui/fetched.tsx';

const CardScreen = fetched(() => import('../../src/cards/screens.ts').then((screen) => screen.CardScreen));

export default function Card() {
  const { card } = useLocalSearchParams<{ card: string }>();
  return <CardScreen cardId={card} />;
}
