import { newMark, type Mark, type MarkKind } from '@maquette/core/soundness';
import { MEMBRANE, OUTER_WALLS, SOURCE, type DampMethod } from '@maquette/core/damp';
import type { AnswerValue, Question } from '@maquette/core/fields';
import type { PointMm } from '@maquette/core/room';

/** One invented test with its readings: days before the seeding, value, temperature. */
interface StoryTest {
  method: DampMethod;
  name: string;
  at: [number, number];
  /** Days before the seeding that it was set; null where nothing waits. */
  setDays: number | null;
  depthMm?: number;
  readings: [daysAgo: number, value: number, tempC: number | null][];
}

/** What is measured and seen of a demo room's damp and soundness. */
interface DampStory {
  tests?: StoryTest[];
  /** Days of logger before the seeding, its middle, and a stretch with the window open (hours after its start). */
  log?: { days: number; tempC: number; rhPercent: number; openAtH?: number };
  answers?: [question: Question, answer: AnswerValue][];
  marks?: Mark[];
  /** Lines and spots gone over: all, so many, or none. */
  walked?: number | 'all';
}

const mark = (kind: MarkKind, x: number, y: number, part: Partial<Mark> = {}): Mark =>
  newMark('story', kind, { xMm: x, yMm: y }, part);
const box = (x: number, y: number, w: number, d: number): PointMm[] => [
  { xMm: x, yMm: y },
  { xMm: x + w, yMm: y },
  { xMm: x + w, yMm: y + d },
  { xMm: x, yMm: y + d },
];

/** A probe read weekly over six weeks as its slab dries. */
const drying = (name: string, at: [number, number], values: number[]): StoryTest => ({
  method: 'probe',
  name,
  at,
  setDays: 44,
  depthMm: 48,
  readings: values.map((value, i): [number, number, number] => [42 - i * 7 + 0.5, value, 18 - (i % 3) * 0.4]),
});

/** A walk over the room with the survey meter: places and what it showed. */
const survey = (daysAgo: number, seen: readonly (readonly [number, number, number])[]): StoryTest[] =>
  seen.map(([x, y, value], i) => ({
    method: 'survey',
    name: `S${i + 1}`,
    at: [x, y],
    setDays: null,
    readings: [[daysAgo, value, null]],
  }));

export const DAMP_STORIES: Readonly<Record<string, DampStory>> = {
  parlour: {
    tests: [
      drying('P1', [900, 600], [90.1, 88.6, 87.4, 86.2, 85.3, 84.4, 83.8]),
      drying('P2', [2700, 2100], [88.2, 86.7, 85.2, 84.2, 83.1, 82.4, 81.6]),
      drying('P3', [4600, 3600], [87.0, 85.4, 84.1, 82.9, 82.0, 81.1, 80.5]),
      ...survey(45, [
        [700, 500, 3.9],
        [2400, 600, 3.1],
        [4600, 700, 2.9],
        [800, 2100, 3.3],
        [2700, 1900, 2.9],
        [4700, 2200, 2.8],
        [900, 3600, 3.0],
        [4500, 3600, 2.7],
      ]),
    ],
    log: { days: 5, tempC: 18, rhPercent: 52 },
    answers: [
      [SOURCE, 'no'],
      [MEMBRANE, 'recorded'],
      [OUTER_WALLS, [0, 1]],
    ],
    marks: [
      mark('crack', 3900, 2500, {
        shape: 'line',
        points: [
          { xMm: 3300, yMm: 2300 },
          { xMm: 4500, yMm: 2700 },
        ],
        sizeMm: 0.4,
        stepMm: 0,
      }),
    ],
    walked: 5,
  },
  'boot-room': {
    tests: [{ method: 'carbide', name: 'C1', at: [1500, 1200], setDays: null, depthMm: 45, readings: [[3, 1.6, 18]] }],
    log: { days: 4, tempC: 19, rhPercent: 50 },
    answers: [[SOURCE, 'no']],
    walked: 'all',
  },
  hall: {
    tests: [
      [700, 600],
      [2000, 1000],
      [3300, 500],
      [4600, 900],
      [5600, 700],
    ].map(([x, y], i): StoryTest => ({
      method: 'pin',
      name: `M${i + 1}`,
      at: [x!, y!],
      setDays: null,
      readings: [[4, [9.6, 10.1, 9.8, 14.2, 10.4][i]!, 17]],
    })),
    log: { days: 4, tempC: 18, rhPercent: 54, openAtH: 40 },
    answers: [[SOURCE, 'no']],
    marks: [
      mark('squeak', 1400, 760, { shape: 'area', points: box(900, 300, 1000, 920), moveMm: 1 }),
      mark('rot', 4600, 900, { shape: 'area', points: box(4400, 700, 400, 350), depthMm: 18 }),
      mark('board-ridge', 3000, 760, {
        shape: 'line',
        points: [
          { xMm: 3000, yMm: 100 },
          { xMm: 3000, yMm: 1420 },
        ],
        stepMm: 1.2,
      }),
    ],
    walked: 9,
  },
  'hall-wash-house': {
    tests: [
      [500, 500],
      [1500, 700],
      [2500, 500],
      [1500, 1500],
      [2400, 1700],
    ].map(([x, y], i): StoryTest => ({
      method: 'pin',
      name: `M${i + 1}`,
      at: [x!, y!],
      setDays: null,
      readings: [[3, [9.4, 9.8, 9.6, 10.1, 9.7][i]!, 18]],
    })),
    log: { days: 4, tempC: 18, rhPercent: 52 },
    answers: [[SOURCE, 'no']],
    walked: 'all',
  },
  'reading-room': {
    tests: [
      { method: 'carbide', name: 'C1', at: [900, 900], setDays: null, depthMm: 60, readings: [[6, 3.1, 19]] },
      { method: 'carbide', name: 'C2', at: [7000, 5000], setDays: null, depthMm: 60, readings: [[6, 1.7, 19]] },
      ...survey(7, [
        [800, 800, 6.2],
        [2600, 900, 4.4],
        [800, 2600, 4.6],
        [4800, 2000, 2.8],
        [7200, 1400, 2.7],
        [10_800, 1200, 2.9],
        [2400, 4600, 2.8],
        [6000, 4200, 2.6],
        [9600, 4400, 2.7],
        [1200, 7000, 3.0],
        [4600, 6800, 2.7],
        [7800, 6900, 2.8],
        [11_000, 6900, 2.6],
      ]),
    ],
    log: { days: 3, tempC: 20, rhPercent: 48 },
    answers: [
      [SOURCE, 'suspected'],
      [MEMBRANE, 'bridged'],
    ],
    marks: [mark('stain', 800, 700, { shape: 'area', points: box(200, 200, 1200, 1000), severity: 'clear' })],
    walked: 0,
  },
};
