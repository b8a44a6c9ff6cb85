export { type Beam, restOf } from './beam.ts';
export { plankMake, type PlankReport, planksOver, telegraphing } from './rows.ts';
export { TELEGRAPH } from './telegraph.ts';
