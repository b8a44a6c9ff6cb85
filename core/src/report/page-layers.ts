import { fromTheTop, layerName } from '../layers/index.ts';
import type { Block, PaperPage } from '../paper/index.ts';
import { layersLeft } from '../stripout/index.ts';
import { MARK_WORDS } from '../soundness/index.ts';
import { allOf, gap, say, type Sayable } from '../said/index.ts';
import { placeWords } from '../verdict/index.ts';
import type { ReportRoom } from './report-job.ts';

function layerRows({ set, assessment }: ReportRoom): Sayable[][] {
  const { strip } = assessment;
  const left = new Set(layersLeft(set));
  return fromTheTop(set.layers).map((layer) => {
    const stays = strip.keptLayerIds.includes(layer.id);
    const gate = strip.gates.find(({ layerId }) => layerId === layer.id);
    const known = (gate?.materials ?? []).filter(({ state }) => state === 'positive' || state === 'shut');
    return [
      layerName(layer),
      say('said.asItIs', { what: gap(layer.thicknessMm) }),
      !left.has(layer) ? say('report.takenUp') : stays ? say('report.stays') : say('report.comesUp'),
      known.length === 0
        ? say('report.nothingSuspect')
        : allOf(
            known.map(({ words }) => words),
            '; ',
          ),
    ];
  });
}

function roomBlocks(room: ReportRoom): Block[] {
  const { set, assessment } = room;
  const rows = layerRows(room);
  return [
    { is: 'heading', text: set.room.name, id: `layers/${set.room.id}` },
    rows.length > 0
      ? {
          is: 'table',
          columns: [
            { title: say('report.layer'), share: 4 },
            { title: say('report.thickness'), share: 2, isFigure: true },
            { title: say('report.fate'), share: 3 },
            { title: say('report.suspect'), share: 5 },
          ],
          rows,
        }
      : { is: 'text', text: say('report.noLayers') },
    ...(set.marks.length > 0
      ? [
          {
            is: 'table' as const,
            columns: [
              { title: say('report.damage'), share: 4 },
              { title: say('report.where'), share: 5 },
              { title: say('report.photographs'), share: 2, isFigure: true },
            ],
            rows: set.marks.map((mark): Sayable[] => [
              MARK_WORDS[mark.kind],
              placeWords(set.room, assessment.plan, [mark.xMm, mark.yMm]),
              String(set.photos.filter(({ aboutId }) => aboutId === mark.id).length),
            ]),
          },
        ]
      : []),
    ...assessment.criteria
      .filter(({ part }) => part === 'strip' || part === 'sound')
      .map(({ title, margin }): Block => ({ is: 'text', bold: title, text: margin })),
  ];
}

/** Layers kept and taken up, what is suspected in them, and damage that was found. */
export const layersPage = (rooms: readonly ReportRoom[]): PaperPage => ({
  id: 'layers',
  title: say('report.layersAndHazards'),
  under: '',
  blocks: rooms.flatMap(roomBlocks),
});
