export * from './words.ts';
export * from './flat.ts';
export * from './strip.ts';
export * from './damp.ts';
export * from './sound.ts';
