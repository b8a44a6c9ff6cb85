import { fetched } from '../../../src/ui/fetched.tsx';

const UnderCardsScreen = fetched(() =>
  import('../../../src/cards/screens.ts').then((screen) => screen.UnderCardsScreen),
);

export default function UnderCards() {
  return <UnderCardsScreen />;
}
