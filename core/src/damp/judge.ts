import { say, type Said } from '../said/index.ts';
import { answerTo } from '../fields/index.ts';
import type { Gate } from '../hazards/index.ts';
import { METHOD } from './questions.ts';
import { isWood } from '../coverings/index.ts';
import { isTimber, type PointMm } from '../room/index.ts';
import type { DampContext } from './facts.ts';
import type { DampMethod } from './method-names.ts';
import { methodsFor, qualifyingMethods, testName } from './methods.ts';
import { needOf, placesApart, proposePlaces, surveyOutliers, uncoveredWalls, type DampNeed } from './needs.ts';
import { testGate } from './test-gate.ts';
import { DISH_HOURS, dampResults, newestValid, hoodWaitH, probeWaitH, TOO_OLD, type DampResult } from './result.ts';

export interface DampLimit {
  value: number;
  source: Said;
}

/** How one method stands in the room. */
export interface MethodState {
  method: DampMethod;
  qualifying: boolean;
  /** Whether the floor may be touched for it. */
  gate: Gate;
  results: DampResult[];
  need: DampNeed;
  /** Places read validly, the newest reading of each place. */
  valid: DampResult[];
  /** How many of them count by themselves: tests side by side are one. */
  counting: number;
  /** Tests still to be made or read, and where the next ones would go. */
  missing: number;
  uncovered: number[];
  places: PointMm[];
  /** Worst valid reading, which governs. */
  governing: DampResult | null;
  limit: DampLimit | null;
  /** Limit less governing value: negative is over. */
  margin: number | null;
  passes: boolean;
  complete: boolean;
}

export interface DampState {
  results: DampResult[];
  methods: MethodState[];
  /** The method the user settled on, or the usual one for the base. */
  chosen: DampMethod;
  outliers: DampResult[];
  /** The worst reading over its limit, of any method that judges; null while none is. */
  over: { result: DampResult; limit: DampLimit; method: DampMethod } | null;
  /** Moisture of the base against that of the covering's boards; null until both are read. */
  boards: { basePercent: number; boardsPercent: number; allowed: number } | null;
  /** Tests set and not yet read validly, with when they are due. */
  due: DueTest[];
}

interface DueTest {
  testId: string;
  from: string;
  until: string | null;
  words: Said;
}

const heated = (ctx: DampContext) => ctx.room.base.heating === 'water' || ctx.room.base.heating === 'electric';

/** What a method is held against under this covering, and who says so. Null where it only steers or informs. */
export function limitOf(ctx: DampContext, method: DampMethod): DampLimit | null {
  const { card, room, figure } = ctx;
  const usual = say('damp.usual');
  switch (method) {
    case 'probe':
      return { value: card.cementLimitRh, source: say('damp.card', { card: card.name }) };
    case 'pin':
      return { value: card.timberLimitMc, source: say('damp.card', { card: card.name }) };
    case 'hood':
      return { value: figure(isWood(card) ? 'hood-wood-rh' : 'hood-rh'), source: usual };
    case 'dish':
      return { value: figure('dish-g'), source: usual };
    case 'carbide': {
      const kind = room.baseKind === 'calcium-sulfate-screed' ? 'carbide-sulfate' : 'carbide-cement';
      return { value: figure(heated(ctx) ? `${kind}-heated` : kind), source: usual };
    }
    case 'alkalinity':
      return card.kind === 'glue-down-vinyl' ? { value: figure('ph-most'), source: usual } : null;
    default:
      return null;
  }
}

/**
 * Judges damp: per method the worst valid reading against its limit and the number of tests against the need. Methods are never
 * converted into each other, and the kinder result is never picked: every method with a limit and valid readings must pass.
 */
export function judgeDamp(ctx: DampContext): DampState {
  const results = dampResults(ctx);
  const outliers = surveyOutliers(results, ctx.figure('survey-outlier'), ctx.figure('survey-ratio'));
  const qualifying = qualifyingMethods(ctx.room.baseKind);
  const said = answerTo(ctx.answers, METHOD);
  const begun = (method: DampMethod) => ctx.facts.dampTests.some((test) => test.method === method);
  // What was settled on; else what has been begun; else what the covering's card speaks of.
  const chosen =
    qualifying.find((m) => m === said) ??
    qualifying.find(begun) ??
    qualifying.find((m) => speaksOf(ctx.card, m)) ??
    qualifying[0]!;
  const used = new Set<DampMethod>([...methodsFor(ctx.room.baseKind), ...results.map((r) => r.test.method)]);
  const methods = [...used].map((method) => stateOf(ctx, method, results, outliers, qualifying.includes(method)));
  const overs = methods.flatMap((m) =>
    m.governing && m.limit && m.margin !== null && m.margin < 0
      ? [{ result: m.governing, limit: m.limit, method: m.method, share: -m.margin / m.limit.value }]
      : [],
  );
  const worst = overs.sort((a, b) => b.share - a.share)[0];
  return {
    results,
    methods,
    chosen,
    outliers,
    over: worst ? { result: worst.result, limit: worst.limit, method: worst.method } : null,
    boards: boardsAgainstBase(ctx, results),
    due: dueTests(ctx, results),
  };
}

/** Whether a covering's card gives its limit in what a method reads: that one is proposed first. */
const speaksOf = ({ cementLimitRh }: DampContext['card'], method: DampMethod): boolean =>
  method === 'probe' && cementLimitRh > 0;

function stateOf(
  ctx: DampContext,
  method: DampMethod,
  all: readonly DampResult[],
  outliers: readonly DampResult[],
  qualifying: boolean,
): MethodState {
  const results = all.filter((r) => r.test.method === method && r.test.of === 'base');
  const valid = newestValid(results);
  const need = needOf(ctx, method);
  const made = ctx.facts.dampTests.filter((t) => t.method === method && t.of === 'base');
  // What the survey meter found asks for one of the chosen kind at its place; the survey itself is only spread.
  const steer = method === 'survey' || isTimber(ctx.room.baseKind) ? [] : outliers.map((o) => o.test);
  // What stands side by side says one thing.
  const counting = placesApart(
    ctx,
    method,
    valid.map((r) => r.test),
  ).length;
  const missing = Math.max(0, need.count - counting);
  const uncovered = uncoveredWalls(ctx, need.outerWalls, made);
  const governing = valid.reduce<DampResult | null>((worst, r) => (worst && worst.value >= r.value ? worst : r), null);
  const limit = limitOf(ctx, method);
  const margin = governing && limit ? limit.value - governing.value : null;
  const gate = testGate(ctx, method);
  return {
    method,
    qualifying,
    gate,
    results,
    need,
    valid,
    counting,
    missing,
    uncovered,
    // Where it may not be made no place is proposed for it.
    places: gate.allowed && (qualifying || method === 'survey') ? proposePlaces(ctx, method, need, made, steer) : [],
    governing,
    limit,
    margin,
    passes: margin !== null && margin >= 0,
    complete:
      missing === 0 &&
      uncoveredWalls(
        ctx,
        need.outerWalls,
        valid.map((r) => r.test),
      ).length === 0,
  };
}

/** Means of the newest valid pin readings in the base and in the boards that will lie on it. */
function boardsAgainstBase(ctx: DampContext, results: readonly DampResult[]): DampState['boards'] {
  const mean = (of: 'base' | 'boards') => {
    const values = newestValid(results.filter((r) => r.test.method === 'pin' && r.test.of === of)).map((r) => r.value);
    return values.length === 0 ? null : values.reduce((sum, v) => sum + v, 0) / values.length;
  };
  const [basePercent, boardsPercent] = [mean('base'), mean('boards')];
  if (basePercent === null || boardsPercent === null) return null;
  return { basePercent, boardsPercent, allowed: ctx.figure('boards-diff') };
}

const HOUR_MS = 3_600_000;

/** Tests that stand and wait, soonest first. */
function dueTests(ctx: DampContext, results: readonly DampResult[]): DueTest[] {
  const waits: Partial<Record<DampMethod, [number, number | null]>> = {
    probe: [probeWaitH(ctx), null],
    hood: [hoodWaitH(ctx), null],
    dish: [DISH_HOURS.min, DISH_HOURS.max],
    film: [24, null],
  };
  return ctx.facts.dampTests
    .flatMap((test): DueTest[] => {
      const wait = waits[test.method];
      if (!wait || !test.startedAt || results.some((r) => r.test.id === test.id && r.valid)) return [];
      const later = (hours: number) => new Date(Date.parse(test.startedAt!) + hours * HOUR_MS).toISOString();
      const first = results.findLast((r) => r.test.id === test.id);
      const secondHood = test.method === 'hood' && first && first.reading.takenAt >= later(wait[0]);
      const from = secondHood
        ? new Date(Date.parse(first.reading.takenAt) + 24 * HOUR_MS).toISOString()
        : later(wait[0]);
      // What was read when it was due has been read, whether or not it counts; only what has grown old is read again.
      const read = results.findLast((r) => r.test.id === test.id && r.reading.takenAt >= from);
      if (read && read.faults.some(({ code }) => code !== TOO_OLD)) return [];
      return [
        {
          testId: test.id,
          from,
          until: wait[1] === null ? null : later(wait[1]),
          words: testName(test),
        },
      ];
    })
    .sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.testId < b.testId ? -1 : 1));
}
