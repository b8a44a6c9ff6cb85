import type { Block, PaperPage } from '../paper/index.ts';
import { dayOf, listed, say, type Sayable } from '../said/index.ts';
import type { Criterion, Verdict } from '../verdict/words.ts';
import { VERDICTS } from '../verdict/words.ts';
import { factorFor, profileFigure, sectionLength } from './profile-figure.ts';
import type { ReportJob, ReportRoom } from './report-job.ts';
import { samePlace } from './same-place.ts';

/** Which page has the evidence of what a part judged. */
const PAGE_OF: Readonly<Record<string, string>> = {
  flat: 'levels',
  damp: 'damp',
  heights: 'heights',
  strip: 'layers',
  sound: 'layers',
  under: 'materials',
  lay: 'materials',
};

/** The line that decides of a room: of the worst verdict the first; where it may be laid, its flatness. */
export function decidingOf({ criteria, verdict }: ReportRoom['assessment']): Criterion | null {
  const own = criteria.filter((one) => one.verdict === verdict);
  return (verdict === 'lay' ? own.find(({ part }) => part === 'flat') : undefined) ?? own[0] ?? null;
}

export const pageOf = ({ part }: Pick<Criterion, 'part'>, roomId: string): string =>
  `${PAGE_OF[part] ?? 'left'}/${roomId}`;

function answerOf({ rooms, unjudged }: Pick<ReportJob, 'rooms' | 'unjudged'>): Sayable {
  const named = (verdict: Verdict) => rooms.filter((one) => one.assessment.verdict === verdict);
  const free = named('lay').length;
  const worst = VERDICTS.find((word) => named(word).length > 0) ?? 'measure';
  const names = listed(
    named(worst).map(({ set }) => set.room.name),
    ', ',
  );
  // Of no room nothing may be said: least of all that it may be laid.
  const all = rooms.length + unjudged.length;
  if (free > 0 && free === all) return say('report.allMayBeLaid', { count: all });
  const count = named(worst).length;
  return say('report.twoSentences', {
    one: say('report.someMayBeLaid', { free, count: all }),
    two: worst === 'lay' ? '' : openWords(worst, names, count),
  });
}

/** Why the rooms named may not be laid yet. */
function openWords(worst: Exclude<Verdict, 'lay'>, names: ReturnType<typeof listed>, count: number): Sayable {
  switch (worst) {
    case 'stop':
      return say('report.stopsFirst', { names, count });
    case 'work':
      return say('report.workFirst', { names, count });
    case 'measure':
      return say('report.measureFirst', { names, count });
    case 'wait':
      return say('report.waitFirst', { names, count });
  }
}

/** Before and after of the room that was levelled most; where none was, the worst edge there is. */
function worstEdge(rooms: readonly ReportRoom[]): Block[] {
  const levelled = rooms
    .flatMap((room) => {
      const same = samePlace(room);
      return same ? [{ ...same, room: room.set.room.name }] : [];
    })
    .sort((a, b) => b.then.rule.overMm - a.then.rule.overMm)[0];
  if (levelled) {
    const { then, now, room } = levelled;
    const factor = factorFor([then.shown, now.shown]);
    const length = Math.max(sectionLength(then.shown), sectionLength(now.shown));
    return [
      {
        is: 'figures',
        figures: [
          profileFigure(
            say('report.edgeBefore', { room, place: then.shown.place }),
            then.rule,
            then.shown,
            factor,
            length,
          ),
          profileFigure(say('report.edgeAfter', { room, factor }), now.rule, now.shown, factor, length),
        ],
      },
    ];
  }
  const worst = rooms
    .filter(({ picture }) => picture.rules[0]?.placements[0])
    .sort((a, b) => b.picture.rules[0]!.overMm - a.picture.rules[0]!.overMm)[0];
  if (!worst) return [];
  const rule = worst.picture.rules[0]!;
  const shown = rule.placements[0]!;
  const factor = factorFor([shown]);
  const title = say('report.edgeNow', { room: worst.set.room.name, place: shown.place, factor });
  return [{ is: 'figures', figures: [profileFigure(title, rule, shown, factor, sectionLength(shown))] }];
}

/** What may not be done for now: what waits, what is heated, from when furniture may return. */
function notYet({ rooms, handOvers }: ReportJob): Sayable[] {
  const furniture = handOvers.at(-1)?.furnitureFrom ?? '';
  return [
    ...(furniture !== '' ? [say('report.noFurniture', { day: dayOf(`${furniture}T12:00:00.000Z`) })] : []),
    ...rooms.flatMap(({ set, assessment }) =>
      assessment.criteria
        .filter(({ verdict }) => verdict === 'stop' || verdict === 'wait')
        .slice(0, 1)
        .map(({ next }) => say('report.inRoom', { room: set.room.name, what: next })),
    ),
  ];
}

/** What was left beneath and is known or suspected to harm: told wherever somebody works next. */
export const leftInPlace = ({ rooms }: Pick<ReportJob, 'rooms'>): Sayable[] =>
  rooms.flatMap(({ set, assessment }) => beneathIn(set.room.name, assessment.strip.leftInPlace));

/** The first material of a room, and how many more there are. */
function beneathIn(room: Sayable, materials: readonly Sayable[]): Sayable[] {
  const [what] = materials;
  if (!what) return [];
  const count = materials.length - 1;
  return [count === 0 ? say('report.inRoom', { room, what }) : say('report.inRoomAndMore', { room, what, count })];
}

/** The first page: may the floor be laid, room by room, and what not to do yet. */
export function verdictPage(job: ReportJob): PaperPage {
  const left = leftInPlace(job);
  const wait = notYet(job);
  return {
    id: 'verdict',
    title: say('report.mayItBeLaid'),
    under: '',
    blocks: [
      { is: 'lead', text: answerOf(job) },
      {
        is: 'verdicts',
        rows: job.rooms.map(({ set, assessment }) => {
          const deciding = decidingOf(assessment);
          return {
            verdict: assessment.verdict,
            name: set.room.name,
            figure: deciding?.margin ?? '',
            under:
              deciding && assessment.verdict !== 'lay'
                ? deciding.next
                : say('report.coveredBy', { card: set.card.name }),
            page: deciding ? pageOf(deciding, set.room.id) : 'left',
          };
        }),
      },
      ...(job.unjudged.length > 0
        ? [
            {
              is: 'text' as const,
              text: say('report.unjudged', { names: listed(job.unjudged, ', '), count: job.unjudged.length }),
            },
          ]
        : []),
      ...worstEdge(job.rooms),
      ...(wait.length > 0
        ? [
            { is: 'heading' as const, text: say('report.notYet') },
            { is: 'list' as const, items: wait },
          ]
        : []),
      ...(left.length > 0
        ? [
            { is: 'heading' as const, text: say('report.leftCovered') },
            { is: 'list' as const, items: left },
            { is: 'text' as const, text: say('report.tellWhoeverWorks') },
          ]
        : []),
    ],
  };
}
