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
  words: string;
}

const HAZARD_WORDS = { asbestos: 'asbestos', 'coal-tar': 'coal tar', lead: 'lead' } as const;

function bonded(layer: Layer): boolean {
  return layer.fixing === 'glued' || layer.fixing === 'unknown';
}

/** Every suspect material of a layer with its state. A result holds for its own part, hazard kinds alike, in its own area. */
export function materialsOf(layer: Layer, samples: readonly Sample[], job: CountryFacts): Material[] {
  return LAYERS[layer.kind].suspect
    .filter((s) => !s.bonded || bonded(layer))
    .map(({ part, hazard }) => {
      const name = `${LAYERS[layer.kind].words}, ${PART_WORDS[part]}`;
      const of = { layerId: layer.id, part, hazard };
      // A positive anywhere in the layer is enough; a negative must cover all of where the layer lies.
      const own = samples.filter((s) => s.layerId === layer.id && s.part === part);
      const positive = own.find((s) => s.result === 'positive');
      if (positive) return { ...of, state: 'positive', words: `${name}: positive, ${report(positive)}` };
      const negative = own.find((s) => s.result === 'negative' && liesWithin(layer.where, s.where));
      if (negative) return { ...of, state: 'negative', words: `${name}: negative, ${report(negative)}` };
      const from = releasedFrom(job, hazard);
      if (from !== null && layer.yearOf === 'layer' && layer.year !== null && layer.year >= from)
        return { ...of, state: 'released', words: `${name}: made ${layer.year}, ${from} or later is let go here` };
      return {
        ...of,
        state: 'shut',
        words: `${name}: suspect for ${HAZARD_WORDS[hazard]}, ${whyShut(layer, job, from)}`,
      };
    });
}

function report(sample: Sample): string {
  return `sample ${sample.sampleNo || 'without number'}, ${sample.laboratory || 'laboratory not named'}, ${sample.resultOn}`;
}

function whyShut(layer: Layer, job: CountryFacts, from: number | null): string {
  if (job.country === null) return 'the job’s country is not set';
  if (from === null) return 'no year lets it go here';
  if (layer.year === null) return 'its year is not known';
  if (layer.yearOf !== 'layer') return `${layer.year} is not the year of this layer itself`;
  return `made ${layer.year}, before ${from}`;
}

/** Painted skirting and frames: lead by the year written for them, or a result recorded for `trim`. */
export function trimState(samples: readonly Sample[], job: CountryFacts, year: number | null): Material {
  const of = { layerId: 'trim', part: 'finish', hazard: 'lead' } as const;
  const own = samples.filter((s) => s.layerId === 'trim');
  const last = own.find((s) => s.result === 'positive') ?? own.at(-1);
  if (last) return { ...of, state: last.result, words: `Paint on trim: ${last.result}, ${report(last)}` };
  const from = releasedFrom(job, 'lead');
  if (from !== null && year !== null && year >= from)
    return { ...of, state: 'released', words: `Paint on trim: ${year}, ${from} or later is let go here` };
  return { ...of, state: 'shut', words: 'Paint on trim: suspect for lead, its year is not known to be late enough' };
}
