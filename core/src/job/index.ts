export { BLANK_JOB, jobs } from './facts.ts';
