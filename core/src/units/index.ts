export * from './amounts.ts';
export * from './chance.ts';
export * from './length.ts';
export * from './uuid.ts';
