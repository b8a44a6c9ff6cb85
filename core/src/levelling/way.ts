import { say, type Said } from '../said/index.ts';
import type { Certificate } from './certificate.ts';
import { dryingHours, needOf, type CompoundCard, type CompoundNeed } from './compound.ts';
import { mapAt, type LevellingJob } from './job.ts';
import { amounts } from './finished.ts';
import { patchesOf, type Patch } from './patches.ts';
import type { Change } from './programme.ts';
import { refusalOf, type Refusal } from './refusal.ts';
import type { Placement, PredictedStation } from '../flat/index.ts';

/** Ways a programme or a fill leads to; pours to a plane and panels are worked out apart. */
export type WayId = 'mixed' | 'fill' | 'grind' | 'ramp';

/** One line of a cost, as it is worked out: how much of what at which rate. */
export interface CostLine {
  words: Said;
  amount: number;
  unit: string;
  rate: number;
  cost: number;
}

/** How far the floor rises at an opening, mm: negative where it is taken down. */
export interface OpeningRise {
  id: string;
  name: Said;
  leastMm: number;
  mostMm: number;
}

/** A way of making the floor keep its rules, worked out to bags, hours and money, and certified. */
export interface Way {
  id: WayId;
  /** Places to fill, A, B ..., and to grind, G1, G2 ... */
  patches: Patch[];
  grinding: Patch[];
  fillL: number;
  grindL: number;
  touchedM2: number;
  deepestFillMm: number;
  deepestGrindMm: number;
  /** Products for this fill, the one that suits and costs least first; empty where nothing is filled. */
  needs: CompoundNeed[];
  primerL: number;
  cost: number;
  costLines: CostLine[];
  hours: number;
  /** Hours before the floor may be covered: primer, compound. */
  dryH: number;
  rises: OpeningRise[];
  /** What each station is to read after the work. */
  predicted: PredictedStation[];
  certificates: Certificate[];
  /** Rocking left over the rule: filling alone is not the cure there. */
  rocking: Placement | null;
  holds: boolean;
  /** Which limit it does not keep, and where; null where it keeps them all. */
  refusal: Refusal | null;
  change: Change;
}

/** Thinner than this is not worked, mm. */
const WORKED_MM = 0.05;

/** Works a change of the floor out: patches, bags, cost, hours, drying, rise at each opening; with the certificates of what it leaves. */
export function wayOf(job: LevellingJob, id: WayId, change: Change, certificates: Certificate[]): Way {
  const { grid, contactsOnly } = job;
  const patches = patchesOf(grid, change.fillMm);
  const grinding = patchesOf(grid, change.grindMm).map((area, i) => ({ ...area, label: `G${i + 1}` }));
  const { fillL, grindL, touchedM2 } = amounts(grid, change.fillMm, change.grindMm);
  const deepestFillMm = Math.max(0, ...patches.map((p) => p.deepestMm));
  const needs = fillL > 0 ? needsFor(job, fillL, 0, deepestFillMm) : [];
  const priced = costOf(job, { fillL, grindL, touchedM2, need: needs[0] ?? null });
  const refusal = refusalOf(job, change, needs[0]?.compound.kgPerM2Mm ?? 0);
  return {
    id,
    patches,
    grinding,
    fillL,
    grindL,
    touchedM2,
    deepestFillMm,
    deepestGrindMm: Math.max(0, ...grinding.map((p) => p.deepestMm)),
    needs,
    ...priced,
    dryH: needs[0] ? dryingHours(needs[0].compound, deepestFillMm, job.figure) : 0,
    rises: risesOf(job, change),
    predicted: predictedOf(job, change),
    certificates,
    rocking: contactsOnly ? null : (certificates.find((c) => !c.crownHolds)?.worstCrown ?? null),
    holds: refusal === null && certificates.every((certificate) => certificate.holds),
    refusal,
    change,
  };
}

/** Needs of every product for a volume: those that suit first, the cheapest of them at the top. */
export function needsFor(job: LevellingJob, volumeL: number, thinnestMm: number, deepestMm: number): CompoundNeed[] {
  const waste = job.figure('waste-pct') / 100;
  const cost = ({ compound, bags }: CompoundNeed) => bags * compound.bagCost;
  // The fibre product gives with boards: on timber it leads wherever it suits, elsewhere it comes last.
  const turn = (compound: CompoundCard) => Number((compound.id === 'fibre-levelling') !== job.timber);
  return job.compounds
    .map((compound) => needOf(compound, volumeL, thinnestMm, deepestMm, waste, job.sulfate))
    .sort(
      (a, b) =>
        Number(a.unsuited !== null) - Number(b.unsuited !== null) ||
        turn(a.compound) - turn(b.compound) ||
        cost(a) - cost(b),
    );
}

/** Cost of materials and hours, line by line, so that each can be traced. */
export function costOf(
  { figure, sulfate }: LevellingJob,
  { fillL, grindL, touchedM2, need }: { fillL: number; grindL: number; touchedM2: number; need: CompoundNeed | null },
): Pick<Way, 'cost' | 'costLines' | 'hours' | 'primerL'> {
  const labour = figure('labour-h');
  const primerL = fillL > 0 ? touchedM2 * figure('primer-l-m2') : 0;
  const mixingH = need ? (need.bags * figure('bag-min')) / 60 : 0;
  const grindingH = grindL / figure('grind-l-h');
  const touchH = touchedM2 * figure('touch-h-m2');
  const skinH = sulfate && fillL > 0 ? touchedM2 * figure('skin-h-m2') : 0;
  const days = Math.ceil((grindingH + 1e-9) / figure('hours-a-day'));
  const line = (words: Said, amount: number, unit: string, rate: number): CostLine[] =>
    amount > 0 ? [{ words, amount, unit, rate, cost: amount * rate }] : [];
  const costLines = [
    ...(need ? line(need.compound.name, need.bags, 'bags', need.compound.bagCost) : []),
    ...line(say('levelling.sandTheSkin'), skinH, 'h', labour),
    ...line(say(sulfate ? 'levelling.ratedPrimer' : 'levelling.costLines2'), primerL, 'l', figure('primer-cost-l')),
    ...line(say('levelling.costLines3'), mixingH, 'h', labour),
    ...line(say('levelling.costLines4'), grindingH, 'h', labour),
    ...line(say('levelling.costLines5'), touchH, 'h', labour),
    ...(grindL > 0
      ? line(say('levelling.costLines6'), days, 'days', figure('grinder-day') + figure('extractor-day'))
      : []),
  ];
  return {
    primerL,
    hours: mixingH + grindingH + touchH + skinH,
    costLines,
    cost: costLines.reduce((sum, { cost }) => sum + cost, 0),
  };
}

/** Heights of the stations once a change is carried out. */
export function predictedOf({ grid, stations }: LevellingJob, { fillMm, grindMm }: Change): PredictedStation[] {
  return stations.map(({ stationKey, xMm, yMm, heightMm }) => ({
    stationKey,
    xMm,
    yMm,
    beforeMm: heightMm,
    afterMm: heightMm + mapAt(grid, fillMm, { xMm, yMm }) - mapAt(grid, grindMm, { xMm, yMm }),
  }));
}

/** What a change does at each opening. */
export function risesOf({ openings }: LevellingJob, { fillMm, grindMm }: Change): OpeningRise[] {
  return openings.map(({ id, name, cells }) => {
    const rises = cells.map((cell) => {
      const rise = fillMm[cell]! - grindMm[cell]!;
      return Math.abs(rise) < WORKED_MM ? 0 : rise;
    });
    return { id, name, leastMm: Math.min(0, ...rises), mostMm: Math.max(0, ...rises) };
  });
}
