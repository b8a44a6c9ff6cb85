export * from './decode.ts';
export * from './rod-columns.ts';
export * from './rod-export.ts';
export * from './rod-file.ts';
