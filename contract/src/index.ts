export * from './check.ts';
export * from './facts.ts';
export * from './job-file.ts';
export * from './writes.ts';
export * from './room-write.ts';
export * from './write.ts';
export * from './strip-writes.ts';
export * from './upgrade.ts';
