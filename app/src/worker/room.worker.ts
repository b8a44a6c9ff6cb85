import {
  assessRoom,
  boxesOfJob,
  compareStarts,
  heightsAfter,
  layPlanks,
  leastStepsOf,
  levellingOf,
  pictureOf,
  planLaying,
  planRoom,
  roomRunner,
  softSpots,
  rulePrices,
  surfacePicture,
  underPlanOf,
} from '@maquette/core';
import type { RoomAssessment, RoomRunner, RoomSet, SoftSpot, SurfacePicture } from '@maquette/core';
import { forecastProbe } from '@maquette/core/damp';
import { underEachSchool, type FloorSurface } from '@maquette/core/flat';
import { esriGrid } from '@maquette/core/formats';
import { programmedWay, ruleCosts, type Programmed } from '@maquette/core/levelling';
import { ScanProblem } from '@maquette/core/scan';
import '@maquette/words/rest';
import { inWords } from '@maquette/words';
import type { Answers, Ask, Crossing, CrossingRoom, Told } from './messages.ts';
import { answerCourse, answerWhatIfs } from './answer-course.ts';
import { answerHolds, answerPaper } from './answer-record.ts';
import { answerNames } from './answer-names.ts';
import { answerOutlines } from './answer-outlines.ts';
import { answerScan } from './answer-scan.ts';
import { answerText } from './answer-text.ts';
import { lineOf } from './line-of.ts';
import { openMixed, openModels } from './open-models.ts';

/** Keeps what the parts made of the room: it saves time and changes no answer. */
const runner = roomRunner();
/** The room as far as it has been sent. */
let set: RoomSet | null = null;
/** The map told ahead of the judgement it belongs to: it stays the same object when the judgement comes. */
let ahead: { of: FloorSurface['heights']; drawn: SurfacePicture } | null = null;

/** The set a question is about: what was sent before with what has changed since. */
function setOf({ changed }: CrossingRoom): RoomSet {
  if (changed.room && changed.room.id !== set?.room.id) set = null;
  // The first question about a room carries all of it.
  set = { ...set, ...changed } as RoomSet;
  return set;
}

function assess({ id, kind, atUtc }: CrossingRoom, facts: RoomSet): RoomAssessment {
  // The map is told at once: whoever keys readings sees each in it while the rules are still asked.
  const surfaced = (floor: FloorSurface) => {
    ahead = { of: floor.heights, drawn: surfacePicture(floor) };
    tell({ id, progress: { share: 0, drawn: ahead.drawn } });
  };
  return assessRoom(facts, atUtc, { runner, chance: kind === 'prove', ...(kind === 'judge' ? { surfaced } : {}) });
}

/** Works a way out by the programme, telling after each round how much is left over the rule. */
async function programmed(ask: Extract<CrossingRoom, { kind: 'programme' }>): Promise<Programmed | null> {
  const facts = setOf(ask);
  const work = levellingOf(facts, ask.atUtc, { runner });
  if (!work) return null;
  const open = await openModels();
  let first = 0;
  return programmedWay(work.job, ask.way, ask.pace, {
    open,
    progress: ({ rounds, worstMm }) => {
      first ||= worstMm;
      tell({ id: ask.id, progress: { share: 1 - Math.min(1, worstMm / first), rounds, worstMm } });
    },
  });
}

/** Rooms as they were judged for the fewest steps, and for panels: asked again, only what has changed is judged anew. */
const keptRooms = new Map<string, RoomRunner>();

/** Whether panels may be planned in a room, by the same judgement its own stage shows. */
const mayPanelAt = (atUtc: string) => (of: RoomSet) => {
  const kept = keptRooms.get(of.room.id) ?? roomRunner();
  keptRooms.set(of.room.id, kept);
  return assessRoom(of, atUtc, { runner: kept, parts: ['under'] }).under?.panelStops.length === 0;
};

/** Soft spots of the floor a set-out was last asked for: another start wall is another plan over the same floor. */
let softened: { flat: RoomAssessment['flat']; spots: SoftSpot[] } | null = null;

function softOf(facts: RoomSet, atUtc: string): SoftSpot[] {
  const assessment = assessRoom(facts, atUtc, { runner, parts: ['flat'] });
  if (softened?.flat !== assessment.flat) softened = { flat: assessment.flat, spots: softSpots(assessment, facts) };
  return softened.spots;
}

async function answer(ask: Crossing): Promise<Answers[Ask['kind']]> {
  if (ask.kind === 'forecast') {
    const { probe, limitPercent, plan } = ask.forecast;
    const progress = (share: number) => tell({ id: ask.id, progress: { share } });
    return forecastProbe(probe, limitPercent, plan, undefined, progress);
  }
  if (ask.kind === 'scan') return answerScan(ask.scan, (share) => tell({ id: ask.id, progress: { share } }));
  if (ask.kind === 'under' || ask.kind === 'layBoxes') {
    const { id, rooms } = ask;
    const told = (share: number) => tell({ id, progress: { share } });
    return ask.kind === 'under' ? underPlanOf(rooms, told, mayPanelAt(ask.atUtc)) : boxesOfJob(rooms, told);
  }
  if (ask.kind === 'course' || ask.kind === 'whatIfs') {
    const told = (share: number) => tell({ id: ask.id, progress: { share } });
    return ask.kind === 'course' ? answerCourse(ask.course, told) : answerWhatIfs(ask.course, told);
  }
  if (ask.kind === 'holds')
    return answerHolds(ask.rooms, ask.facts, ask.atUtc, (share) => tell({ id: ask.id, progress: { share } }));
  if (ask.kind === 'paper') return answerPaper(ask.paper, (share) => tell({ id: ask.id, progress: { share } }));
  if (ask.kind === 'text') return answerText(ask.text, (share) => tell({ id: ask.id, progress: { share } }));
  if (ask.kind === 'outlines')
    return answerOutlines(ask.outlines, (share) => tell({ id: ask.id, progress: { share } }));
  if (ask.kind === 'productNames') return answerNames(ask.names);
  if (ask.kind === 'programme') return programmed(ask);
  if (ask.kind === 'least') {
    const solve = await openMixed();
    return leastStepsOf(ask.rooms, ask.atUtc, solve, {
      coverings: ask.coverings,
      kept: keptRooms,
      tell: (share) => tell({ id: ask.id, progress: { share } }),
    });
  }
  const facts = setOf(ask);
  const share = (done: number) => tell({ id: ask.id, progress: { share: done } });
  if (ask.kind === 'lay')
    return planLaying(facts, {
      pace: ask.pace,
      soft: softOf(facts, ask.atUtc),
      open: ask.pace === 'long' ? await openModels() : null,
      tell: share,
    });
  if (ask.kind === 'layStarts') return compareStarts(facts, softOf(facts, ask.atUtc), share);
  if (ask.kind === 'layRules') return rulePrices(facts, softOf(facts, ask.atUtc), share);
  if (ask.kind === 'line') return lineOf(facts, ask.atUtc, runner, ask.prove);
  if (ask.kind === 'plan') return planRoom(facts, ask.atUtc, { runner });
  if (ask.kind === 'heights') return heightsAfter(facts, ask.atUtc, ask.after, { runner, others: ask.others });
  const assessment = assess(ask, facts);
  if (ask.kind === 'planks') return layPlanks(assessment, facts, ask.after);
  if (ask.kind === 'judge' || ask.kind === 'prove')
    return pictureOf(assessment, facts.room, facts.works, ahead?.of === assessment.flat?.heights ? ahead?.drawn : null);
  if (ask.kind === 'grid') return assessment.flat ? esriGrid(assessment.flat.judged, assessment.flat.surfaceMm) : null;
  const schools = assessment.flat ? underEachSchool(assessment.flat, facts.card.rules, facts.room.contactsOnly) : [];
  if (ask.kind === 'schools') return schools;
  const work = levellingOf(facts, ask.atUtc, { runner });
  return work ? ruleCosts(work.job, schools) : [];
}

/** Why there is no answer. What is wrong with a file is said; lengths of a scan are metres whatever the room's units. */
const reasonOf = (error: unknown) =>
  error instanceof ScanProblem ? inWords(error.said, 'metric') : error instanceof Error ? error.message : String(error);

const tell = (told: Told) => self.postMessage(told);

self.onmessage = async (event: MessageEvent<Crossing>) => {
  const started = performance.now();
  let told: Told;
  try {
    told = { id: event.data.id, ok: true, answer: await answer(event.data), tookMs: performance.now() - started };
  } catch (error) {
    told = { id: event.data.id, ok: false, reason: reasonOf(error) };
  }
  tell(told);
};
