import type { UnderPlan } from '../assess/under-plan.ts';
import { forecastProbe, WAY_OUT } from '../damp/index.ts';
import { jobFiguresOf, type AnyFigureOf } from '../figures/index.ts';
import { say, type Sayable } from '../said/index.ts';
import { planCases, prepare, quantile, reasonChain, restOf, type Case } from '../schedule/index.ts';
import { billOfJob } from './bill-of-job.ts';
import { weekOf } from './job-calendar.ts';
import type { JobFacts } from './job-facts.ts';
import { askOf, DRAWS, planJob } from './plan-job.ts';
import type { ChosenLevel, RoomGround } from './room-ground.ts';
import { halfDayAt, type HalfDay } from './shown-days.ts';

/** One way the job could go: its dates and its cost beside those of the job as it is. */
export interface WhatIf {
  id: string;
  words: Sayable;
  /** Null where it cannot be planned. */
  laying: HalfDay | null;
  promised: { laying: HalfDay | null; handOver: string | null };
  /** More than the job as it is costs, cents; below nothing where it costs less. */
  moreCents: number;
  /** What the last laying waits for in the end. */
  binds: Sayable | null;
}

/** A job otherwise: its rooms, its facts, its people, and money that is no line of the bill. */
interface Variant {
  id: string;
  words: Sayable;
  grounds: readonly RoomGround[];
  facts: JobFacts;
  people?: number;
  extraCents?: number;
}

const TRIES = 50;
const SATURDAY = 6;
/** A dryer takes the air of a room down by so much, and no lower than this, %RH. */
const DRYER_RH = 15;
const DRYEST_RH = 35;
/** Without a series of readings a dryer is reckoned with by this share of the days. */
const DRYER_SHARE = 0.7;

/** Ways the job could go otherwise, each planned and drawn beside the others, so that nothing harder is shown as earlier. */
export function whatIfs(
  grounds: readonly RoomGround[],
  facts: JobFacts,
  under: UnderPlan,
  atUtc: string,
  tell: (share: number) => void = () => undefined,
  covered: { name: string; grounds: readonly RoomGround[] } | null = null,
): WhatIf[] {
  const figure = jobFiguresOf(facts.figures, grounds[0]?.set.room.units ?? 'metric');
  const variants = variantsOf(grounds, facts, figure);
  if (covered)
    variants.push({
      id: 'covering',
      words: say('planning.withCovering', { what: covered.name }),
      grounds: covered.grounds,
      facts,
    });
  const asks = variants.map(({ grounds: rooms, facts: of, people }) =>
    askOf(rooms, of, atUtc, people === undefined ? {} : { people }),
  );
  tell(0.1);
  const cases = variants.map(({ id }, k): Case => ({
    id,
    job: restOf(asks[k]!.ask.job, asks[k]!.ask.underWay),
    spreads: asks[k]!.ask.spreads,
  }));
  const planned = planCases(cases, TRIES, DRAWS);
  tell(0.7);
  const costs = variants.map(({ grounds: rooms, facts: of, people, extraCents = 0 }, k) => {
    const made = planJob(rooms, of, atUtc, { tries: TRIES, ...(people === undefined ? {} : { people }) });
    tell(0.7 + (0.3 * (k + 1)) / variants.length);
    return billOfJob(made, rooms, under, of, figure).reduce((sum, { cents }) => sum + cents, extraCents);
  });
  return variants.map(({ id, words }, k): WhatIf => {
    const { found } = planned[k]!;
    const moreCents = costs[k]! - costs[0]!;
    if ('why' in found)
      return { id, words, laying: null, promised: { laying: null, handOver: null }, moreCents, binds: null };
    const { calendar } = cases[k]!.job;
    const prepared = prepare(cases[k]!.job);
    const chain = 'why' in prepared ? [] : reasonChain(prepared, found.plan);
    // What takes the longest of all that the last laying waits for.
    const longest = chain
      .slice(0, -1)
      .reduce<(typeof chain)[number] | null>(
        (most, one) => (!most || one.to - one.from > most.to - most.from ? one : most),
        null,
      );
    const { layingHalf, endDay } = found.promised.chances;
    return {
      id,
      words,
      laying: halfDayAt(calendar, found.reached.layingHalf),
      promised: {
        laying: halfDayAt(calendar, quantile(layingHalf, 0.8)),
        handOver: calendar.dates[quantile(endDay, 0.8)] ?? null,
      },
      moreCents,
      binds: asks[k]!.draft.tasks.find(({ key }) => key === longest?.key)?.words ?? null,
    };
  });
}

function variantsOf(grounds: readonly RoomGround[], facts: JobFacts, figure: AnyFigureOf): Variant[] {
  const week = weekOf(facts);
  const same = { grounds, facts };
  const variants: Variant[] = [
    { id: 'as-it-is', words: say('planning.asItIs'), ...same },
    { id: 'person', words: say('planning.onePersonMore'), ...same, people: figure('crew') + 1 },
  ];
  if (!week.hours.some(({ weekday }) => weekday === SATURDAY))
    variants.push({
      id: 'saturdays',
      words: say('planning.saturdays'),
      grounds,
      facts: {
        ...facts,
        siteWeeks: [
          {
            ...week,
            id: 'saturdays',
            jobId: facts.jobId,
            hours: [...week.hours, { weekday: SATURDAY, fromMin: 8 * 60, toMin: 13 * 60 }],
          },
        ],
      },
    });
  const dries = grounds.filter(({ drying, assessment }) => drying !== null || assessment.damp?.over);
  if (dries.length > 0) variants.push(dryer(grounds, facts, figure), ...sealed(grounds, facts));
  if (facts.furnishings.some(({ goes }) => goes === 'room'))
    variants.push({
      id: 'lodging',
      words: say('planning.lodging'),
      grounds,
      facts: {
        ...facts,
        furnishings: facts.furnishings.map((one) => (one.goes === 'room' ? { ...one, goes: 'elsewhere' } : one)),
      },
    });
  return [...variants, ...compounds(grounds, facts, figure)];
}

/** A dryer in every room that dries: by the forecast in drier air where there is one, and for the days it runs. */
function dryer(grounds: readonly RoomGround[], facts: JobFacts, figure: AnyFigureOf): Variant {
  let days = 0;
  const dried = grounds.map((g): RoomGround => {
    if (!g.drying) return g;
    const { probe, limitPercent, plan } = g.drying;
    const drying = forecastProbe(probe, limitPercent, {
      ...plan,
      roomRhPercent: Math.max(DRYEST_RH, plan.roomRhPercent - DRYER_RH),
    });
    const middle = drying.middleUtc ? (Date.parse(drying.middleUtc) - Date.parse(g.atUtc)) / 86_400_000 : 0;
    days += Math.max(0, Math.ceil(middle));
    return { ...g, drying };
  });
  const usualDays = figure('drying-days') * DRYER_SHARE;
  const unread = grounds.filter(({ drying, assessment }) => !drying && assessment.damp?.over).length;
  return {
    id: 'dryer',
    words: say('planning.dryer'),
    grounds: dried.map((g) =>
      g.drying ? g : { ...g, figure: (name) => (name === 'drying-days' ? usualDays : g.figure(name)) },
    ),
    facts,
    extraCents: Math.round(100 * figure('dryer-day') * (days + unread * usualDays)),
  };
}

/** A membrane rolled on in every room that would have to dry, where one may lie on it: the one that costs least. */
function sealed(grounds: readonly RoomGround[], facts: JobFacts): Variant[] {
  let isAny = false;
  const covered = grounds.map((g): RoomGround => {
    const { damp, under } = g.assessment;
    const membrane = (under?.membranes ?? [])
      .filter(({ plan }) => plan.refused === null)
      .sort((a, b) => a.plan.cost - b.plan.cost)[0];
    if (!damp?.over || !under || under.membrane || !membrane) return g;
    isAny = true;
    return {
      ...g,
      answers: [...g.answers, { id: 'sealed', question: WAY_OUT.question, answer: 'membrane', note: '' }],
      assessment: { ...g.assessment, under: { ...under, membrane } },
    };
  });
  return isAny ? [{ id: 'membrane', words: say('planning.membraneInstead'), grounds: covered, facts }] : [];
}

/** Every other compound that suits all rooms which are poured: bags and mixing as its card has them. */
function compounds(grounds: readonly RoomGround[], facts: JobFacts, figure: AnyFigureOf): Variant[] {
  const poured = grounds.flatMap((g) =>
    typeof g.level === 'object' && g.level?.need ? [{ g, level: g.level, need: g.level.need }] : [],
  );
  const ids = new Set(poured.flatMap(({ level }) => level.needs.map(({ compound }) => compound.id)));
  return [...ids].flatMap((id): Variant[] => {
    const others = poured.map(({ level, need }) => ({
      need,
      other: level.needs.find(({ compound, unsuited }) => compound.id === id && unsuited === null) ?? null,
    }));
    const isOther = others.some(({ need, other }) => other !== null && other.compound.id !== need.compound.id);
    if (!isOther || others.some(({ other }) => other === null)) return [];
    const name = others[0]!.other!.compound.name;
    return [
      {
        id: `compound/${id}`,
        words: say('planning.withCompound', { what: name }),
        facts,
        grounds: grounds.map((g) =>
          typeof g.level === 'object' && g.level?.need ? { ...g, level: withCompound(g.level, id, figure) } : g,
        ),
      },
    ];
  });
}

/** A levelling with another product: its bags, and the hours they take to mix; all else stays. */
export function withCompound(level: ChosenLevel, id: string, figure: AnyFigureOf): ChosenLevel {
  const need = level.needs.find(({ compound }) => compound.id === id);
  if (!need || !level.need || need === level.need) return level;
  const [mixing, rate] = [(need.bags * figure('bag-min')) / 60, figure('labour-h')];
  const before = (level.need.bags * figure('bag-min')) / 60;
  const costLines = level.costLines.map((line) =>
    line.unit === 'bags'
      ? {
          ...line,
          words: need.compound.name,
          amount: need.bags,
          rate: need.compound.bagCost,
          cost: need.bags * need.compound.bagCost,
        }
      : line.words.code === MIXING
        ? { ...line, amount: mixing, cost: mixing * rate }
        : line,
  );
  return {
    ...level,
    need,
    costLines,
    hours: level.hours - before + mixing,
    cost: costLines.reduce((sum, { cost }) => sum + cost, 0),
  };
}
/** What the line of mixing is called on Level. */
const MIXING = say('levelling.costLines3').code;
