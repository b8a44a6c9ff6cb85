import type { PackCount } from '../bill/facts.ts';
import type { Block, PaperPage } from '../paper/index.ts';
import { productNames } from '../planning/product-names.ts';
import { celsius, decimals, listed, moment, say, type Sayable } from '../said/index.ts';
import type { ReportJob, ReportRoom } from './report-job.ts';

const worksTable = ({ set }: ReportRoom): Block => ({
  is: 'table',
  columns: [
    { title: say('report.material'), share: 4 },
    { title: say('report.batch'), share: 2 },
    { title: say('report.usedOn'), share: 3 },
    { title: say('report.planned'), share: 2, isFigure: true },
    { title: say('report.used'), share: 2, isFigure: true },
    { title: say('report.air'), share: 3 },
  ],
  rows: set.works.map(({ product, batch, doneAt, bagsPlanned, bagsUsed, tempC, rhPercent }): Sayable[] => [
    product || say('report.notNamed'),
    batch || say('report.notNamed'),
    say('said.asItIs', { what: moment(doneAt) }),
    decimalsOf(bagsPlanned),
    bagsUsed === null ? say('report.notCounted') : decimalsOf(bagsUsed),
    tempC === null && rhPercent === null
      ? say('report.notRead')
      : say('said.asItIs', {
          what: listed(
            [
              ...(tempC === null ? [] : [say('formats.c', { temperature: celsius(tempC) })]),
              ...(rhPercent === null ? [] : [say('formats.rh', { rhPercent })]),
            ],
            ', ',
          ),
        }),
  ]),
});

const decimalsOf = (value: number): Sayable =>
  say('said.asItIs', { what: decimals(value, Number.isInteger(value) ? 0 : 1) });

const boxesTable = ({ set }: ReportRoom): Block => ({
  is: 'table',
  columns: [
    { title: say('report.planks'), share: 4 },
    { title: say('report.batch'), share: 3 },
    { title: say('report.boxes'), share: 2, isFigure: true },
    { title: say('report.stoodFrom'), share: 4 },
  ],
  rows: set.plankBoxes.map(({ batch, boxes, stoodAt }): Sayable[] => [
    set.card.name,
    batch || say('report.notNamed'),
    String(boxes),
    say('said.asItIs', { what: moment(stoodAt) }),
  ]),
});

/** Packs as they were last counted, each product by its name. */
export function packsOf({
  rooms,
  packCounts,
}: Pick<ReportJob, 'rooms' | 'packCounts'>): (PackCount & { what: Sayable })[] {
  const nameOf = productNames(rooms.map(({ set }) => set));
  return [...new Map(packCounts.map((one) => [one.productId, one])).values()].map((count) => ({
    ...count,
    what: nameOf(count.productId),
  }));
}

/** Materials with batch, planned and used, the boxes, and the planks as laid. */
export function materialsPage(job: Pick<ReportJob, 'rooms' | 'packCounts'>): PaperPage {
  const packs = packsOf(job);
  const blocks = job.rooms.flatMap((room): Block[] => {
    const { set, assessment } = room;
    const laid = set.laidRows.filter(({ isLaid }) => isLaid).length;
    const judged = assessment.criteria.filter(({ part }) => part === 'under' || part === 'lay');
    return [
      { is: 'heading', text: set.room.name, id: `materials/${set.room.id}` },
      { is: 'text', text: say('report.coveredBy', { card: set.card.name }) },
      ...(set.works.length > 0 ? [worksTable(room)] : []),
      ...(set.plankBoxes.length > 0 ? [boxesTable(room)] : []),
      ...(laid > 0 ? [{ is: 'text' as const, text: say('report.rowsLaid', { count: laid }) }] : []),
      ...judged.map(({ title, margin }): Block => ({ is: 'text', bold: title, text: margin })),
    ];
  });
  return {
    id: 'materials',
    title: say('report.materials'),
    under: '',
    blocks: [
      ...blocks,
      ...(packs.length > 0
        ? [
            { is: 'heading' as const, text: say('report.packs') },
            {
              is: 'table' as const,
              columns: [
                { title: say('report.material'), share: 5 },
                { title: say('report.batch'), share: 3 },
                { title: say('report.planned'), share: 2, isFigure: true },
                { title: say('report.bought'), share: 2, isFigure: true },
                { title: say('report.used'), share: 2, isFigure: true },
              ],
              rows: packs.map(({ what, batch, planned, bought, opened }): Sayable[] => [
                what,
                batch || say('report.notNamed'),
                String(planned),
                String(bought),
                String(opened),
              ]),
            },
          ]
        : []),
    ],
  };
}
