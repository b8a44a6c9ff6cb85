export { photos, type Photograph } from './facts.ts';
