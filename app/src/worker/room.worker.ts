import { assessRoom, layPlanks, levellingOf, pictureOf, planRoom, surfacePicture } from '@maquette/core';
import type { RoomAssessment, SurfacePicture } from '@maquette/core';
import { forecastProbe } from '@maquette/core/damp';
import { flatMemo, underEachSchool, type FlatMemo, type FloorSurface } from '@maquette/core/flat';
import { esriGrid } from '@maquette/core/formats';
import { programmedWay, ruleCosts, type Programmed } from '@maquette/core/levelling';
import type { Answers, Ask, ProgrammeAsk, Told } from './messages.ts';
import { answerScan } from './answer-scan.ts';
import { openModels } from './open-models.ts';

/** Work kept from one judgement of a room to the next: it saves time and changes no answer. */
const memos = new Map<string, FlatMemo>();
let last: { key: string; assessment: RoomAssessment; drawn: SurfacePicture | null } | null = null;

function assess({ id, kind, facts, card, atUtc }: Exclude<Ask, { kind: 'forecast' | 'scan' }>): RoomAssessment {
  // Evidence grows old by the day, not by the second.
  const key = JSON.stringify([facts, card, atUtc.slice(0, 10)]);
  const chance = kind === 'prove';
  if (last?.key === key && (!chance || last.assessment.chance)) return last.assessment;
  const memo = memos.get(facts.room.id) ?? flatMemo();
  memos.clear();
  memos.set(facts.room.id, memo);
  let drawn: SurfacePicture | null = null;
  // The map is told at once: whoever keys readings sees each in it while the rules are still asked.
  const surfaced = (floor: FloorSurface) =>
    tell({ id, progress: { share: 0, drawn: (drawn = surfacePicture(floor)) } });
  const options = kind === 'judge' ? { memo, surfaced } : { memo, chance };
  last = { key, assessment: assessRoom(facts, card, atUtc, options), drawn };
  return last.assessment;
}

/** Works a way out by the programme, telling after each round how much is left over the rule. */
async function programmed(ask: ProgrammeAsk): Promise<Programmed | null> {
  const work = levellingOf(assess(ask), ask.facts);
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

async function answer(ask: Ask): Promise<Answers[Ask['kind']]> {
  if (ask.kind === 'forecast') {
    const { probe, limitPercent, plan } = ask.forecast;
    const progress = (share: number) => tell({ id: ask.id, progress: { share } });
    return forecastProbe(probe, limitPercent, plan, undefined, progress);
  }
  if (ask.kind === 'scan') return answerScan(ask.scan, (share) => tell({ id: ask.id, progress: { share } }));
  if (ask.kind === 'programme') return programmed(ask);
  if (ask.kind === 'planks') return layPlanks(assess(ask), ask.facts, ask.card, ask.after);
  const assessment = assess(ask);
  if (ask.kind === 'judge' || ask.kind === 'prove')
    return pictureOf(assessment, ask.facts.room, ask.facts.flat.works, last?.drawn);
  if (ask.kind === 'plan') return planRoom(assessment, ask.facts);
  if (ask.kind === 'grid') return assessment.flat ? esriGrid(assessment.flat.judged, assessment.flat.surfaceMm) : null;
  const schools = assessment.flat ? underEachSchool(assessment.flat, ask.card.rules, ask.facts.room.contactsOnly) : [];
  if (ask.kind === 'schools') return schools;
  const work = levellingOf(assessment, ask.facts);
  return work ? ruleCosts(work.job, schools) : [];
}

const tell = (told: Told) => self.postMessage(told);

self.onmessage = async (event: MessageEvent<Ask>) => {
  const started = performance.now();
  let told: Told;
  try {
    told = { id: event.data.id, ok: true, answer: await answer(event.data), tookMs: performance.now() - started };
  } catch (error) {
    told = { id: event.data.id, ok: false, reason: error instanceof Error ? error.message : String(error) };
  }
  tell(told);
};
