export * from './card.ts';
export * from './rules.ts';
