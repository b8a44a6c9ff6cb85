import { say, type Said } from '../said/index.ts';
/** First year of making from which a country's bans let a documented material go untested; null where none is shipped. */
interface CutOff {
  words: Said;
  asbestosFrom: number | null;
  leadFrom: number | null;
}

/**
 * Shipped table: the year after the national ban took hold, on the careful side. Law changes and has exceptions: it is
 * editable per job, and the local authority decides. A country without a figure releases nothing by year.
 */
export const CUT_OFFS: Record<string, CutOff> = {
  AT: { words: say('hazards.cutOffsAt'), asbestosFrom: 1995, leadFrom: null },
  AU: { words: say('hazards.cutOffsAu'), asbestosFrom: 2004, leadFrom: 2011 },
  CA: { words: say('hazards.cutOffsCa'), asbestosFrom: 2019, leadFrom: 2011 },
  CH: { words: say('hazards.cutOffsCh'), asbestosFrom: 1995, leadFrom: null },
  DE: { words: say('hazards.cutOffsDe'), asbestosFrom: 1994, leadFrom: null },
  DK: { words: say('hazards.cutOffsDk'), asbestosFrom: 1991, leadFrom: null },
  FR: { words: say('hazards.cutOffsFr'), asbestosFrom: 1998, leadFrom: null },
  GB: { words: say('hazards.cutOffsGb'), asbestosFrom: 2000, leadFrom: 1993 },
  IE: { words: say('hazards.cutOffsIe'), asbestosFrom: 2001, leadFrom: null },
  NL: { words: say('hazards.cutOffsNl'), asbestosFrom: 1994, leadFrom: null },
  NZ: { words: say('hazards.cutOffsNz'), asbestosFrom: 2017, leadFrom: null },
  US: { words: say('hazards.cutOffsUs'), asbestosFrom: null, leadFrom: 1979 },
};

/** What a job says in the table's place. */
export interface CountryFacts {
  /** Two letters, or null while unset: then everything suspect stays suspect. */
  country: string | null;
  /** The job's own years; null takes the table's. */
  asbestosFrom: number | null;
  leadFrom: number | null;
}

/** First year free of a hazard for a job, or null where no year releases anything. Coal tar is never released by year. */
export function releasedFrom(job: CountryFacts, hazard: 'asbestos' | 'lead' | 'coal-tar'): number | null {
  if (job.country === null || hazard === 'coal-tar') return null;
  const table = CUT_OFFS[job.country];
  return hazard === 'asbestos'
    ? (job.asbestosFrom ?? table?.asbestosFrom ?? null)
    : (job.leadFrom ?? table?.leadFrom ?? null);
}
