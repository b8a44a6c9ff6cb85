export * from './geometry.ts';
export * from './outline.ts';
export * from './place.ts';
export * from './room.ts';
