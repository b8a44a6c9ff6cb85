import type { CoveringCard } from '@maquette/core/coverings';
import type {
  LayPace,
  BoxesOfJob,
  LayPlan,
  LeastAnswer,
  LevelledBy,
  RoomPicture,
  RoomSet,
  RulePrice,
  StartCompared,
  SurfacePicture,
  UnderPlan,
} from '@maquette/core';
import type { DryingForecast, ProbeSeries } from '@maquette/core/damp';
import type { DryingPlan } from '@maquette/core/drying';
import type { Placement, Rings, SchoolResult } from '@maquette/core/flat';
import type { Change, LevellingPlan, Pace, Programmed, RuleCost, WayId } from '@maquette/core/levelling';
import type { PlankReport } from '@maquette/core/planks';
import type { JobCourse, JobFacts, NamedCards, WhatIf } from '@maquette/core/planning';
import type { HoldPoint, ReportJob } from '@maquette/core/report';
import type { DrawnUnit, OfferedRooms } from '@maquette/core/formats/outlines';
import type { Plan } from '@maquette/core/room';
import type { UnitSystem } from '@maquette/core/units';
import type { PaperAsk } from './paper-ask.ts';
import type { RoomLine } from './kept-lines.ts';
import type { KnownHeight, ReadScan, ScanPlace, UpAxis } from '@maquette/core/scan';

/** A forecast asked for: which probe, to which limit, under which air. */
export interface ForecastAsk {
  probe: ProbeSeries;
  limitPercent: number;
  plan: DryingPlan;
}

/** A scan's file to be read, and what it is to be laid on. */
export interface ScanAsk {
  file: Blob;
  up: UpAxis | null;
  plan: Plan;
  known: KnownHeight[];
}

/** A scan read, where it is proposed to lie, and what is drawn of it in its own frame: floor seen, highs and lows, walls. */
export interface ScanAnswer extends ReadScan {
  place: ScanPlace;
  drawn: { seen: Rings; highs: Rings; lows: Rings; walls: [number, number][] };
}

/** A text file to be read, as many of its lines as will do. */
export interface TextAsk {
  file: Blob;
  linesMost: number;
}

/** A drawing or table of rooms to be read, in a unit that was chosen or the likeliest. */
export interface OutlinesAsk {
  file: Blob;
  unit: DrawnUnit | null;
  units: UnitSystem;
}

/** Products whose names are asked for by the ids their packs are counted under. */
export interface NamesAsk {
  ids: readonly string[];
  cards: readonly NamedCards[];
  units: UnitSystem;
}

/** Its first lines, how many it has, and whether there were more than were wanted. */
export interface TextAnswer {
  text: string;
  lines: number;
  cut: boolean;
}

interface FromFacts {
  id: number;
  /** Asked with the whole set; what crosses to the worker of it is only what has changed since the last question. */
  set: RoomSet;
  atUtc: string;
}

type RoomAsk = FromFacts & {
  kind: 'judge' | 'prove' | 'schools' | 'plan' | 'grid' | 'rules' | 'layStarts' | 'layRules';
};
/** A line of the site book; `prove` asks for all there is to say of the room, whatever time it takes. */
type LineAsk = FromFacts & { kind: 'line'; prove: boolean };
/** Planks laid over the floor as it is, or as a way would leave it. */
type PlanksAsk = FromFacts & { kind: 'planks'; after: Change | null };
/** Planks set out: while something is changed, or longer until it is proved least. */
type LayAsk = FromFacts & { kind: 'lay'; pace: LayPace };
/** Heights over the floor as a way would leave it; over the floor as it lies they come with the picture. */
type HeightsAsk = FromFacts & {
  kind: 'heights';
  after: LevelledBy | null;
  /** What levels the rooms it is joined to, by their ids; left out they lie as they are. */
  others?: ReadonlyMap<string, LevelledBy>;
};

/** A way to be worked out by the programme, its nodes so many cells apart. */
export type ProgrammeAsk = FromFacts & { kind: 'programme'; way: WayId; pace: Pace };

/** A question as it crosses: of a room's facts only what the worker has not been sent yet. */
export type Crossing = Exclude<Ask, { set: RoomSet }> | CrossingRoom;
export type CrossingRoom =
  Extract<Ask, { set: RoomSet }> extends infer A
    ? A extends unknown
      ? Omit<A, 'set'> & { changed: Partial<RoomSet> }
      : never
    : never;

/** Something over all rooms of a job at once. */
interface OverJob<K> {
  id: number;
  kind: K;
  rooms: RoomSet[];
  atUtc: string;
}

/** A job with what it is planned from; `key` tells of each room whether it was sent before. */
export interface CourseAsk {
  rooms: { roomId: string; key: string; set: RoomSet; answers: RoomSet['answers'] }[];
  facts: JobFacts;
  atUtc: string;
  /** A covering that is tried in place of the one most rooms take; none where it is left out. */
  otherCard?: CoveringCard;
}

/** What the screen asks of the worker. */
export type Ask =
  | RoomAsk
  | LineAsk
  | LayAsk
  | ProgrammeAsk
  | PlanksAsk
  | HeightsAsk
  | { id: number; kind: 'least'; rooms: RoomSet[]; coverings: CoveringCard[]; atUtc: string }
  | OverJob<'under'>
  | OverJob<'layBoxes'>
  | { id: number; kind: 'course'; course: CourseAsk }
  | { id: number; kind: 'whatIfs'; course: CourseAsk }
  | { id: number; kind: 'holds'; rooms: RoomSet[]; facts: Pick<ReportJob, 'coverUps' | 'seals'>; atUtc: string }
  | { id: number; kind: 'paper'; paper: PaperAsk }
  | { id: number; kind: 'forecast'; forecast: ForecastAsk }
  | { id: number; kind: 'text'; text: TextAsk }
  | { id: number; kind: 'outlines'; outlines: OutlinesAsk }
  | { id: number; kind: 'productNames'; names: NamesAsk }
  | { id: number; kind: 'scan'; scan: ScanAsk };

/** Where planks would be soft, and for a glued covering what would show through. */
export interface PlanksAnswer {
  report: PlankReport;
  showing: Placement[] | null;
}

/** What the site book says of a room, and the picture it opens with; null while there is more to find out. */
export interface LineAnswer {
  line: RoomLine;
  picture: RoomPicture | null;
}

export interface Answers {
  line: LineAnswer;
  lay: LayPlan | null;
  layStarts: StartCompared[];
  layRules: RulePrice[];
  /** Boxes of planks over all rooms of a job. */
  layBoxes: BoxesOfJob[];
  judge: RoomPicture;
  /** The same with how sure it is. */
  prove: RoomPicture;
  schools: SchoolResult[];
  plan: LevellingPlan | null;
  programme: Programmed | null;
  /** Heights as an ESRI ASCII grid; null where nothing is read. */
  grid: string | null;
  /** What the smallest fill would cost under each common rule. */
  rules: RuleCost[];
  planks: PlanksAnswer | null;
  heights: NonNullable<RoomPicture['heights']>;
  least: LeastAnswer;
  /** Panels and rolls of all rooms of a job. */
  under: UnderPlan;
  /** Days, bill and price of a job. */
  course: JobCourse;
  whatIfs: WhatIf[];
  /** Hold points of every room of a job. */
  holds: HoldPoint[];
  /** A paper as one HTML file. */
  paper: string;
  forecast: DryingForecast;
  scan: ScanAnswer;
  text: TextAnswer;
  outlines: OfferedRooms;
  /** Names as they are read, by id. */
  productNames: ReadonlyMap<string, string>;
}

/** How far a piece of work is: a share, of a programme its rounds and the worst edge left (mm over the rule), of a judgement the map. */
export interface Progress {
  share: number;
  drawn?: SurfacePicture;
  rounds?: number;
  worstMm?: number;
}

/** What comes back: how far it is, an answer, or why there is none. */
export type Told =
  | { id: number; ok: true; answer: Answers[Ask['kind']]; tookMs: number }
  | { id: number; ok: false; reason: string }
  | { id: number; progress: Progress };
