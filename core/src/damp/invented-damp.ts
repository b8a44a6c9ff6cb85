import { SHIPPED_CARDS } from '../coverings/index.ts';
import { figuresOf } from '../figures/index.ts';
import type { Answer, AnswerValue } from '../fields/index.ts';
import { BLANK_SHAPE, planOf, rectangleWalls, UNKNOWN_BASE, type RoomFacts } from '../room/index.ts';
import { NO_DAMP_FACTS, type DampContext, type DampFacts, type DampReading, type DampTest } from './facts.ts';
import type { DampMethod } from './method-names.ts';

/** The time the invented damp is judged at. */
export const NOW = '2026-06-30T12:00:00.000Z';
const DAY_MS = 86_400_000;
export const daysAgo = (days: number) => new Date(Date.parse(NOW) - days * DAY_MS).toISOString();

export function testOf(method: DampMethod, name: string, at: [number, number], part: Partial<DampTest> = {}): DampTest {
  return {
    id: `test-${name}`,
    method,
    name,
    xMm: at[0],
    yMm: at[1],
    startedAt: daysAgo(10),
    depthMm: method === 'probe' ? 40 : null,
    startG: null,
    areaM2: null,
    of: 'base',
    offsetPercent: 0,
    compensates: false,
    instrument: '',
    checkedOn: '',
    note: '',
    ...part,
  };
}

let count = 0;
export function readingOf(test: DampTest, days: number, value: number, part: Partial<DampReading> = {}): DampReading {
  return {
    id: `reading-${++count}`,
    testId: test.id,
    takenAt: daysAgo(days),
    value,
    sampleG: null,
    tempC: 20,
    who: '',
    note: '',
    ...part,
  };
}

/** A slab on ground of 6 by 5 m and 100 mm, with click vinyl (75 %RH) to come, unless said otherwise. */
export function dampOf(
  facts: Partial<DampFacts>,
  answers: Record<string, AnswerValue> = {},
  room: Partial<RoomFacts> = {},
  cardId = 'shipped-click-vinyl',
): DampContext {
  const whole: RoomFacts = {
    id: 'room-1',
    jobId: 'job-1',
    name: 'Test',
    rank: 0,
    ...BLANK_SHAPE,
    walls: rectangleWalls(6000, 5000),
    baseKind: 'slab-on-ground',
    base: { ...UNKNOWN_BASE, slabMm: 100, beneath: 'ground', grade: 'on', heating: 'none' },
    cardId,
    units: 'metric',
    spacingMm: null,
    contactsOnly: false,
    ...room,
  };
  const said: Answer[] = Object.entries(answers).map(([question, answer]) => ({
    id: question,
    question,
    answer,
    note: '',
  }));
  return {
    room: whole,
    plan: planOf(whole),
    card: SHIPPED_CARDS.find((c) => c.id === cardId)!,
    facts: { ...NO_DAMP_FACTS, ...facts },
    layers: [],
    answers: said,
    hazards: {
      job: { country: null, asbestosFrom: null, leadFrom: null },
      samples: [],
      answers: said,
      baseKind: whole.baseKind,
      base: whole.base,
    },
    figure: figuresOf([]),
    atUtc: NOW,
  };
}
