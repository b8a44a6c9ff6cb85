import {
  day,
  figure,
  flag,
  group,
  key,
  kind,
  list,
  moment,
  orNull,
  parent,
  text,
  whole,
  type FactOf,
} from '../fields/index.ts';

/** Ranges taken in a price book, which a table of prices is read by as well. */
export const PRICE_RANGES = {
  pack: { min: 0.001, max: 100_000 },
  price: { min: 0, max: 100_000 },
  kg: { min: 0, max: 2000 },
  litres: { min: 0, max: 5000 },
} as const;

/** What a product costs where one buys it for a job. */
export const prices = kind('job', 'Price', {
  jobId: parent('jobs'),
  /** Name of the product in bills, such as `compound/self-levelling`. */
  productId: key(120),
  name: text(120),
  unit: text(12),
  pack: figure(PRICE_RANGES.pack.min, PRICE_RANGES.pack.max),
  price: figure(PRICE_RANGES.price.min, PRICE_RANGES.price.max),
  /** Whether tax is in the price. */
  hasTax: flag(),
  supplier: text(80),
  pricedOn: day(),
  /** Weight of a pack and room it takes in the van. */
  kg: figure(PRICE_RANGES.kg.min, PRICE_RANGES.kg.max),
  litres: figure(PRICE_RANGES.litres.min, PRICE_RANGES.litres.max),
  /** Hours an opened pack keeps, and days a sealed one does; null where it keeps. */
  openedH: orNull(figure(0, 20_000, 'h')),
  sealedDays: orNull(whole(1, 3650)),
  source: text(300),
});
export type Price = FactOf<typeof prices>;

/** What was bought for a job and opened: the rest goes back, and the next estimate is made by it. */
export const packCounts = kind(
  'job',
  'Packs bought',
  {
    jobId: parent('jobs'),
    productId: key(120),
    boughtOn: day(),
    bought: whole(0, 2000),
    opened: whole(0, 2000),
    planned: whole(0, 2000),
    batch: text(60),
    useBy: day(),
    note: text(500),
  },
  { newestCounts: true },
);
export type PackCount = FactOf<typeof packCounts>;

const CENTS_MOST = 1_000_000_000;
const cents = () => whole(-CENTS_MOST, CENTS_MOST);

/** A price as it was given to the client: it stands as it was, whatever is worked out later. */
export const quotations = kind(
  'job',
  'Quotation',
  {
    jobId: parent('jobs'),
    number: whole(1, 100_000),
    givenAt: moment(),
    validDays: whole(1, 365),
    lines: list(group({ what: text(200), cents: cents() }), 'lines', 200),
    netCents: cents(),
    taxCents: cents(),
    grossCents: cents(),
    contingencyCents: cents(),
    promisedDay: day(),
    note: text(1000),
  },
  { newestCounts: true },
);
export type Quotation = FactOf<typeof quotations>;
