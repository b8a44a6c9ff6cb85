import { useLocalSearchParams } from 'expo-router';
import { fetched } from '../../../src/ui/fetched.tsx';

const UnderCardScreen = fetched(() => import('../../../src/cards/screens.ts').then((screen) => screen.UnderCardScreen));

export default function UnderCard() {
  const { card } = useLocalSearchParams<{ card: string }>();
  return <UnderCardScreen cardId={card} />;
}
