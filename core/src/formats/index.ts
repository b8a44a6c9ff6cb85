export * from './decode.ts';
export * from './rod-columns.ts';
export * from './rod-export.ts';
export * from './rod-file.ts';
export * from './climate-file.ts';
export * from './probe-file.ts';
export * from './evidence.ts';
