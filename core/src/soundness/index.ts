export * from './facts.ts';
export * from './extent.ts';
export * from './treatment.ts';
export * from './walk.ts';
export * from './lips.ts';
