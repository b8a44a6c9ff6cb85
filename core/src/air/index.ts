export * from './facts.ts';
export * from './psychrometrics.ts';
export * from './history.ts';
