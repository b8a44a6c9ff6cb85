export { type Beam, restOf } from './beam.ts';
export { plankMake, type PlankReport, planksOver, TELEGRAPH, telegraphing } from './rows.ts';
