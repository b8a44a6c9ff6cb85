export { hireOf, type HireRate, type HireStretch, isBoughtCheaper } from './hire.ts';
export { type Cents, type Milli, milli, type NetLine, parted, priced, totalOf, wholeOf, withMargin } from './money.ts';
export { type Need, packsFor, type Pool, poolsOf, type Product } from './packs.ts';
export { shoppingRuns, type ShoppingRun, type ToFetch, type Van } from './shopping.ts';
export type { PackCount, Price, Quotation } from './facts.ts';
export { PRICE_RANGES } from './facts.ts';
export { centsWords } from './money-words.ts';
