import { samplesOf } from '../air/index.ts';
import type { FigureOf } from '../figures/index.ts';
import {
  groundAir,
  insideAir,
  outsideYear,
  unheatedAir,
  type FaceR,
  type MonthAir,
  type UnderRoom,
} from '../under/index.ts';
import { CRAWL_R, INSIDE_R } from '../under/index.ts';
import type { RoomSet } from './room-set.ts';

/** Air on both sides of a floor by months, and how many of them are as they were read in the room. */
export interface FloorClimate {
  months: MonthAir[];
  face: FaceR;
  below: 'crawl' | 'covered-crawl' | 'ground' | 'unheated' | 'inside';
  monthsRead: number;
}

const mean = (of: readonly number[]) => of.reduce((sum, one) => sum + one, 0) / of.length;

/** Air of the room by months, as far as it was read: the mean of what was read in each. */
function readMonths(set: Pick<RoomSet, 'airReadings' | 'airLogs'>): ({ c: number; rh: number } | null)[] {
  const samples = samplesOf(set.airReadings, set.airLogs);
  return Array.from({ length: 12 }, (_, month) => {
    const own = samples.filter(({ at }) => new Date(at).getUTCMonth() === month);
    return own.length === 0
      ? null
      : { c: mean(own.map(({ tempC }) => tempC)), rh: mean(own.map(({ rhPercent }) => rhPercent)) };
  });
}

/** Climate of a room's floor: readings first, else what is usual at the place. `covered`: as if the ground of its crawl space were. */
export function climateOf(
  set: Pick<RoomSet, 'room' | 'airReadings' | 'airLogs'>,
  room: Pick<UnderRoom, 'base' | 'crawl' | 'isOnGround'>,
  figure: FigureOf,
  covered = room.crawl === 'covered',
): FloorClimate {
  const outside = outsideYear(figure('outside-mean-c'), figure('outside-swing-k'));
  const read = readMonths(set);
  const ground = groundAir(outside);
  const isCrawl = room.base === 'timber' && room.crawl !== 'none';
  const below = isCrawl
    ? covered
      ? 'covered-crawl'
      : 'crawl'
    : room.isOnGround
      ? 'ground'
      : set.room.base.beneath === 'unheated-room'
        ? 'unheated'
        : 'inside';
  const crawlRh = figure(covered ? 'crawl-covered-rh' : 'crawl-open-rh');
  const months = outside.map((c, month): MonthAir => {
    const above = read[month] ?? insideAir(c);
    if (isCrawl) return { below: { c: c + figure('crawl-share') * (20 - c), rh: crawlRh }, above };
    if (below === 'unheated') return { below: unheatedAir(c, above, figure('unheated-share')), above };
    return { below: below === 'ground' ? ground : above, above };
  });
  return {
    months,
    face: { belowM2KW: below === 'ground' ? 0 : CRAWL_R, aboveM2KW: INSIDE_R },
    below,
    monthsRead: read.filter((one) => one !== null).length,
  };
}
