import { BAR_WORDS } from '../heights/index.ts';
import type { Block, PaperPage } from '../paper/index.ts';
import { openingName } from '../room/index.ts';
import { gap, say, type Sayable } from '../said/index.ts';
import type { ReportRoom } from './report-job.ts';

function openingRows({ set, assessment }: ReportRoom): Sayable[][] {
  return (assessment.heights?.judged.openings ?? []).flatMap((one) => {
    const opening = set.room.openings.find(({ id }) => id === one.openingId);
    if (!opening) return [];
    const { kind, worstMm } = one.bar;
    return [
      [
        openingName(set.room, opening),
        one.step && worstMm !== null ? say('said.asItIs', { what: gap(worstMm) }) : say('report.notRead'),
        kind === 'measure' ? say('report.toBeRead') : kind === 'make-good' ? say('report.toMakeGood') : BAR_WORDS[kind],
        one.clearance ? say('said.asItIs', { what: gap(one.clearance.leastMm) }) : say('report.noLeaf'),
        one.provisional ? say('report.provisional') : say('report.settled'),
      ],
    ];
  });
}

const TABLE = [
  { title: say('report.opening'), share: 4 },
  { title: say('report.step'), share: 2, isFigure: true },
  { title: say('report.bar'), share: 4 },
  { title: say('report.underLeaf'), share: 2, isFigure: true },
  { title: say('report.standing'), share: 3 },
] as const;

function roomBlocks(room: ReportRoom): Block[] {
  const rows = openingRows(room);
  const judged = room.assessment.criteria.filter(({ part }) => part === 'heights');
  return [
    { is: 'heading', text: room.set.room.name, id: `heights/${room.set.room.id}` },
    rows.length > 0 ? { is: 'table', columns: TABLE, rows } : { is: 'text', text: say('report.noOpenings') },
    ...judged.map(({ title, margin }): Block => ({ is: 'text', bold: title, text: margin })),
  ];
}

/** Heights at openings: the step, the bar that takes it, and what is left under the leaf. */
export const heightsPage = (rooms: readonly ReportRoom[]): PaperPage => ({
  id: 'heights',
  title: say('report.heights'),
  under: '',
  blocks: rooms.flatMap(roomBlocks),
});
