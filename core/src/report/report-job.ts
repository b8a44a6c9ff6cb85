import type { RoomAssessment } from '../assess/assess-room.ts';
import { assessRoom, roomRunner } from '../assess/assess-room.ts';
import { pictureOf, type RoomPicture } from '../assess/picture.ts';
import type { RoomSet } from '../assess/room-set.ts';
import type { Quotation, PackCount } from '../bill/facts.ts';
import type { OwnFigure } from '../figures/index.ts';
import { certify, type Certificate } from '../levelling/index.ts';
import type { Approval, Contact, CoverUp, HandOver, Seal } from '../record/index.ts';
import type { KeptPlan } from '../schedule/facts.ts';

/** A room as a report shows it: judged now, and as its floor was before anything was levelled. */
export interface ReportRoom {
  set: RoomSet;
  assessment: RoomAssessment;
  picture: RoomPicture;
  /** Null where nothing was levelled, or nothing was read before. */
  before: RoomPicture | null;
  /** Of a floor inside its rules each rule held against it anew, in every direction that counts; empty where one is not kept. */
  certificates: readonly Certificate[];
}

/** A fact that was corrected or removed: what stood, what stands, when and by whom. */
export interface CorrectedFact {
  kind: string;
  id: string;
  /** Fields that changed, as they stood and as they stand; a removed fact has none. */
  fields: readonly { field: string; was: string; is: string }[];
  isRemoved: boolean;
  at: string;
  by: string;
}

/** A photograph of the record: which picture it is, by the digest it is named by; null while it has not arrived. */
export interface ReportPhoto {
  id: string;
  roomId: string;
  sha256: string | null;
}

/** A write whose device’s clock was off by more than is passed over, ms. */
export interface SkewedClock {
  device: string;
  skewMs: number;
  writes: number;
}

/** Everything a report is made of. */
export interface ReportJob {
  jobId: string;
  name: string;
  currency: string;
  atUtc: string;
  /** Version of the product that makes it. */
  edition: string;
  rooms: readonly ReportRoom[];
  /** Names of rooms whose covering has no card any more: no rule says what their floor has to keep. */
  unjudged: readonly string[];
  figures: readonly OwnFigure[];
  keptPlans: readonly KeptPlan[];
  quotations: readonly Quotation[];
  packCounts: readonly PackCount[];
  coverUps: readonly CoverUp[];
  seals: readonly Seal[];
  contacts: readonly Contact[];
  approvals: readonly Approval[];
  handOvers: readonly HandOver[];
  photographs: readonly ReportPhoto[];
  corrected: readonly CorrectedFact[];
  skewed: readonly SkewedClock[];
  /** Versions of facts by id. */
  versions: ReadonlyMap<string, number>;
  /** The chain it stands on; null where it was made without one. */
  chain: { digest: string; facts: number } | null;
}

/** Facts of a floor as it was before the first levelling. */
function beforeLevelling(set: RoomSet): RoomSet | null {
  const first = set.works.map(({ doneAt }) => doneAt).sort()[0];
  if (first === undefined) return null;
  const readings = set.readings.filter(({ takenAt }) => takenAt < first);
  if (readings.length === 0) return null;
  const early = <T extends { takenAt: string }>(list: readonly T[]) => list.filter(({ takenAt }) => takenAt < first);
  return { ...set, works: [], readings, edgeWalks: early(set.edgeWalks), scans: early(set.scans) };
}

/** Before a report says that a floor lies inside its rules it looks along more lines than a judgement does. */
function certificatesOf({ room }: RoomSet, { flat }: RoomAssessment, { map, rules }: RoomPicture): Certificate[] {
  if (!flat || !map || rules.some(({ overMm }) => overMm > 0)) return [];
  return rules.map(({ rule }) => certify(flat.judged, flat.surfaceMm, rule, room.contactsOnly));
}

/** A room judged for a report: the same facts at the same time are judged the same. */
export function reportRoom(set: RoomSet, atUtc: string): ReportRoom {
  // Before a verdict passes a floor it is tried on floors that fit its readings.
  const assessment = assessRoom(set, atUtc, { runner: roomRunner(), chance: true });
  const then = beforeLevelling(set);
  const picture = pictureOf(assessment, set.room, set.works);
  return {
    set,
    assessment,
    picture,
    certificates: certificatesOf(set, assessment, picture),
    before: then && pictureOf(assessRoom(then, atUtc, { parts: ['flat'] }), set.room),
  };
}
