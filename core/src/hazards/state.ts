import { allOf, say, type Said } from '../said/index.ts';
import { liesWithin } from '../room/index.ts';
import {
  ANALYTE_WORDS,
  LAYERS,
  PART_WORDS,
  type Analyte,
  type Hazard,
  type Layer,
  type Part,
  type Sample,
} from '../layers/index.ts';
import { releasedFrom, type CountryFacts } from './cutoffs.ts';

/** How a material stands: no hazard expected, let go by year, shut, opened by a negative result, or positive for good. */
type HazardState = 'clear' | 'released' | 'shut' | 'negative' | 'positive';

/** One material of a layer and how it stands. */
export interface Material {
  layerId: string;
  part: Part;
  hazard: Analyte;
  state: HazardState;
  /** Why, in words. */
  words: Said;
}

function bonded(layer: Layer): boolean {
  return layer.fixing === 'glued' || layer.fixing === 'unknown';
}

/** What a part of a layer is suspected of by its kind. */
function suspectedOf(layer: Layer, part: Part): Hazard[] {
  return LAYERS[layer.kind].suspect.filter((s) => s.part === part).map(({ hazard }) => hazard);
}

/**
 * Whether a result speaks of a hazard: it was analysed for it. A record that does not say for what speaks of the hazard its material is
 * suspected of where that is one only; where there are several, a positive speaks of each and a negative of none.
 */
function speaksOf(sample: Sample, hazard: Analyte, suspected: readonly Hazard[]): boolean {
  if (sample.analyte !== 'unstated') return sample.analyte === hazard;
  return sample.result === 'positive' || (suspected.length === 1 && suspected[0] === hazard);
}

/**
 * Every suspect material of a layer with its state, and whatever else a laboratory has found in it. A result holds for its own part,
 * for what it was analysed for and in its own area.
 */
export function materialsOf(layer: Layer, samples: readonly Sample[], job: CountryFacts): Material[] {
  const own = samples.filter((s) => s.layerId === layer.id);
  const suspected = LAYERS[layer.kind].suspect
    .filter((s) => !s.bonded || bonded(layer))
    .map(({ part, hazard }) => suspectOf(layer, part, hazard, own, job));
  const known = (sample: Sample) =>
    suspected.some(
      (m) =>
        m.part === sample.part &&
        m.state === 'positive' &&
        (sample.analyte === 'unstated' || m.hazard === sample.analyte),
    );
  // Nobody expected it there, and a laboratory has found it all the same.
  const found = own
    .filter((sample) => sample.result === 'positive' && !known(sample))
    .map((sample) => positiveIn(nameOf(layer, sample.part), layer.id, sample));
  return [...suspected, ...found];
}

const nameOf = (layer: Layer, part: Part): Said => allOf([LAYERS[layer.kind].words, PART_WORDS[part]]);

function positiveIn(name: Said, layerId: string, sample: Sample): Material {
  const hazard = sample.analyte === 'unstated' ? 'other' : sample.analyte;
  return {
    layerId,
    part: sample.part,
    hazard,
    state: 'positive',
    words: say('hazards.positive', { name, hazard: ANALYTE_WORDS[hazard], report: report(sample) }),
  };
}

function suspectOf(layer: Layer, part: Part, hazard: Hazard, own: readonly Sample[], job: CountryFacts): Material {
  const name = nameOf(layer, part);
  const of = { layerId: layer.id, part, hazard };
  const sought = ANALYTE_WORDS[hazard];
  const answers = own.filter((s) => s.part === part && speaksOf(s, hazard, suspectedOf(layer, part)));
  // A positive anywhere in the layer is enough; a negative must cover all of where the layer lies.
  const positive = answers.find((s) => s.result === 'positive');
  if (positive)
    return {
      ...of,
      state: 'positive',
      words: say('hazards.positive', { name, hazard: sought, report: report(positive) }),
    };
  const negative = answers.find((s) => s.result === 'negative' && liesWithin(layer.where, s.where));
  if (negative)
    return {
      ...of,
      state: 'negative',
      words: say('hazards.negative', { name, hazard: sought, report: report(negative) }),
    };
  const from = releasedFrom(job, hazard);
  if (from !== null && layer.yearOf === 'layer' && layer.year !== null && layer.year >= from)
    return { ...of, state: 'released', words: say('hazards.madeOrLaterIsLetGo', { name, year: layer.year, from }) };
  return {
    ...of,
    state: 'shut',
    words: say('hazards.suspectFor', { name, hazard: sought, whyShut: whyShut(layer, job, from) }),
  };
}

function report(sample: Sample): Said {
  return say('hazards.sample', {
    sampleNo: sample.sampleNo || say('hazards.withoutNumber'),
    laboratory: sample.laboratory || say('hazards.laboratoryNotNamed'),
    resultOn: sample.resultOn,
  });
}

function whyShut(layer: Layer, job: CountryFacts, from: number | null): Said {
  if (job.country === null) return say('hazards.theJobsCountryIsNotSet');
  if (from === null) return say('hazards.noYearLetsItGoHere');
  if (layer.year === null) return say('hazards.itsYearIsNotKnown');
  if (layer.yearOf !== 'layer') return say('hazards.isNotTheYearOfThis', { year: layer.year });
  return say('hazards.madeBefore', { year: layer.year, from });
}

/** The only hazard painted trim is suspected of. */
const TRIM_SUSPECT: readonly Hazard[] = ['lead'];

/** Painted skirting and frames: lead by the year written for them, or a result recorded for `trim`. */
export function trimState(samples: readonly Sample[], job: CountryFacts, year: number | null): Material {
  const of = { layerId: 'trim', part: 'finish', hazard: 'lead' } as const;
  const own = samples.filter((s) => s.layerId === 'trim' && speaksOf(s, 'lead', TRIM_SUSPECT));
  const last = own.find((s) => s.result === 'positive') ?? own.at(-1);
  if (last)
    return {
      ...of,
      state: last.result,
      words: say('hazards.paintOnTrim', { result: last.result, report: report(last) }),
    };
  const from = releasedFrom(job, 'lead');
  if (from !== null && year !== null && year >= from)
    return { ...of, state: 'released', words: say('hazards.paintOnTrimOrLaterIs', { year, from }) };
  return { ...of, state: 'shut', words: say('hazards.paintOnTrimSuspectForLead') };
}

/** What else a laboratory has found in the paint of the trim. */
export const foundInTrim = (samples: readonly Sample[]): Material[] =>
  samples
    .filter((s) => s.layerId === 'trim' && s.result === 'positive' && !speaksOf(s, 'lead', TRIM_SUSPECT))
    .map((sample) => positiveIn(say('hazards.trim'), 'trim', sample));
