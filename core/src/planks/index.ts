export * from './beam.ts';
export * from './rows.ts';
