import type { RoomPicture } from '@maquette/core';
import { ON_ASKING, type OpeningJudged } from '@maquette/core/heights';
import type { Opening, RoomFacts } from '@maquette/core/room';
import { formatGap, gapWords } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { BaseLayer } from '../../sheet/base-layer.tsx';
import { HeightPlacesLayer, LeafSwingLayer, WayOutLayer } from '../../sheet/heights-layer.tsx';
import { LevelLayer } from '../../sheet/level-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { usePlan } from '../../sheet/use-plan.ts';
import { counted } from '../../ui/counted.ts';
import { placeKey, type HeightAsk, type Heights } from './height-asks.ts';

export type HeightsTab = 'read' | 'openings' | 'rest' | 'build-up';

/** The room as the tab asks for it: places to read, a leaf in its swing, ways out, or the finished floor all over it. */
export function HeightsSheet({
  shown,
  room,
  picture,
  heights,
  tab,
  opening,
  judged,
  ask,
  left,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  picture: RoomPicture | null;
  heights: Heights | null;
  tab: HeightsTab;
  opening: Opening | null;
  judged: OpeningJudged | null;
  ask: HeightAsk | null;
  /** Things that are still to be read. */
  left: number;
}) {
  const plan = usePlan(room);
  const { levels, leaves } = shown.plain;
  const read = new Set(
    heights?.places.filter((place) => levels.some((level) => placeKey(level) === placeKey(place))).map(placeKey),
  );
  const leaf = leaves.findLast((one) => one.openingId === opening?.id);
  const finished = tab === 'build-up' ? (heights?.finished ?? null) : null;
  const map = finished?.map ?? picture?.map ?? null;
  return (
    <Sheet
      room={room}
      description={
        finished
          ? `${room.name}: the finished floor, ${finishedWords(finished, room)}`
          : `${room.name}: ${counted(levels.length, 'level')} read, ${counted(left, 'thing')} to read.`
      }
      chosenOpening={tab === 'openings' ? (opening?.id ?? null) : null}
      under={(view) => (map ? <LevelLayer map={map} view={view} /> : <BaseLayer room={room} view={view} />)}
      over={(view) => (
        <>
          {tab === 'openings' && opening?.kind === 'door' && judged ? (
            <LeafSwingLayer
              corners={plan.corners}
              opening={opening}
              judged={judged}
              opensDeg={leaf?.opensDeg ?? 90}
              words={judged.clearance ? formatGap(judged.clearance.leastMm, room.units) : null}
              view={view}
            />
          ) : null}
          {tab === 'rest'
            ? heights?.waysOut.map(({ fixtureId, way }) =>
                way.found ? <WayOutLayer key={fixtureId} path={way.path} view={view} /> : null,
              )
            : null}
          {tab === 'read' ? (
            <HeightPlacesLayer
              places={(heights?.places ?? [])
                .map((place) => ({ of: place.of, key: placeKey(place), at: place.at }))
                .filter(({ of, key }) => !ON_ASKING.includes(of) || ask?.key === key || read.has(key))}
              read={read}
              current={ask?.kind === 'level' ? placeKey(ask.place) : null}
              view={view}
            />
          ) : null}
        </>
      )}
    />
  );
}

/** How far the finished floor goes up and down, and what a line on the sheet means. */
export const finishedWords = (
  { highest, lowest, map }: NonNullable<Heights['finished']>,
  { units }: Pick<RoomFacts, 'units'>,
): string =>
  `up to ${gapWords(highest.overMm, units)} over its mean and ${gapWords(-lowest.overMm, units)} under it, a line every ${gapWords(map.stepMm, units)}.`;
