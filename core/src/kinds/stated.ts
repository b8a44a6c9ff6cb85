import * as air from '../air/facts.ts';
import * as bill from '../bill/facts.ts';
import * as coverings from '../coverings/facts.ts';
import * as damp from '../damp/facts.ts';
import * as dampQuestions from '../damp/questions.ts';
import * as common from '../fields/kind.ts';
import * as figures from '../figures/facts.ts';
import * as flat from '../flat/facts.ts';
import * as heights from '../heights/facts.ts';
import * as heightQuestions from '../heights/questions.ts';
import * as hazardQuestions from '../hazards/questions.ts';
import * as job from '../job/facts.ts';
import * as layers from '../layers/facts.ts';
import * as levelling from '../levelling/facts.ts';
import * as planning from '../planning/facts.ts';
import * as record from '../record/facts.ts';
import * as room from '../room/facts.ts';
import * as scan from '../scan/facts.ts';
import * as schedule from '../schedule/facts.ts';
import * as setout from '../setout/facts.ts';
import * as setoutQuestions from '../setout/questions.ts';
import * as soundness from '../soundness/facts.ts';
import * as stripout from '../stripout/facts.ts';
import * as schools from '../stripout/schools.ts';
import * as underCards from '../under/card-facts.ts';
import * as under from '../under/facts.ts';
import * as underQuestions from '../under/questions.ts';

/** What the parts of the work state: their kinds of fact and their questions are found in here by what they are. */
export const STATED = {
  ...job,
  ...figures,
  ...coverings,
  ...room,
  ...flat,
  ...layers,
  ...common,
  ...stripout,
  ...soundness,
  ...record,
  ...air,
  ...damp,
  ...scan,
  ...levelling,
  ...heights,
  ...underCards,
  ...under,
  ...setout,
  ...schedule,
  ...planning,
  ...bill,
};

/** Modules that ask questions. */
export const ASKED: readonly object[] = [
  hazardQuestions,
  schools,
  dampQuestions,
  levelling,
  heightQuestions,
  underQuestions,
  setoutQuestions,
];
