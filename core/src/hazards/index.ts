export * from './cutoffs.ts';
export * from './gate.ts';
export * from './methods.ts';
export * from './state.ts';
