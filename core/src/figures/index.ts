export * from './figures.ts';
