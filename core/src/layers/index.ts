export * from './facts.ts';
export * from './kinds.ts';
export * from './section.ts';
export * from './table.ts';
