export { findFacts, questionOf, type FoundValue, type Hit, type Searchable } from './find.ts';
