export * from './figure.ts';
export * from './figures.ts';
export * from './levelling-figures.ts';
