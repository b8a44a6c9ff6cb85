import {
  day,
  flag,
  group,
  key,
  kind,
  list,
  moment,
  oneOf,
  orNull,
  parent,
  text,
  whole,
  type FactOf,
} from '../fields/index.ts';
import { HOLIDAY_PLACES } from './holidays.ts';

const MINUTES = 24 * 60;
const minute = () => whole(0, MINUTES, 'min');
const TASKS_MOST = 400;

/** When people work on a job: hours of each weekday (Sunday being 0), holidays by rule, and hours in which loud work may go on. */
export const siteWeeks = kind(
  'job',
  'Working week',
  {
    jobId: parent('jobs'),
    hours: list(group({ weekday: whole(0, 6), fromMin: minute(), toMin: minute() }), 'working hours', 21),
    holidays: oneOf('none', ...HOLIDAY_PLACES),
    loudFromMin: minute(),
    loudToMin: minute(),
    note: text(500),
  },
  { newestCounts: true },
);
export type SiteWeek = FactOf<typeof siteWeeks>;

/** One day that is not as its week has it: free, a part day, or worked although it is a holiday. */
export const siteDays = kind('job', 'Day of its own', {
  jobId: parent('jobs'),
  day: day(),
  isFree: flag(),
  fromMin: minute(),
  toMin: minute(),
  /** Whose day it is: everybody's on site, or that of another trade. */
  whose: oneOf('site', 'sampler', 'licensed'),
  note: text(200),
});
export type SiteDay = FactOf<typeof siteDays>;

/** A plan as it was agreed and written into calendars: what is worked out later is held against it. */
export const keptPlans = kind(
  'job',
  'Plan kept',
  {
    jobId: parent('jobs'),
    keptAt: moment(),
    /** Counts on with every plan that is kept. */
    edition: whole(1, 100_000),
    places: list(group({ key: key(200), words: text(200), fromAt: moment(), toAt: moment() }), 'tasks', TASKS_MOST),
    /** Keys in the order by which it was made. */
    inOrder: list(key(200), 'tasks in order', TASKS_MOST),
    layingAt: orNull(moment()),
    /** Day that was promised: four of five draws keep it. */
    promisedDay: day(),
    note: text(500),
  },
  { newestCounts: true },
);
export type KeptPlan = FactOf<typeof keptPlans>;

/** A task held back: it begins no earlier, whatever else would let it. The newest for a task counts. */
export const taskHolds = kind(
  'job',
  'Task held back',
  { jobId: parent('jobs'), key: key(200), notBefore: orNull(moment()), note: text(200) },
  { newestCounts: true },
);
export type TaskHold = FactOf<typeof taskHolds>;
