import { ruleWords } from '../coverings/index.ts';
import type { Block, PaperPage } from '../paper/index.ts';
import { decimals, gap, say, type Sayable } from '../said/index.ts';
import { levelFigure, mostOf } from './level-figure.ts';
import { factorFor, profileFigure, sectionLength } from './profile-figure.ts';
import type { ReportRoom } from './report-job.ts';

/** Each rule of the card: what it allows, what was found, and how it stands; of a levelled floor before as well. */
function rulesTable({ picture, before }: ReportRoom): Block {
  const was = (k: number): Sayable => {
    const rule = before?.rules[k];
    return rule ? say('said.asItIs', { what: gap(rule.worstMm) }) : say('report.notLevelled');
  };
  return {
    is: 'table',
    columns: [
      { title: say('report.rule'), share: 3 },
      { title: say('report.worstBefore'), share: 2, isFigure: true },
      { title: say('report.worstNow'), share: 2, isFigure: true },
      { title: say('report.margin'), share: 2, isFigure: true },
      { title: say('report.worstPlace'), share: 4 },
    ],
    rows: picture.rules.map(({ rule, worstMm, overMm, placements }, k) => [
      ruleWords(rule),
      was(k),
      say('said.asItIs', { what: gap(worstMm) }),
      overMm > 0 ? say('report.over', { by: gap(overMm) }) : say('report.inside', { by: gap(-overMm) }),
      placements[0]?.place ?? '',
    ]),
  };
}

function evidenceOf({ picture }: ReportRoom): Sayable {
  const edges = picture.witnesses?.edges ?? 0;
  return say('report.mapStandsOn', {
    stations: picture.levels.length,
    share: decimals(picture.coveredShare * 100, 0),
    edges,
    setups: picture.setups.length,
    suspect: picture.setups.filter(({ suspect }) => suspect).length,
  });
}

function roomBlocks(room: ReportRoom): Block[] {
  const { set, assessment, picture, before } = room;
  const heading: Block = { is: 'heading', text: set.room.name, id: `levels/${set.room.id}` };
  if (!picture.map) return [heading, { is: 'text', text: say('report.floorNotRead') }];
  const most = mostOf([before, picture]);
  const map = (title: Sayable, of: ReportRoom['picture']) => levelFigure(title, set.room, assessment.plan, of, most);
  const [was, is] = [before?.rules[0], picture.rules[0]];
  const sections = [was?.placements[0], is?.placements[0]].flatMap((one) => (one ? [one] : []));
  const factor = factorFor(sections);
  const length = Math.max(1, ...sections.map(sectionLength));
  const section = (title: Sayable, rule: typeof was) =>
    rule?.placements[0] ? [profileFigure(title, rule, rule.placements[0], factor, length)] : [];
  return [
    heading,
    { is: 'text', text: evidenceOf(room), quiet: true },
    {
      is: 'figures',
      figures: before?.map
        ? [map(say('report.mapBefore'), before), map(say('report.mapAfter'), picture)]
        : [map(say('report.mapNow'), picture)],
    },
    { is: 'text', text: say('report.mapKey', { stepMm: gap(picture.map.stepMm) }), quiet: true },
    {
      is: 'figures',
      figures: [
        ...section(say('report.sectionBefore', { factor }), was),
        ...section(say('report.sectionNow', { factor }), is),
      ],
    },
    rulesTable(room),
    ...picture.achieved
      .filter(({ rmsOffMm }) => rmsOffMm !== null)
      .map(({ rmsOffMm, reread, worst }): Block => ({
        is: 'text',
        text: say('report.achieved', {
          count: reread.length,
          rms: gap(rmsOffMm!),
          most: gap(Math.abs(worst?.offMm ?? 0)),
        }),
      })),
  ];
}

/** Level maps before and after, the worst edge in section, and every rule with its margin. */
export const levelsPage = (rooms: readonly ReportRoom[]): PaperPage => ({
  id: 'levels',
  title: say('report.flatness'),
  under: '',
  blocks: rooms.flatMap(roomBlocks),
});
