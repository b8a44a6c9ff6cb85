export * from './certificate.ts';
export * from './compound.ts';
export * from './fill.ts';
export * from './patches.ts';
export * from './plan.ts';
export * from './plane.ts';
