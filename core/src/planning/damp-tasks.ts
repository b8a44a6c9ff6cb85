import { answerTo } from '../fields/index.ts';
import { METHOD_SPECS, testName, WAIT_H, SLAB_FINISH, WAY_OUT } from '../damp/index.ts';
import { say } from '../said/index.ts';
import { MEMBRANE_STEP } from '../under/index.ts';
import type { Chain } from './draft.ts';
import type { RoomGround } from './room-ground.ts';

/** Hours a dish may stand at most, and from when it may be weighed. */
const DISH_H = [60, 72] as const;
/** A hood is read twice: so long after the first reading, and no longer. */
const HOOD_APART_H = [20, 28] as const;
const HOUR_MS = 3_600_000;
const HOURS_A_DAY = 24;

/** The key of the reading that decides, which laying follows within the days its evidence holds; null where none is asked. */
export interface DampEvidence {
  key: string;
  doneAt: string | null;
}

/** Tests set, read and weighed in their hours, drying where it is waited for, and the reading that decides. */
export function dampTasks(g: RoomGround, chain: Chain): DampEvidence | null {
  const { figure, assessment, set, answers } = g;
  const { damp } = assessment;
  const state = damp?.methods.find(({ method }) => method === damp.chosen);
  if (!damp || !state?.limit) return null;
  const name = METHOD_SPECS[state.method].words;
  const begun = damp.due.flatMap(({ testId }) => {
    const test = set.dampTests.find(({ id }) => id === testId);
    return test?.startedAt && test.method === state.method ? [{ ...test, startedAt: test.startedAt }] : [];
  });
  const start = chain.last;
  const ends: string[] = [];
  for (const test of begun) {
    chain.last = start;
    const readSoFar = set.dampReadings.filter(({ testId }) => testId === test.id);
    readTest(g, chain, test.method, test.id, testName(test), {
      setAt: test.startedAt,
      reads: readSoFar.map(({ takenAt }) => takenAt),
    });
    ends.push(...chain.last);
  }
  const missing = Math.max(0, state.missing - begun.length);
  const wouldSet = missing > 0 || (state.uncovered.length > 0 && state.missing === 0 && begun.length === 0);
  if (wouldSet && state.gate.allowed) {
    chain.last = start;
    const count = Math.max(1, missing);
    chain.work('damp', 'set', say('planning.testsSet', { count, method: name }), count * figure('test-set-h'), {
      unbroken: true,
    });
    readTest(g, chain, state.method, 'new', say('planning.newTests', { count, method: name }), null, count);
    ends.push(...chain.last);
  }
  if (ends.length > 0) {
    chain.last = ends;
    return { key: ends[0]!, doneAt: null };
  }
  if (!state.governing) return null;
  const decidedAt = state.governing.reading.takenAt;
  const done = chain.work('damp', 'decided', say('planning.decidedReading', { method: name }), figure('test-read-h'), {
    ticks: [],
    doneAt: decidedAt,
  })!;
  // Evidence that is there was not taken after what is still to be done.
  chain.tasks.at(-1)!.after = [];
  chain.last = [...start, done];
  if (!damp.over || answerTo(answers, WAY_OUT) === 'membrane') return { key: done, doneAt: decidedAt };
  return dryingTasks(g, chain);
}

/** What is too damp dries, as long as a series of readings says, else as long as one reckons with; then it is read once more. */
function dryingTasks(g: RoomGround, chain: Chain): DampEvidence {
  const { figure, drying, atUtc } = g;
  const from = (utc: string | null) =>
    utc === null ? null : Math.max(0, (Date.parse(utc) - Date.parse(atUtc)) / HOUR_MS);
  const [p10H, p50H, p90H] = [
    from(drying?.earlyUtc ?? null),
    from(drying?.middleUtc ?? null),
    from(drying?.lateUtc ?? null),
  ];
  const usualH = HOURS_A_DAY * figure('drying-days');
  chain.wait('damp', 'dries', say('planning.dries'), p50H ?? usualH, {
    spread: {
      kind: 'band',
      p10H: p10H ?? usualH * 0.7,
      p50H: p50H ?? usualH,
      // What the forecast does not see the end of is later than all of the plan.
      p90H: p90H ?? (drying ? NEVER_H : usualH * 2),
    },
  });
  const key = chain.work('damp', 'read-dry', say('planning.readDry'), figure('test-read-h'), {
    unbroken: true,
    ticks: [],
  })!;
  return { key, doneAt: null };
}
const NEVER_H = 24 * 1095;

/** A test read by its own hours: sealed or exposed so long, a hood twice, a dish before its hours are over. */
function readTest(
  g: RoomGround,
  chain: Chain,
  method: string,
  id: string,
  name: ReturnType<typeof say>,
  begun: { setAt: string; reads: readonly string[] } | null,
  count = 1,
): void {
  const { figure, answers } = g;
  const readH = count * figure('test-read-h');
  const hours =
    method === 'probe'
      ? (answerTo(answers, WAIT_H) ?? 24)
      : method === 'hood'
        ? answerTo(answers, SLAB_FINISH) === 'dense'
          ? 168
          : 72
        : method === 'dish'
          ? DISH_H[0]
          : method === 'film'
            ? 24
            : 0;
  const setKey = begun
    ? chain.work('damp', `set/${id}`, say('planning.testSet', { name }), figure('test-set-h'), {
        ticks: [],
        doneAt: begun.setAt,
      })
    : chain.last[0]!;
  if (begun) chain.tasks.at(-1)!.after = [];
  const first = begun?.reads[0] ?? null;
  if (hours > 0) chain.wait('damp', `stands/${id}`, say('planning.testStands', { name }), hours);
  const within = method === 'dish' && setKey ? { of: setKey, hours: DISH_H[1] } : null;
  const read = chain.work(
    'damp',
    `read/${id}`,
    say(method === 'dish' ? 'planning.weigh' : 'planning.readTest', { name }),
    readH,
    {
      unbroken: true,
      ticks: [],
      within,
      doneAt: method === 'hood' ? first : null,
    },
  );
  if (method !== 'hood' || !read) return;
  chain.wait('damp', `again/${id}`, say('planning.hoodAgainWait', { name }), HOOD_APART_H[0]);
  chain.work('damp', `reread/${id}`, say('planning.hoodAgain', { name }), readH, {
    unbroken: true,
    ticks: [],
    within: { of: read, hours: HOOD_APART_H[1] },
  });
}

/** A membrane rolled on, coat by coat in its hours, the room being shut until it is hard. */
export function membraneTasks(g: RoomGround, chain: Chain): void {
  const { figure, assessment, areaM2 } = g;
  const membrane = assessment.under?.membrane;
  if (!membrane || membrane.plan.refused?.word === 'stop') return;
  const { card } = membrane;
  const tick = (step: string) => [`${MEMBRANE_STEP}${card.id}/${step}`];
  const slow = slowness(g);
  chain.work('membrane', 'open', say('planning.membraneOpen'), areaM2 * figure('open-h-m2'), {
    ticks: tick('ground'),
    isLoud: true,
    machines: ['grinder'],
  });
  const key = (what: string) => `${g.set.room.id}/membrane/${what}`;
  const coatH = areaM2 * figure('coat-h-m2');
  if (card.primerKgM2 > 0) {
    chain.work('membrane', 'primer', say('planning.membranePrimer'), coatH / 2, {
      ticks: tick('primer'),
      unbroken: true,
      shutUntil: key('primer-dry'),
    });
    chain.wait('membrane', 'primer-dry', say('planning.primerDries'), card.primerH * slow);
  }
  let before: string | null = null;
  for (let coat = 1; coat <= card.coats; coat++) {
    const rolled = chain.work('membrane', `coat-${coat}`, say('planning.membraneCoat', { coat }), coatH, {
      ticks: tick(`coat-${coat}`),
      unbroken: true,
      within: before ? { of: before, hours: card.nextToH } : null,
      shutUntil: key(coat < card.coats ? `coat-${coat}-dry` : 'hard'),
    });
    if (coat < card.coats)
      chain.wait('membrane', `coat-${coat}-dry`, say('planning.coatDries', { coat }), card.nextFromH * slow);
    before = rolled;
  }
  chain.wait('membrane', 'hard', say('planning.membraneHard'), card.hardH * slow);
}

/** Where it is cold things cure slower: as long at 18 °C and over, twice as long at 12 °C and under, linear between. */
export function slowness({ figure }: Pick<RoomGround, 'figure'>): number {
  const tempC = figure('dry-temp-c');
  return 1 + Math.min(1, Math.max(0, (WARM_C - tempC) / (WARM_C - COLD_C)));
}
const WARM_C = 18;
const COLD_C = 12;
