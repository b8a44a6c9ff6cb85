import type { Block, PaperPage } from '../paper/index.ts';
import { say, type Sayable } from '../said/index.ts';
import { claimRows, momentOr } from './claim-rows.ts';
import type { ReportRoom } from './report-job.ts';

const COLUMNS = [
  { title: say('report.clause'), share: 4 },
  { title: say('report.asked'), share: 5 },
  { title: say('report.shown'), share: 4 },
  { title: say('report.margin'), share: 3 },
  { title: say('report.when'), share: 4 },
  { title: say('report.instrument'), share: 4 },
  { title: say('report.photographs'), share: 2, isFigure: true },
] as const;

/** The claim table: each clause of the covering’s card against the reading that decides it. Where nothing shows it, that is said. */
export const claimPage = (rooms: readonly ReportRoom[]): PaperPage => ({
  id: 'claim',
  title: say('report.claim'),
  under: '',
  blocks: rooms.flatMap((room): Block[] => [
    { is: 'heading', text: room.set.room.name, id: `claim/${room.set.room.id}` },
    { is: 'text', text: say('report.coveredBy', { card: room.set.card.name }) },
    {
      is: 'table',
      columns: COLUMNS,
      rows: claimRows(room).map(({ clause, asked, shown, margin, at, instrument, photographs }): Sayable[] => [
        clause,
        asked,
        shown ?? say('report.notShown'),
        margin,
        momentOr(at),
        instrument,
        String(photographs),
      ]),
    },
  ]),
});
