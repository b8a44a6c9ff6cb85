import { country, figure, kind, mayLack, orNull, text, zone, type BodyOf } from '../fields/index.ts';

const YEAR = { min: 1900, max: 2100 } as const;

/** A job: one address, its rooms, and the country whose years let materials go. */
export const jobs = kind(
  'book',
  'Job',
  {
    name: text(80),
    about: text(200),
    rank: figure(-1e9, 1e9),
    /** Two capital letters, or null while unset: hazards by year depend on it. */
    country: orNull(country()),
    currency: text(8),
    /** Zone of the site’s clocks, such as `Europe/London`; empty, or left out by an earlier version, takes that of the device. */
    zone: mayLack(zone()),
    /** The job's own years; null takes the table's. */
    asbestosFrom: orNull(figure(YEAR.min, YEAR.max, 'year')),
    leadFrom: orNull(figure(YEAR.min, YEAR.max, 'year')),
  },
  { since: { country: null, currency: '', zone: '', asbestosFrom: null, leadFrom: null } },
);

/** What a job has before anything but its name is entered. */
export const BLANK_JOB: Omit<BodyOf<typeof jobs>, 'name' | 'rank'> = {
  about: '',
  country: null,
  currency: '',
  zone: '',
  asbestosFrom: null,
  leadFrom: null,
};
