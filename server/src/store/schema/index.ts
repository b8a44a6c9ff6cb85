export * from './book.ts';
export * from './strip.ts';
export * from './damp.ts';
export * from './flat.ts';
export * from './sound.ts';
export * from './record.ts';
export * from './level.ts';
