import type { Block, Paper } from '../../paper/index.ts';
import type { JobCourse } from '../../planning/index.ts';
import { dayOf, moment, say, type Sayable } from '../../said/index.ts';
import { floorPaper, type FloorPaperOf } from './sheet-of.ts';

const day = (of: string) => dayOf(`${of}T12:00:00.000Z`);

/** The next days with work on them, so many at most. */
const DAYS_MOST = 10;

/** What is done on the next days, by the clock, with a box to tick. */
export function daySheet(of: FloorPaperOf, { days }: Pick<JobCourse, 'days'>): Paper {
  const format = new Intl.DateTimeFormat('en-CA', { timeZone: days.zone });
  const dayIn = (utc: string) => format.format(new Date(utc));
  const name = (roomId: string | null) => days.rooms.find(({ id }) => id === roomId)?.name ?? '';
  const lines = days.tasks
    .filter(({ kind, doneAt }) => kind === 'work' && doneAt === null)
    .flatMap((task) => task.stretches.map((stretch) => ({ task, ...stretch })))
    .sort((a, b) => (a.from < b.from ? -1 : 1));
  const worked = [...new Set(lines.map(({ from }) => dayIn(from)))].slice(0, DAYS_MOST);
  const blocks = worked.flatMap((one): Block[] => [
    { is: 'heading', text: say('said.asItIs', { what: day(one) }) },
    {
      is: 'table',
      columns: [
        { title: say('report.when'), share: 5 },
        { title: say('report.room'), share: 4 },
        { title: say('report.what'), share: 9 },
        { title: say('report.ticked'), share: 2 },
      ],
      rows: lines
        .filter(({ from }) => dayIn(from) === one)
        .map(({ task, from }): Sayable[] => [
          say('said.asItIs', { what: moment(from) }),
          name(task.roomId),
          task.readFirst ? say('report.readFirst', { what: task.words, first: task.readFirst }) : task.words,
          '',
        ]),
    },
  ]);
  return floorPaper(
    of,
    say('report.daySheet'),
    blocks.length > 0 ? blocks : [{ is: 'text', text: days.none ?? say('report.noWorkLeft') }],
  );
}

/** What is fetched on which trip, and how heavy it is. */
export function shoppingSheet(of: FloorPaperOf, { bill }: Pick<JobCourse, 'bill'>): Paper {
  const blocks = bill.runs.flatMap(({ supplier, byDay, load }): Block[] => [
    { is: 'heading', text: say('report.trip', { supplier: supplier || say('report.anyMerchant'), day: day(byDay) }) },
    {
      is: 'table',
      columns: [
        { title: say('report.what'), share: 9 },
        { title: say('report.packsNo'), share: 2, isFigure: true },
        { title: say('report.ticked'), share: 2 },
      ],
      rows: load.map(({ what, packs }): Sayable[] => [what, String(packs), '']),
    },
  ]);
  return floorPaper(
    of,
    say('report.shoppingSheet'),
    blocks.length > 0 ? blocks : [{ is: 'text', text: say('report.nothingToFetch') }],
  );
}
