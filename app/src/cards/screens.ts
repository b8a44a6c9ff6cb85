// Screens of cards come in one file of their own: they share what cards are made of, and nothing else does.
export { CardScreen } from './card-screen.tsx';
export { CardsScreen } from './cards-screen.tsx';
export { UnderCardScreen } from './under-card-screen.tsx';
export { UnderCardsScreen } from './under-cards-screen.tsx';
