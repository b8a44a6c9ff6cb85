export {
  country,
  cells,
  day,
  figure,
  flag,
  group,
  key,
  list,
  mayLack,
  moment,
  oneOf,
  orNull,
  ownId,
  parent,
  refersTo,
  text,
  whole,
  within,
  type Field,
  type Fields,
  type Held,
  type HeldBy,
  type Spec,
  type Unit,
} from './field.ts';
export { answers, kind, type BodyOf, type FactOf, type Home, type Kind, type Logged } from './kind.ts';
export { answerTo, question, type Answer, type AnswerOf, type AnswerValue, type Question } from './question.ts';
export { together, type LoggedLine } from './logged.ts';
