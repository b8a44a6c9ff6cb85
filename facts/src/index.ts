export {
  bodyOf,
  BOOK_FACT_KINDS,
  emptyBook,
  emptyRoom,
  FACT_KINDS,
  firstPlaceOf,
  lastPlaceOf,
  factPath,
  isBookKind,
  isFactKind,
  isRoomKind,
  KINDS,
  listsOf,
  parentsOf,
  ROOM_FACT_KINDS,
  type BodyOf,
  type Book,
  type BookFactKind,
  type FactKind,
  type FactLists,
  type FactOf,
  type RoomFactKind,
  type RoomLists,
  type Stored,
  type Write,
  type WriteOf,
} from './kinds.ts';
export type { Made, Place } from './made.ts';
export { JOB_FILE_FORMAT, JOB_FILE_VERSION } from './format.ts';
export type { FieldProblem, Problem, SaidProblem } from './problem.ts';
export { QUESTIONS } from './questions.ts';
export { ownIdsOf, renamed } from './rename.ts';
export { largestWrite } from './size.ts';
export { carriedLevels } from './carried-levels.ts';
export { carriedOf, isOlder, upgraded, upgradedFact, upgradeJobFile, withLatest } from './upgrade.ts';
