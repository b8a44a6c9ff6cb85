import { centsWords } from '../bill/index.ts';
import type { PaperPage } from '../paper/index.ts';
import { dayOf, say, type Sayable, sentence } from '../said/index.ts';
import { VERDICTS, type Criterion } from '../verdict/words.ts';
import type { ReportJob, ReportRoom } from './report-job.ts';

const day = (of: string) => dayOf(`${of}T12:00:00.000Z`);

/** So many lines of a kind the rooms of a job have together on a page that is read in a minute; the rest stands behind it. */
const LINES_TOGETHER = 9;

/** What is not well, the worst first. */
const openOf = ({ assessment }: ReportRoom): Criterion[] =>
  VERDICTS.filter((word) => word !== 'lay').flatMap((word) =>
    assessment.criteria.filter(({ verdict }) => verdict === word),
  );

/** The first lines of a kind; how many more there are stands with the last of them. */
const cutTo =
  (most: number) =>
  (lines: readonly Sayable[]): Sayable[] => {
    const shown = lines.slice(0, most);
    const last = shown.pop();
    if (last === undefined) return [say('report.nothing')];
    return [...shown, lines.length > most ? say('report.andMore', { what: last, count: lines.length - most }) : last];
  };

function foundIn(room: ReportRoom): Sayable[] {
  const was = room.before?.criteria.find(({ id, verdict }) => id === 'flat' && verdict !== 'lay');
  return [
    ...(was ? [say('report.foundBefore', { what: was.margin })] : []),
    ...openOf(room).map(({ margin }) => margin),
  ];
}

function doneIn({ set, assessment }: ReportRoom): Sayable[] {
  const ticked = new Set(set.ticks.map(({ key }) => key));
  return [
    ...assessment.strip.steps.filter(({ key }) => ticked.has(key)).map(({ words }) => sentence(words)),
    ...set.works.map(({ doneAt, way, product }) =>
      say('report.levelledOn', { day: dayOf(doneAt), what: product || wayWords(way) }),
    ),
    ...(set.laidRows.some(({ isLaid }) => isLaid)
      ? [say('report.rowsLaid', { count: set.laidRows.filter(({ isLaid }) => isLaid).length })]
      : []),
  ];
}

function wayWords(way: ReportRoom['set']['works'][number]['way']): Sayable {
  switch (way) {
    case 'mixed':
      return say('report.wayMixed');
    case 'fill':
      return say('report.wayFill');
    case 'grind':
      return say('report.wayGrind');
    case 'ramp':
      return say('report.wayRamp');
    case 'plane':
      return say('report.wayPlane');
    case 'panel':
      return say('report.wayPanel');
  }
}

/** Price and day as they were given, each a sentence of its own. */
function agreed({ quotations, keptPlans, currency }: ReportJob): Sayable[] {
  const [price, plan] = [quotations.at(-1), keptPlans.at(-1)];
  return [
    price
      ? say('report.priceGiven', {
          number: price.number,
          day: dayOf(price.givenAt),
          sum: centsWords(price.grossCents, currency),
        })
      : say('report.noPriceGiven'),
    plan && plan.promisedDay !== ''
      ? say('report.dayPromised', { day: day(plan.promisedDay), kept: dayOf(plan.keptAt) })
      : say('report.noDayPromised'),
  ];
}

/** The second page: what was found, what was done, what is left, room by room; price and day as agreed. */
export function workPage(job: ReportJob): PaperPage {
  const cut = cutTo(Math.max(1, Math.min(3, Math.floor(LINES_TOGETHER / Math.max(1, job.rooms.length)))));
  return {
    id: 'work',
    title: say('report.foundDoneLeft'),
    under: '',
    blocks: [
      ...job.rooms.flatMap((room): PaperPage['blocks'] => [
        { is: 'heading', text: room.set.room.name },
        {
          is: 'pairs',
          rows: [
            [say('report.found'), cut(foundIn(room))],
            ...(doneIn(room).length > 0 ? [[say('report.done'), cut(doneIn(room))] as const] : []),
            [say('report.toDo'), cut(openOf(room).map(({ next }) => next))],
          ],
        },
      ]),
      { is: 'heading', text: say('report.priceAndDay') },
      ...agreed(job).map((text) => ({ is: 'text' as const, text })),
      { is: 'text', text: say('report.evidenceBehind'), quiet: true },
    ],
  };
}
