export * from './words.ts';
export * from './flat.ts';
