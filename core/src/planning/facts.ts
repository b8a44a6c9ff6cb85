import {
  day,
  figure,
  flag,
  kind,
  moment,
  oneOf,
  orNull,
  parent,
  refersTo,
  text,
  type FactOf,
} from '../fields/index.ts';

/** What stands in a room while its floor is worked on. The newest for a room counts. */
export const furnishings = kind(
  'job',
  'Furniture of a room',
  {
    jobId: parent('jobs'),
    ofRoomId: refersTo('rooms'),
    /** Nothing stands there, it stands in another room of the job, or somewhere else. */
    goes: oneOf('none', 'room', 'elsewhere'),
    /** The room it stands in meanwhile, which nobody works in. */
    toRoomId: orNull(refersTo('rooms')),
    hours: figure(0, 40, 'h'),
    note: text(500),
  },
  { newestCounts: true },
);
export type Furnishing = FactOf<typeof furnishings>;

/** How a room is come into: whether it has a way in of its own besides the rooms it is joined to. */
export const waysIn = kind(
  'job',
  'Way into a room',
  { jobId: parent('jobs'), ofRoomId: refersTo('rooms'), isOwn: flag(), note: text(200) },
  { newestCounts: true },
);
export type WayIn = FactOf<typeof waysIn>;

export const SURPRISE_STATES = ['may-come', 'found', 'approved', 'refused'] as const;

/** Work that may come, or that came: what would show it, how likely it is, and what it takes. Found, it is a change that somebody decides. */
export const surprises = kind('job', 'Surprise', {
  jobId: parent('jobs'),
  ofRoomId: refersTo('rooms'),
  what: text(120),
  /** What would show it. */
  trigger: text(200),
  sharePct: figure(0, 100, '%'),
  hours: figure(0, 400, 'h'),
  /** Elapsed hours nobody works in: a repair that hardens. */
  waitH: figure(0, 2000, 'h'),
  /** Material and others’ work, in the job’s money; its hours are priced beside it. */
  cost: figure(0, 1e6),
  /** Before which work it is done. */
  before: oneOf('strip', 'level', 'lay'),
  state: oneOf(...SURPRISE_STATES),
  /** Making safe is done at once, whoever decides. */
  isMakingSafe: flag(),
  foundAt: orNull(moment()),
  decidedBy: text(80),
  decidedOn: day(),
  note: text(500),
});
export type Surprise = FactOf<typeof surprises>;
