import type { Block, Paper } from '../paper/index.ts';
import { dayOf, moment, say } from '../said/index.ts';
import { careOf, materialsBeneath } from './page-left.ts';
import type { ReportJob } from './report-job.ts';

/** Box a signature is drawn in, units of its path. */
export const SIGNATURE_BOX = { width: 320, height: 120 } as const;

/** What is handed over with a job: who took it, what was left with it, care, and what the next trade has to know. */
export function handOverPaper(job: ReportJob): Paper {
  const last = job.handOvers.at(-1) ?? null;
  const beneath = materialsBeneath(job.rooms);
  const signed: Block[] = last
    ? [
        { is: 'text', text: say('report.takenBy', { by: last.by, at: moment(last.handedAt) }) },
        { is: 'signature', path: last.signature, ...SIGNATURE_BOX, name: last.by },
        {
          is: 'text',
          text: say('report.spare', { count: last.sparePlanks, batch: last.batch || say('report.notNamed') }),
        },
        ...(last.furnitureFrom === ''
          ? []
          : [
              {
                is: 'text' as const,
                text: say('report.noFurniture', { day: dayOf(`${last.furnitureFrom}T12:00:00.000Z`) }),
              },
            ]),
      ]
    : [
        { is: 'text', text: say('report.notHandedOver') },
        { is: 'rules', count: 3, label: say('report.signHere') },
      ];
  return {
    title: say('report.handOverTitle', { job: job.name }),
    about: say('report.about', { job: job.name, day: dayOf(job.atUtc) }),
    foot: say('report.foot'),
    mark: '',
    code: null,
    pages: [
      {
        id: 'hand-over',
        title: say('report.handOver'),
        under: '',
        blocks: [...signed, { is: 'heading', text: say('report.care') }, { is: 'list', items: careOf(job.rooms) }],
      },
      {
        id: 'next-trade',
        title: say('report.nextTrade'),
        under: '',
        blocks: [
          { is: 'heading', text: say('report.leftBeneath') },
          beneath.length > 0 ? { is: 'list', items: beneath } : { is: 'text', text: say('report.nothingBeneath') },
          { is: 'heading', text: say('report.howBuilt') },
          {
            is: 'list',
            items: job.rooms.map(({ set }) => say('report.inRoom', { room: set.room.name, what: set.card.name })),
          },
          { is: 'text', text: say('report.askBeforeDrilling') },
        ],
      },
    ],
  };
}
