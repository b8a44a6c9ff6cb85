import { CardsScreen } from '../../src/cards/cards-screen.tsx';

export default function Cards() {
  return <CardsScreen />;
}
