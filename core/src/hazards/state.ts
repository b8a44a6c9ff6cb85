import { allOf, say, type Said } from '../said/index.ts';
import { liesWithin } from '../room/index.ts';
import { LAYERS, PART_WORDS, type Layer, type Part, type Sample } from '../layers/index.ts';
import { releasedFrom, type CountryFacts } from './cutoffs.ts';

/** How a material stands: no hazard expected, let go by year, shut, opened by a negative result, or positive for good. */
type HazardState = 'clear' | 'released' | 'shut' | 'negative' | 'positive';

/** One material of a layer and how it stands. */
export interface Material {
  layerId: string;
  part: Part;
  hazard: 'asbestos' | 'coal-tar' | 'lead';
  state: HazardState;
  /** Why, in words. */
  words: Said;
}

const HAZARD_WORDS = { asbestos: 'asbestos', 'coal-tar': say('hazards.hazardWordsCoalTar'), lead: 'lead' } as const;

function bonded(layer: Layer): boolean {
  return layer.fixing === 'glued' || layer.fixing === 'unknown';
}

/** Every suspect material of a layer with its state. A result holds for its own part, hazard kinds alike, in its own area. */
export function materialsOf(layer: Layer, samples: readonly Sample[], job: CountryFacts): Material[] {
  return LAYERS[layer.kind].suspect
    .filter((s) => !s.bonded || bonded(layer))
    .map(({ part, hazard }) => {
      const name = allOf([LAYERS[layer.kind].words, PART_WORDS[part]]);
      const of = { layerId: layer.id, part, hazard };
      // A positive anywhere in the layer is enough; a negative must cover all of where the layer lies.
      const own = samples.filter((s) => s.layerId === layer.id && s.part === part);
      const positive = own.find((s) => s.result === 'positive');
      if (positive)
        return { ...of, state: 'positive', words: say('hazards.positive', { name, report: report(positive) }) };
      const negative = own.find((s) => s.result === 'negative' && liesWithin(layer.where, s.where));
      if (negative)
        return { ...of, state: 'negative', words: say('hazards.negative', { name, report: report(negative) }) };
      const from = releasedFrom(job, hazard);
      if (from !== null && layer.yearOf === 'layer' && layer.year !== null && layer.year >= from)
        return {
          ...of,
          state: 'released',
          words: say('hazards.madeOrLaterIsLetGo', { name, year: layer.year, from }),
        };
      return {
        ...of,
        state: 'shut',
        words: say('hazards.suspectFor', {
          name,
          hazardwords: HAZARD_WORDS[hazard],
          whyShut: whyShut(layer, job, from),
        }),
      };
    });
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

/** Painted skirting and frames: lead by the year written for them, or a result recorded for `trim`. */
export function trimState(samples: readonly Sample[], job: CountryFacts, year: number | null): Material {
  const of = { layerId: 'trim', part: 'finish', hazard: 'lead' } as const;
  const own = samples.filter((s) => s.layerId === 'trim');
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
