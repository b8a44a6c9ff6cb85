import '@maquette/words/planning';

/** Pages of a job and what is due over all of them, as one part: they share what they are made of. */
export { AgendaScreen } from './agenda/agenda-screen.tsx';
export { BuyScreen } from './buy/buy-screen.tsx';
export { DaysScreen } from './days/days-screen.tsx';
export { JobPagesRow } from './job-pages-row.tsx';
export { PriceScreen } from './price/price-screen.tsx';
export { RecordScreen } from './record/record-screen.tsx';
