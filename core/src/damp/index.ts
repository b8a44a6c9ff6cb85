export * from './facts.ts';
export * from './judge.ts';
export * from './methods.ts';
export * from './needs.ts';
export * from './result.ts';
export * from './series.ts';
export * from './values.ts';
export * from './ways-out.ts';
