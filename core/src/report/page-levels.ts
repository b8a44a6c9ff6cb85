import { ruleWords } from '../coverings/index.ts';
import type { Certificate } from '../levelling/index.ts';
import type { Block, PaperPage } from '../paper/index.ts';
import { decimals, gap, say, type Sayable } from '../said/index.ts';
import { levelFigure, mostOf } from './level-figure.ts';
import { factorFor, profileFigure, sectionLength } from './profile-figure.ts';
import type { ReportRoom } from './report-job.ts';
import { samePlace, type Section } from './same-place.ts';

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

/** What stands behind “inside”: along how many lines it was looked, and what was the worst of any. */
function certificateWords({
  rule,
  directions,
  cellMm,
  worstGapMm,
  worstCrownMm,
  worstAnywhereMm,
  holds,
}: Certificate): Sayable {
  return say(holds ? 'report.certificateHolds' : 'report.certificateFails', {
    rule: ruleWords(rule),
    directions,
    cellMm: gap(cellMm),
    worstMm: gap(worstGapMm),
    crownMm: gap(worstCrownMm),
    betweenMm: gap(worstAnywhereMm),
  });
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
  const is = picture.rules[0];
  const worst: Section[] = is?.placements[0] ? [{ rule: is, shown: is.placements[0] }] : [];
  const same = samePlace(room);
  const all = [...(same ? [same.then, same.now] : []), ...worst];
  const factor = factorFor(all.map(({ shown }) => shown));
  const length = Math.max(1, ...all.map(({ shown }) => sectionLength(shown)));
  const section = (title: Sayable, { rule, shown }: Section) => profileFigure(title, rule, shown, factor, length);
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
    ...(same
      ? [
          {
            is: 'figures' as const,
            figures: [
              section(say('report.sectionBefore', { factor }), same.then),
              section(say('report.sectionSamePlace', { factor }), same.now),
            ],
          },
        ]
      : []),
    { is: 'figures', figures: worst.map((one) => section(say('report.sectionNow', { factor }), one)) },
    rulesTable(room),
    ...room.certificates.map((one): Block => ({ is: 'text', text: certificateWords(one) })),
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
