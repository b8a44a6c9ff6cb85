import { say } from '../said/index.ts';
import {
  day,
  figure,
  flag,
  key,
  kind,
  list,
  moment,
  oneOf,
  orNull,
  parent,
  refersTo,
  text,
  whole,
  type FactOf,
} from '../fields/index.ts';
import { SHEET_MM } from '../room/index.ts';

/** What a photograph may be of. */
export const PHOTO_SUBJECTS = [
  'room',
  'layer',
  'step',
  'mark',
  'sample',
  'damp',
  'air',
  'box',
  'edge',
  'work',
  'cover',
] as const;

/** What a photograph is of and where it was taken; the picture itself is sent apart. */
export const photos = kind(
  'room',
  'Photograph',
  {
    about: oneOf(...PHOTO_SUBJECTS),
    aboutId: key(200),
    xMm: orNull(figure(-SHEET_MM, SHEET_MM, 'mm')),
    yMm: orNull(figure(-SHEET_MM, SHEET_MM, 'mm')),
    takenAt: moment(),
    note: text(500),
    /** SHA-256 of the file as the camera made it, taken on the device; empty where it was not taken. */
    originalSha256: text(64),
  },
  {
    since: { originalSha256: '' },
    logged: {
      as: 'photo',
      line: ({ takenAt, about }) => ({ at: takenAt, what: say('formats.photographOf', { about }) }),
    },
  },
);
export type Photograph = FactOf<typeof photos>;

/** Work that hides what lies beneath it, in the order in which it comes. */
export const COVERS = ['pour', 'membrane', 'underlay', 'planks'] as const;
export type Cover = (typeof COVERS)[number];

/** What was covered up, and what of its evidence was missing by then. The newest for a room and a cover counts. */
export const coverUps = kind(
  'job',
  'Covered up',
  {
    jobId: parent('jobs'),
    ofRoomId: refersTo('rooms'),
    cover: oneOf(...COVERS),
    coveredAt: moment(),
    by: text(80),
    missing: list(text(300), 'things missing', 80),
    /** Why it was covered all the same. */
    reason: text(300),
    note: text(500),
  },
  { newestCounts: true },
);
export type CoverUp = FactOf<typeof coverUps>;

const SHA256_CHARACTERS = 64;
const digest = () => text(SHA256_CHARACTERS);
/** Facts and photographs a bundle may hold. */
const HELD_MOST = 1_000_000;

/** A sealed bundle: its seal and what it holds. The bundle itself is kept beside the facts. */
export const seals = kind('job', 'Seal', {
  jobId: parent('jobs'),
  sealedAt: moment(),
  /** What it was sealed for; `asked` for no work in particular. */
  sealedFor: oneOf(...COVERS, 'hand-over', 'asked'),
  ofRoomId: orNull(refersTo('rooms')),
  sealSha256: digest(),
  /** Last digest of the chain of facts, and the digest of the key that signed. */
  chainSha256: digest(),
  keySha256: digest(),
  facts: whole(0, HELD_MOST),
  photographs: whole(0, HELD_MOST),
  note: text(500),
});
export type Seal = FactOf<typeof seals>;

/** Who is told of a seal, and how they are reached. */
export const contacts = kind('job', 'Contact', {
  jobId: parent('jobs'),
  name: text(80),
  role: oneOf('client', 'contractor', 'maker', 'other'),
  reach: text(200),
  note: text(500),
});
export type Contact = FactOf<typeof contacts>;

const CENTS_MOST = 1_000_000_000;
/** A stroke of a signature, as a path of a drawing. */
const SIGNATURE_MOST = 20_000;

/** How much may be agreed to go up unasked. */
const UNASKED_MOST = { cents: 1_000_000, days: 60 };

/** What a client approved or refused, as it was shown: later prices and dates are held against it. */
export const approvals = kind(
  'job',
  'Approval',
  {
    jobId: parent('jobs'),
    /** What was decided: `plan` for the job as quoted, or a change by its id. */
    about: key(200),
    what: text(300),
    isApproved: flag(),
    cents: whole(-CENTS_MOST, CENTS_MOST),
    promisedDay: day(),
    by: text(80),
    givenAt: moment(),
    /** Digest of the page that was on the screen. */
    pageSha256: digest(),
    note: text(500),
    /** How much price and day may go up before it is asked again, as it was agreed when it was given. */
    unaskedCents: whole(0, UNASKED_MOST.cents),
    unaskedDays: whole(0, UNASKED_MOST.days),
  },
  { since: { unaskedCents: 0, unaskedDays: 0 } },
);
export type Approval = FactOf<typeof approvals>;

/** A job handed over: who took it, what was left with it, and from when the rooms may be used. */
export const handOvers = kind(
  'job',
  'Hand-over',
  {
    jobId: parent('jobs'),
    handedAt: moment(),
    by: text(80),
    signature: text(SIGNATURE_MOST),
    sparePlanks: whole(0, 2000),
    batch: text(120),
    furnitureFrom: day(),
    note: text(500),
  },
  { newestCounts: true },
);
export type HandOver = FactOf<typeof handOvers>;
