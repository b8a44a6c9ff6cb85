import { ruleWords, type CoveringCard } from '../coverings/index.ts';
import { METHOD_SPECS, type MethodState } from '../damp/index.ts';
import { boundsMm, isTimber } from '../room/index.ts';
import { celsius, decimals, gap, lower, moment, reach, say, type Quantity, type Sayable } from '../said/index.ts';
import type { Photograph } from '../record/index.ts';
import { lipsOf } from '../soundness/index.ts';
import { DAMP_AIR, FULL_COVER_SHARE } from '../verdict/index.ts';
import { instrumentWords } from './page-damp.ts';
import type { ReportRoom } from './report-job.ts';

/** One clause of a card against what the record shows; null where it shows nothing. */
export interface ClaimRow {
  clause: Sayable;
  asked: Sayable;
  shown: Sayable | null;
  margin: Sayable;
  at: string | null;
  instrument: Sayable;
  photographs: number;
  /** Id of the page with its evidence. */
  page: string;
}

const NOT: Omit<ClaimRow, 'clause' | 'asked' | 'page'> = {
  shown: null,
  margin: '',
  at: null,
  instrument: '',
  photographs: 0,
};
/** Carbide is read to a hundredth of a per cent, everything else to a tenth. */
const digitsOf = ({ method }: Pick<MethodState, 'method'>) => (method === 'carbide' ? 2 : 1);
const one = (what: Quantity): Sayable => say('said.asItIs', { what });
const within = (mm: number): Sayable =>
  mm >= 0 ? say('report.inside', { by: gap(mm) }) : say('report.over', { by: gap(-mm) });

function flatRows({ set, picture }: ReportRoom): ClaimRow[] {
  const page = `levels/${set.room.id}`;
  const last = [...set.readings.map(({ takenAt }) => takenAt)].sort().at(-1) ?? null;
  const closed = picture.setups.filter(({ readings }) => readings > 0);
  // A floor read in part, or from a set-up that does not close, shows nothing of the whole.
  const valid =
    picture.coveredShare >= FULL_COVER_SHARE &&
    closed.every(({ suspect, closingMm }) => !suspect && closingMm !== null);
  return set.card.rules.map((rule, k): ClaimRow => {
    const found = picture.rules[k];
    const asked = ruleWords(rule);
    if (!found || (!valid && found.overMm <= 0)) return { ...NOT, clause: say('report.clauseFlat'), asked, page };
    return {
      clause: say('report.clauseFlat'),
      asked,
      shown: one(gap(found.worstMm)),
      margin: within(-found.overMm),
      at: last,
      instrument: closed.some(({ closingMm }) => closingMm === null)
        ? say('report.notClosed')
        : say('report.setupsClose', {
            count: closed.length,
            most: gap(Math.max(0, ...closed.map(({ closingMm }) => Math.abs(closingMm ?? 0)))),
          }),
      photographs: set.photos.filter(({ about }) => about === 'edge').length,
      page,
    };
  });
}

/** What a method read of the base against what is asked in its own unit; a pass that is not complete shows nothing. */
function dampRow({ set }: ReportRoom, clause: Sayable, asked: Sayable, method: MethodState | undefined): ClaimRow {
  const page = `damp/${set.room.id}`;
  const deciding = method?.governing;
  if (!method || !deciding || (!method.complete && method.passes)) return { ...NOT, clause, asked, page };
  return {
    clause,
    asked,
    shown: deciding.valueText,
    margin: say(method.passes ? 'report.insideLimit' : 'report.overLimit', {
      by: decimals(Math.abs(method.margin ?? 0), digitsOf(method)),
    }),
    at: deciding.reading.takenAt,
    instrument: instrumentWords(deciding.test),
    photographs: set.photos.filter(({ aboutId }) => aboutId === deciding.test.id).length,
    page,
  };
}

/** The card’s own clause, and each other method that was read, by its own limit: none is converted into the card’s unit. */
function dampRows(room: ReportRoom): ClaimRow[] {
  const { set, assessment } = room;
  const timber = isTimber(assessment.laidOver);
  const named = timber ? 'pin' : 'probe';
  const methods = assessment.damp?.methods ?? [];
  const asked = timber
    ? say('report.timberLimit', { limit: decimals(set.card.timberLimitMc, 1) })
    : say('report.cementLimit', { limit: decimals(set.card.cementLimitRh, 1) });
  const cardRow = dampRow(
    room,
    say('report.clauseDamp'),
    asked,
    methods.find(({ method }) => method === named),
  );
  const others = methods.flatMap((state) => {
    const { method, limit, governing } = state;
    if (method === named || !limit || !governing) return [];
    const clause = say('report.clauseDampBy', { method: lower(METHOD_SPECS[method].words) });
    const most = say('report.figureAtMost', {
      limit: decimals(limit.value, digitsOf(state)),
      unit: METHOD_SPECS[method].givesUnit,
    });
    return [dampRow(room, clause, most, state)];
  });
  return [cardRow, ...others];
}

/** A clause that one criterion of the room decides: shown where it stands well, and where it was found wanting. */
function byCriterion(
  { set, assessment }: ReportRoom,
  id: string,
  clause: Sayable,
  asked: Sayable,
  page: string,
  isOfIt: (photo: Photograph) => boolean,
): ClaimRow {
  const found = assessment.criteria.find((criterion) => criterion.id === id);
  if (!found || found.verdict === 'measure' || found.verdict === 'wait') return { ...NOT, clause, asked, page };
  return {
    ...NOT,
    clause,
    asked,
    shown: found.margin,
    margin: found.verdict === 'lay' ? say('report.kept') : say('report.notKept'),
    photographs: set.photos.filter(isOfIt).length,
    page,
  };
}

function airRow(room: ReportRoom): ClaimRow {
  const { card, room: facts, airReadings, airLogs } = room.set;
  const asked = say('report.airAsked', {
    minC: celsius(card.airMinC, 0),
    maxC: celsius(card.airMaxC, 0),
    minRh: card.airMinRh,
    maxRh: card.airMaxRh,
  });
  const row = byCriterion(
    room,
    DAMP_AIR,
    say('report.clauseAir'),
    asked,
    `damp/${facts.id}`,
    ({ about }) => about === 'air',
  );
  if (row.shown === null) return row;
  const read = [
    ...airReadings.map(({ takenAt, instrument }) => ({ at: takenAt, instrument })),
    ...airLogs.flatMap(({ name, instrument, samples }) =>
      samples.slice(-1).map(({ at }) => ({ at, instrument: instrument || name })),
    ),
  ].reduce<{ at: string; instrument: string } | null>((last, one) => (last && last.at > one.at ? last : one), null);
  return { ...row, at: read?.at ?? null, instrument: read?.instrument || say('report.notNamed') };
}

/** What a set-out was laid by: the rows that were recorded stand for its joints, gaps and widths. */
function laidRowsOf({ set }: ReportRoom): ClaimRow[] {
  const { card } = set;
  const rows = set.laidRows.filter(({ isLaid }) => isLaid);
  const at =
    rows
      .map(({ laidAt }) => laidAt)
      .sort()
      .at(-1) ?? null;
  const clauses: [Sayable, number][] = [
    [say('report.clauseGap'), card.perimeterGapMm],
    [say('report.clauseLastRow'), card.lastRowMm],
    [say('report.clauseEndPiece'), card.endPieceMm],
    [say('report.clauseStagger'), card.staggerMm],
  ];
  const shortest = Math.min(...rows.flatMap(({ startMm, endMm }) => (endMm > 0 ? [startMm, endMm] : [startMm])));
  return clauses.map(([clause, leastMm], k): ClaimRow => {
    const asked = say('report.atLeast', { least: gap(leastMm) });
    const page = 'materials';
    // Of the pieces at the ends of rows the record holds the lengths; of gaps and joints it holds what was planned.
    if (rows.length === 0 || k !== 2) return { ...NOT, clause, asked, page };
    return { ...NOT, clause, asked, shown: one(gap(shortest)), margin: within(shortest - leastMm), at, page };
  });
}

function longestRunRow({ set, assessment }: ReportRoom, longestRunM: number): ClaimRow {
  const { minX, maxX, minY, maxY } = boundsMm(assessment.plan.corners);
  const most = Math.max(maxX - minX, maxY - minY);
  return {
    ...NOT,
    clause: say('report.clauseRun'),
    asked: say('report.atMost', { most: reach(longestRunM * 1000) }),
    shown: one(reach(most)),
    margin: most <= longestRunM * 1000 ? say('report.kept') : say('report.partedWhereSetOut'),
    page: `levels/${set.room.id}`,
  };
}

/** Every clause of a room’s card against what the record shows of it. */
export function claimRows(room: ReportRoom): ClaimRow[] {
  const { card }: { card: CoveringCard } = room.set;
  const materials = 'materials';
  const lips = new Set(lipsOf(room.set.marks).map(({ id }) => id));
  return [
    ...flatRows(room),
    ...(card.stepMm === null
      ? []
      : [
          byCriterion(
            room,
            'lips',
            say('report.clauseStep'),
            say('report.atMost', { most: gap(card.stepMm) }),
            `layers/${room.set.room.id}`,
            ({ about, aboutId }) => about === 'mark' && lips.has(aboutId),
          ),
        ]),
    ...dampRows(room),
    airRow(room),
    ...(card.acclimatiseH > 0
      ? [
          byCriterion(
            room,
            'lay-clock',
            say('report.clauseRest'),
            say('report.restHours', { hours: card.acclimatiseH }),
            materials,
            ({ about }) => about === 'box',
          ),
        ]
      : []),
    ...laidRowsOf(room),
    ...(card.longestRunM === null ? [] : [longestRunRow(room, card.longestRunM)]),
  ];
}

export const momentOr = (at: string | null): Sayable => (at === null ? '' : one(moment(at)));
