import { say, type Said } from '../said/index.ts';
import { USUAL_ACCESS, type AccessRule } from './bar.ts';

/** What access rules allow at a doorway, with where that comes from: local code wins, and every figure can be set per job. */
export interface CountryAccess {
  rule: AccessRule;
  source: Said;
}

const USUAL = say('heights.accessUsual');

/** Countries whose rules are in common use otherwise than as is usual; all others take the usual ones. */
const BY_COUNTRY: Readonly<Record<string, CountryAccess>> = {
  // A quarter of an inch upright, up to half an inch bevelled 1 to 2, then a ramp of 1 in 12.
  US: { rule: { uprightMm: 6.35, bevelledMm: 12.7, bevelRatio: 2, rampRatio: 12 }, source: say('heights.accessUs') },
  // An upstand of 15 mm at most, its edge chamfered where it stands over 5 mm.
  GB: { rule: { uprightMm: 5, bevelledMm: 15, bevelRatio: 2, rampRatio: 15 }, source: say('heights.accessGb') },
};

/** Figures of the job by which a country's rule is set otherwise. */
const NAMES = {
  uprightMm: 'access-upright-mm',
  bevelledMm: 'access-bevel-mm',
  bevelRatio: 'access-bevel-ratio',
  rampRatio: 'access-ramp-ratio',
} as const;

/** The access rule of a job: its country's, else what is usual, with every figure that the job sets itself in its place. */
export function accessOf(country: string | null, own: readonly { name: string; value: number }[]): CountryAccess {
  const { rule, source } = BY_COUNTRY[country ?? ''] ?? { rule: USUAL_ACCESS, source: USUAL };
  const set = (key: keyof AccessRule) => own.findLast(({ name }) => name === NAMES[key])?.value ?? rule[key];
  return {
    rule: {
      uprightMm: set('uprightMm'),
      bevelledMm: set('bevelledMm'),
      bevelRatio: set('bevelRatio'),
      rampRatio: set('rampRatio'),
    },
    source: own.some(({ name }) => (Object.values(NAMES) as string[]).includes(name))
      ? say('heights.accessOwn')
      : source,
  };
}
