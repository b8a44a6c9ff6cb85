import * as formats from '@maquette/core/formats';
import { cardsCsv, cardsJson, readCards } from '@maquette/facts/card-file';
import { readTable, tableOf } from '@maquette/facts/table';

/** Every reader and writer of files, as one part: they share what takes tables apart. */
export const everyFormat = { ...formats, cardsCsv, cardsJson, readCards, readTable, tableOf };
