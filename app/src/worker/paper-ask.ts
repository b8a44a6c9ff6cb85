import type { RoomSet } from '@maquette/core';
import type { PaperSize } from '@maquette/core/paper';
import type { JobCourse } from '@maquette/core/planning';
import type { Decision, ReportJob } from '@maquette/core/report';
import type { UnitSystem } from '@maquette/core/units';

/** A room of a record, with every answer of it. */
export interface RecordRoom {
  set: RoomSet;
  answers: RoomSet['answers'];
}

/** What of a record crosses to the worker besides its rooms. */
export type RecordFacts = Omit<ReportJob, 'rooms' | 'versions' | 'edition' | 'corrected' | 'skewed' | 'chain'>;

/** Papers that are made on the device: over the whole job, or of one room. */
export type JobPaper = 'report' | 'client' | 'hand-over' | 'days' | 'shopping' | 'rolls' | 'ramps';
export type RoomPaper = 'stations' | 'chalk' | 'cuts';

export interface PaperAsk {
  paper: JobPaper | RoomPaper;
  rooms: readonly RecordRoom[];
  /** The room a paper is of; null where it is of them all. */
  roomId: string | null;
  facts: RecordFacts;
  /** Days and bill, where they are worked out. */
  course: Pick<JobCourse, 'days' | 'bill'> | null;
  decisions: readonly Decision[];
  units: UnitSystem;
  zone: string;
  size: PaperSize;
  /** Address of the page in the app that shows the same; empty where none does. */
  address: string;
}
