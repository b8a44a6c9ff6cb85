export * from './check.ts';
export * from './facts.ts';
export * from './job-file.ts';
export * from './writes.ts';
