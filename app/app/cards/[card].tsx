import { useLocalSearchParams } from 'expo-router';
import { CardScreen } from '../../src/cards/card-screen.tsx';

export default function Card() {
  const { card } = useLocalSearchParams<{ card: string }>();
  return <CardScreen cardId={card} />;
}
