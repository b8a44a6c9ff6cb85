import { fetched } from '../../src/ui/fetched.tsx';

const CardsScreen = fetched(() => import('../../src/cards/cards-screen.tsx').then((screen) => screen.CardsScreen));

export default function Cards() {
  return <CardsScreen />;
}
