import { answerTo } from '../fields/index.ts';
import type { FigureOf } from '../figures/index.ts';
import { dewPointC } from '../air/index.ts';
import { boxClock, type BoxCheck, type BoxClock } from '../setout/index.ts';
import { BATCHES } from '../setout/questions.ts';
import { MARK_WORDS } from '../soundness/index.ts';
import { say, type Sayable } from '../said/index.ts';
import { roomAir } from '../verdict/index.ts';
import type { DampJudged } from './judged.ts';
import type { RoomSet } from './room-set.ts';

/** A part of the base on which the adhesive has a clock of its own. */
export interface GlueZone {
  id: string;
  name: Sayable;
  /** Of the newest test: begun and not read, too weak, or held after so many minutes. */
  test: 'none' | 'running' | 'failed' | 'held';
  tackMin: number | null;
  begunAt: string | null;
}

/** How far a room is with its planks, by what was recorded; nothing is planned for it. */
export interface LayState {
  /** Boxes were put in, a set-out was chosen or a row was laid. */
  isBegun: boolean;
  hasPlankSize: boolean;
  clocks: BoxClock[];
  batches: string[];
  /** What the maker says of more than one batch. */
  mixed: 'ask' | 'mix' | 'refuse';
  /** The newest look at the first box of each batch; null where none was taken. */
  checks: { batch: string; check: BoxCheck | null }[];
  planksBought: number;
  planksDamaged: number;
  rowsLaid: number;
  /** Empty where nothing is glued. */
  zones: GlueZone[];
  /** Of the base's surface over the dew point; null where no reading says. */
  dewMarginK: number | null;
  leastDewMarginK: number;
  /** Bays whose adhesive grew too old before planks lay in it, and bays that were not rolled in time. */
  bays: { old: number[]; unrolled: number[] };
  /** When the next bay is too late for either; null where none runs. */
  nextLateAt: string | null;
}

const MINUTE_MS = 60_000;
const ofBatch = (batch: string) => batch.trim().toLowerCase();

function zonesOf(set: RoomSet): GlueZone[] {
  if (set.card.kind !== 'glue-down-vinyl') return [];
  const residues = set.marks.filter(({ kind }) => kind === 'residue');
  const all = [
    { id: 'base', name: say('setout.zoneBase') as Sayable },
    ...residues.map(({ id, kind }, k) => ({
      id: `mark/${id}`,
      name: say('setout.zoneResidue', { what: MARK_WORDS[kind], number: k + 1 }) as Sayable,
    })),
  ];
  return all.map(({ id, name }): GlueZone => {
    const test = set.glueTests.findLast(({ zone }) => zone === id);
    const state = !test
      ? 'none'
      : test.isHeld === false
        ? 'failed'
        : test.isHeld === true && test.tackMin !== null
          ? 'held'
          : 'running';
    return { id, name, test: state, tackMin: test?.tackMin ?? null, begunAt: test?.begunAt ?? null };
  });
}

/** Bays by the clock of their adhesive and of the roller. */
function baysOf({ glueBays }: RoomSet, figure: FigureOf, atUtc: string): Pick<LayState, 'bays' | 'nextLateAt'> {
  const [workingMin, rollerMin] = [figure('glue-working-min'), figure('roller-within-min')];
  const newest = [...new Map(glueBays.map((one) => [one.bay, one])).values()];
  const late = newest.flatMap(({ bay, spreadAt, laidAt, rolledAt }) => {
    const [from, min] = laidAt === null ? [spreadAt, workingMin] : [laidAt, rollerMin];
    if (rolledAt !== null) return [];
    return [{ bay, isLaid: laidAt !== null, lateAt: new Date(Date.parse(from) + min * MINUTE_MS).toISOString() }];
  });
  const over = late.filter(({ lateAt }) => lateAt <= atUtc);
  const coming = late.filter(({ lateAt }) => lateAt > atUtc).map(({ lateAt }) => lateAt);
  return {
    bays: {
      old: over.filter(({ isLaid }) => !isLaid).map(({ bay }) => bay),
      unrolled: over.filter(({ isLaid }) => isLaid).map(({ bay }) => bay),
    },
    nextLateAt: coming.length === 0 ? null : coming.reduce((a, b) => (b < a ? b : a)),
  };
}

/** What was recorded of boxes, rows and adhesive, and where that leaves the laying. */
export function layStateOf(set: RoomSet, damp: DampJudged, atUtc: string): LayState {
  const { card, plankBoxes, boxChecks, damagedPlanks, laidRows, setOuts } = set;
  const air = roomAir(damp.context);
  const batches = [...new Map(plankBoxes.map(({ batch }) => [ofBatch(batch), batch])).values()];
  const read = set.airReadings.findLast(({ surfaceC }) => surfaceC !== null);
  return {
    isBegun: plankBoxes.length > 0 || setOuts.length > 0 || laidRows.length > 0,
    hasPlankSize: (card.plankLengthMm !== null || card.mixedLengths.length > 0) && card.plankWidthMm !== null,
    clocks: plankBoxes.map((boxes) => boxClock(boxes, air, card.acclimatiseH)),
    batches,
    mixed: answerTo(set.answers, BATCHES) ?? 'ask',
    checks: batches.map((batch) => ({
      batch,
      check: boxChecks.findLast((one) => ofBatch(one.batch) === ofBatch(batch)) ?? null,
    })),
    planksBought: plankBoxes.reduce((sum, { boxes, planksEach }) => sum + boxes * planksEach, 0),
    planksDamaged: damagedPlanks.reduce((sum, { planks }) => sum + planks, 0),
    rowsLaid: new Set(laidRows.filter(({ isLaid }) => isLaid).map(({ row, strip }) => `${row}/${strip}`)).size,
    zones: zonesOf(set),
    dewMarginK: read?.surfaceC == null ? null : read.surfaceC - dewPointC(read.tempC, read.rhPercent),
    leastDewMarginK: damp.context.figure('dew-margin-k'),
    ...baysOf(set, damp.context.figure, atUtc),
  };
}
