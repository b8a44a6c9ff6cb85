export * from './slab.ts';
export * from './fit.ts';
export * from './forecast.ts';
export * from './rule-of-thumb.ts';
