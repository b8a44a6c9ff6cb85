import type { CoveringCard } from '../coverings/index.ts';
import { figuresOf } from '../figures/index.ts';
import { cautionSaid } from '../hazards/index.ts';
import type { Block, PaperPage } from '../paper/index.ts';
import { celsius, say, type Sayable } from '../said/index.ts';
import type { ReportJob, ReportRoom } from './report-job.ts';

/** Vinyl may be wiped damp; whatever has wood in it swells. */
const isVinyl = ({ kind }: CoveringCard) => kind === 'click-vinyl' || kind === 'glue-down-vinyl';

/** Care of what lies on a floor and of what lies beneath it: each line once, whichever rooms it is for. */
export function careOf(rooms: readonly ReportRoom[]): Sayable[] {
  const seen = new Set<string>();
  return rooms
    .flatMap(({ set: { card, room, figures } }) => [
      say('report.careAir', {
        card: card.name,
        minC: celsius(card.airMinC, 0),
        maxC: celsius(card.airMaxC, 0),
        minRh: card.airMinRh,
        maxRh: card.airMaxRh,
      }),
      ...(room.base.heating === 'water' || room.base.heating === 'electric'
        ? [say('report.careHeat', { most: celsius(figuresOf(figures, room.units)('heat-surface-c'), 0) })]
        : []),
      isVinyl(card) ? say('report.careVinyl') : say('report.careWood'),
      say('report.careFeet'),
    ])
    .filter((line) => {
      const name = JSON.stringify(line);
      if (seen.has(name)) return false;
      seen.add(name);
      return true;
    });
}

const cautionsOf = (rooms: readonly ReportRoom[]): Sayable[] => {
  const all = rooms.flatMap(({ assessment }) =>
    Object.values(assessment.surfaceGates).flatMap(({ cautions }) => cautions),
  );
  return [...new Map(all.map((one) => [one.id, one])).values()].map(cautionSaid);
};

/** Every material left beneath that is known or suspected to harm: none is left out where somebody works by the list. */
export const materialsBeneath = (rooms: readonly ReportRoom[]): Sayable[] =>
  rooms.flatMap(({ set, assessment }) =>
    assessment.strip.leftInPlace.map((what) => say('report.inRoom', { room: set.room.name, what })),
  );

/** What was left, cautions and care, each with who decides. */
export function leftPage(job: ReportJob): PaperPage {
  const beneath = materialsBeneath(job.rooms);
  const open = job.rooms.flatMap(({ set, assessment }) =>
    assessment.criteria
      .filter(({ verdict }) => verdict !== 'lay')
      .map(({ title, next }) => say('report.openIn', { room: set.room.name, title, next })),
  );
  const cautions = cautionsOf(job.rooms);
  const part = (text: Sayable, items: readonly Sayable[], none: Sayable): Block[] => [
    { is: 'heading', text },
    items.length > 0 ? { is: 'list', items } : { is: 'text', text: none },
  ];
  return {
    id: 'left',
    title: say('report.leftAndCare'),
    under: '',
    blocks: [
      ...part(say('report.leftUndone'), open, say('report.nothingUndone')),
      ...part(say('report.leftBeneath'), beneath, say('report.nothingBeneath')),
      ...part(say('report.cautions'), cautions, say('report.noCautions')),
      ...part(say('report.care'), careOf(job.rooms), say('report.noCautions')),
      { is: 'text', text: say('report.advises'), quiet: true },
    ],
  };
}
