import { celsiusApart, listed, moment, say, type Said } from '../said/index.ts';
import type { OwnCriterion, Verdict } from './words.ts';

/** What is told of a room whose planks are about to go down. */
export interface LayTold {
  isBegun: boolean;
  hasPlankSize: boolean;
  clocks: readonly {
    boxes: { batch: string };
    misplaced: readonly ('leaning' | 'on-concrete' | 'outer-wall' | 'vents-and-sun')[];
    hoursNeeded: number;
    hoursDone: number;
    dueAt: string | null;
    isDone: boolean;
  }[];
  batches: readonly string[];
  mixed: 'ask' | 'mix' | 'refuse';
  checks: readonly {
    batch: string;
    check: { locks: 'good' | 'bad'; straight: 'good' | 'bad'; colour: 'good' | 'bad' } | null;
  }[];
  zones: readonly { name: unknown; test: 'none' | 'running' | 'failed' | 'held' }[];
  dewMarginK: number | null;
  leastDewMarginK: number;
  bays: { old: readonly number[]; unrolled: readonly number[] };
}

const MISPLACED: Record<LayTold['clocks'][number]['misplaced'][number], Said> = {
  leaning: say('verdict.layLeaning'),
  'on-concrete': say('verdict.layOnConcrete'),
  'outer-wall': say('verdict.layOuterWall'),
  'vents-and-sun': say('verdict.layVentsAndSun'),
};

function clockCriterion({ clocks }: LayTold): OwnCriterion {
  const base = { id: 'lay-clock', title: say('verdict.layClockTitle') };
  const wrong = clocks.find(({ misplaced }) => misplaced.length > 0);
  if (clocks.length === 0)
    return { ...base, verdict: 'measure', margin: say('verdict.layNoBoxes'), next: say('verdict.layPutBoxesIn') };
  if (wrong)
    return {
      ...base,
      verdict: 'work',
      margin: say('verdict.layMisplaced', {
        batch: wrong.boxes.batch,
        how: listed(
          wrong.misplaced.map((what) => MISPLACED[what]),
          ', ',
        ),
      }),
      next: say('verdict.layPutRight'),
    };
  const slowest = clocks.filter(({ isDone }) => !isDone).sort((a, b) => a.hoursDone - b.hoursDone)[0];
  if (!slowest)
    return {
      ...base,
      verdict: 'lay',
      margin: say('verdict.layRested', { hours: clocks[0]!.hoursNeeded }),
      next: say('verdict.layKeepAir'),
    };
  const margin = say('verdict.layHoursDone', {
    batch: slowest.boxes.batch,
    done: Math.floor(slowest.hoursDone),
    hours: slowest.hoursNeeded,
  });
  return slowest.dueAt === null
    ? { ...base, verdict: 'measure', margin, next: say('verdict.layReadAir') }
    : { ...base, verdict: 'wait', margin, next: say('verdict.layWaitUntil', { at: moment(slowest.dueAt) }) };
}

function boxCriterion({ checks }: LayTold): OwnCriterion | null {
  const base = { id: 'lay-first-box', title: say('verdict.layBoxTitle') };
  if (checks.length === 0) return null;
  const bad = checks.find(({ check }) => check && Object.values(sound(check)).includes('bad'));
  const unseen = checks.find(({ check }) => check === null);
  if (bad)
    return {
      ...base,
      verdict: 'stop',
      margin: say('verdict.layBoxBad', { batch: bad.batch }),
      next: say('verdict.layBoxMaker'),
    };
  return unseen
    ? {
        ...base,
        verdict: 'measure',
        margin: say('verdict.layBoxUnseen', { batch: unseen.batch }),
        next: say('verdict.layBoxLook'),
      }
    : { ...base, verdict: 'lay', margin: say('verdict.layBoxGood'), next: say('verdict.layOpenThree') };
}

const sound = ({ locks, straight, colour }: NonNullable<LayTold['checks'][number]['check']>) => ({
  locks,
  straight,
  colour,
});

function batchCriterion({ batches, mixed }: LayTold): OwnCriterion | null {
  if (batches.length < 2) return null;
  const verdict: Verdict = mixed === 'mix' ? 'lay' : mixed === 'refuse' ? 'work' : 'measure';
  return {
    id: 'lay-batches',
    title: say('verdict.layBatchesTitle'),
    verdict,
    margin: say('verdict.layBatches', { count: batches.length }),
    next:
      mixed === 'mix'
        ? say('verdict.layBatchesMix')
        : mixed === 'refuse'
          ? say('verdict.layBatchesRefuse')
          : say('verdict.layBatchesAsk'),
  };
}

function glueCriterion({ zones, dewMarginK, leastDewMarginK }: LayTold): OwnCriterion | null {
  if (zones.length === 0) return null;
  const base = { id: 'lay-glue', title: say('verdict.layGlueTitle') };
  const failed = zones.filter(({ test }) => test === 'failed').length;
  const open = zones.filter(({ test }) => test !== 'held').length;
  if (dewMarginK !== null && dewMarginK < leastDewMarginK)
    return {
      ...base,
      verdict: 'wait',
      margin: say('verdict.layDew', { margin: celsiusApart(dewMarginK), least: celsiusApart(leastDewMarginK) }),
      next: say('verdict.layDewWarm'),
    };
  if (failed > 0)
    return {
      ...base,
      verdict: 'work',
      margin: say('verdict.layGlueFailed', { count: failed }),
      next: say('verdict.layGlueStrip'),
    };
  return open > 0
    ? {
        ...base,
        verdict: 'measure',
        margin: say('verdict.layGlueOpen', { count: open }),
        next: say('verdict.layGlueTest'),
      }
    : { ...base, verdict: 'lay', margin: say('verdict.layGlueHeld'), next: say('verdict.layGlueByClock') };
}

/** A bay that was left too long: said only while one is. */
function bayCriterion({ bays: { old, unrolled } }: LayTold): OwnCriterion | null {
  const base = { id: 'lay-bays', title: say('verdict.layBaysTitle'), verdict: 'work' as const };
  const numbers = (bays: readonly number[]) => listed(bays.map(String), ', ');
  if (old.length > 0)
    return {
      ...base,
      margin: say('verdict.layBaysOld', { count: old.length, bays: numbers(old) }),
      next: say('verdict.layBaysScrape'),
    };
  return unrolled.length > 0
    ? {
        ...base,
        margin: say('verdict.layBaysUnrolled', { count: unrolled.length, bays: numbers(unrolled) }),
        next: say('verdict.layBaysRoll'),
      }
    : null;
}

/** Whether the planks themselves may go down: nothing is said before anybody has begun with them. */
export function layCriteria(told: LayTold): OwnCriterion[] {
  if (!told.isBegun) return [];
  const size: OwnCriterion[] = told.hasPlankSize
    ? []
    : [
        {
          id: 'lay-size',
          title: say('verdict.laySizeTitle'),
          verdict: 'measure',
          margin: say('verdict.layNoSize'),
          next: say('verdict.layGiveSize'),
        },
      ];
  return [
    ...size,
    clockCriterion(told),
    ...[boxCriterion(told), batchCriterion(told), glueCriterion(told), bayCriterion(told)].filter(
      (one) => one !== null,
    ),
  ];
}
