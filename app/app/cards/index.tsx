import { fetched } from '../../src/ui/fetched.tsx';

const CardsScreen = fetched(() => import('../../src/cards/screens.ts').then((screen) => screen.CardsScreen));

export default function Cards() {
  return <CardsScreen />;
}
