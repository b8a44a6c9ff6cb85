export * from './amounts.ts';
export * from './length.ts';
export * from './uuid.ts';
