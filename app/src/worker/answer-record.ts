import {
  levellingOf,
  planLaying,
  planRoom,
  softSpots,
  assessRoom,
  pictureOf,
  roomRunner,
  underPlanOf,
  type RoomSet,
} from '@maquette/core';
import { answerTo } from '@maquette/core/fields';
import { PLANE_CHOSEN, programmedWay, WAY_CHOSEN, type Way } from '@maquette/core/levelling';
import type { Paper } from '@maquette/core/paper';
import {
  chalkSheet,
  clientPage,
  cutSheet,
  daySheet,
  EDITION,
  handOverPaper,
  holdPointsOf,
  rampSheet,
  reportOf,
  reportRoom,
  rollSheet,
  shoppingSheet,
  stationSheet,
  type HoldPoint,
  type ReportJob,
} from '@maquette/core/report';
import { inWords } from '@maquette/words';
import { paperHtml } from '@maquette/words/paper-html';
import '@maquette/words/figure-names';
import '@maquette/words/planning';
import '@maquette/words/report';
import { openModels } from './open-models.ts';
import type { PaperAsk, RecordRoom } from './paper-ask.ts';

/** Hold points of every room of a job, in the order of the rooms. */
export function answerHolds(
  rooms: readonly RoomSet[],
  facts: Pick<ReportJob, 'coverUps' | 'seals'>,
  atUtc: string,
  tell: (share: number) => void,
): HoldPoint[] {
  return rooms.flatMap((set, k) => {
    tell(k / rooms.length);
    return holdPointsOf(set, assessRoom(set, atUtc, { runner: roomRunner() }), facts);
  });
}

/** Levelling of a room as it was chosen; the smallest where nothing was. Null where nothing is to be levelled. */
async function wayOf({ set, answers }: RecordRoom, atUtc: string): Promise<Way | null> {
  const runner = roomRunner();
  const plan = planRoom(set, atUtc, { runner });
  const work = levellingOf(set, atUtc, { runner });
  if (!plan || !work || plan.nothingToDo) return null;
  const chosen = answerTo(answers, WAY_CHOSEN);
  if (chosen === 'plane' && plan.planes[answerTo(answers, PLANE_CHOSEN) ?? 0]) return null;
  const id = chosen === 'fill' || chosen === 'grind' || chosen === 'ramp' ? chosen : 'mixed';
  if (id === 'fill' && plan.fill.holds) return plan.fill;
  return programmedWay(work.job, id, 'live', { open: await openModels() }).way ?? plan.fill;
}

async function paperOf(ask: PaperAsk, tell: (share: number) => void): Promise<Paper> {
  const { rooms, facts, course, address } = ask;
  const { atUtc, name } = facts;
  const of = { job: name, atUtc, address };
  const own = rooms.find(({ set }) => set.room.id === ask.roomId) ?? rooms[0]!;
  const whole = (): ReportJob => ({
    ...facts,
    edition: EDITION,
    rooms: rooms.map(({ set }, k) => {
      tell(k / rooms.length);
      return reportRoom(set, atUtc);
    }),
    corrected: [],
    skewed: [],
    versions: new Map(),
    chain: null,
  });
  switch (ask.paper) {
    case 'report':
      return reportOf(whole());
    case 'client':
      return clientPage(whole(), ask.decisions);
    case 'hand-over':
      return handOverPaper(whole());
    case 'days':
      return daySheet(of, course!);
    case 'shopping':
      return shoppingSheet(of, course!);
    case 'rolls': {
      const nameOf = (id: string) => rooms.find(({ set }) => set.room.id === id)?.set.room.name ?? '';
      return rollSheet(
        of,
        underPlanOf(
          rooms.map(({ set }) => set),
          tell,
        ),
        nameOf,
      );
    }
    case 'ramps':
      return rampSheet(
        of,
        rooms.map(({ set }) => ({ room: set.room, heights: assessRoom(set, atUtc, { runner: roomRunner() }).heights })),
      );
    case 'stations': {
      const assessment = assessRoom(own.set, atUtc, { runner: roomRunner(), parts: ['flat'] });
      return stationSheet(of, own.set, pictureOf(assessment, own.set.room));
    }
    case 'chalk':
      return chalkSheet(of, own.set, await wayOf(own, atUtc), planLaying(own.set, { pace: 'live' }));
    case 'cuts': {
      const assessment = assessRoom(own.set, atUtc, { runner: roomRunner(), parts: ['flat'] });
      return cutSheet(of, own.set.room, planLaying(own.set, { pace: 'live', soft: softSpots(assessment, own.set) }));
    }
  }
}

/** A paper as one HTML file, made on the device without any signal. */
export async function answerPaper(ask: PaperAsk, tell: (share: number) => void): Promise<string> {
  const paper = await paperOf(ask, tell);
  return paperHtml(paper, (what) => inWords(what, ask.units, ask.zone), ask.size);
}
