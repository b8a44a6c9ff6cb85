export * from './words.ts';
export * from './flat.ts';
export * from './strip.ts';
