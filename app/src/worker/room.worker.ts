import { assessRoom, pictureOf, planRoom, type RoomAssessment } from '@maquette/core';
import { forecastProbe } from '@maquette/core/damp';
import { flatMemo, underEachSchool, type FlatMemo } from '@maquette/core/flat';
import type { Ask, Told } from './messages.ts';

/** Work kept from one judgement of a room to the next: it saves time and changes no answer. */
const memos = new Map<string, FlatMemo>();
let last: { key: string; assessment: RoomAssessment } | null = null;

function assess({ facts, card, atUtc }: Exclude<Ask, { kind: 'forecast' }>): RoomAssessment {
  // Evidence grows old by the day, not by the second.
  const key = JSON.stringify([facts, card, atUtc.slice(0, 10)]);
  if (last?.key === key) return last.assessment;
  const memo = memos.get(facts.room.id) ?? flatMemo();
  memos.clear();
  memos.set(facts.room.id, memo);
  last = { key, assessment: assessRoom(facts, card, atUtc, memo) };
  return last.assessment;
}

function answer(ask: Ask) {
  if (ask.kind === 'forecast') {
    const { probe, limitPercent, plan } = ask.forecast;
    return forecastProbe(probe, limitPercent, plan, undefined, (progress) => tell({ id: ask.id, progress }));
  }
  const assessment = assess(ask);
  if (ask.kind === 'judge') return pictureOf(assessment, ask.facts.room);
  if (ask.kind === 'plan') return planRoom(assessment, ask.facts, ask.card);
  return assessment.flat ? underEachSchool(assessment.flat, ask.card.rules, ask.facts.room.contactsOnly) : [];
}

const tell = (told: Told) => self.postMessage(told);

self.onmessage = (event: MessageEvent<Ask>) => {
  const started = performance.now();
  let told: Told;
  try {
    told = { id: event.data.id, ok: true, answer: answer(event.data), tookMs: performance.now() - started };
  } catch (error) {
    told = { id: event.data.id, ok: false, reason: error instanceof Error ? error.message : String(error) };
  }
  tell(told);
};
