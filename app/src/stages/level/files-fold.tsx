import { useState } from 'react';
import type { RoomPicture } from '@maquette/core';
import { levelJson, levelSvg, patchCsv, rodCsv, type LevelSheet } from '@maquette/core/formats';
import type { ChalkPoint } from '@maquette/core/levelling';
import { planOf, type RoomFacts } from '@maquette/core/room';
import { saveText } from '../../data/save-text.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { fetchPart } from '../../ui/fetch-part.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { Planned } from '../../worker/use-planned.ts';
import type { ShownWay } from './shown-ways.ts';
import { useSay } from '../../ui/use-say.ts';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  picture: RoomPicture;
  planned: Planned;
  way: ShownWay;
  points: readonly ChalkPoint[];
}

/** The map, the chosen way and its certificate as files anyone can open. */
export function FilesFold({ shown, room, picture, planned, way, points }: Props) {
  const say = useSay();
  const [failed, setFailed] = useState<string | null>(null);
  const title = `${shown.job?.name ?? ''} ${room.name}`.trim();
  const name = title.toLowerCase().replace(/\W+/g, '-');
  const sheet: LevelSheet = {
    title: `${title}: ${way.words.toLowerCase()}`,
    plan: planOf(room),
    map: picture.map,
    fills: way.way?.patches ?? [],
    grinding: way.way?.grinding ?? [],
    bays: way.plane?.pour?.bays ?? [],
    chalk: points,
    certificates: (way.way ?? way.plane)?.certificates ?? [],
  };
  const kgPerL = (way.way ?? way.plane)?.needs[0]?.compound.kgPerM2Mm ?? 0;
  const grid = () =>
    planned.grid((text, reason) => {
      setFailed(reason);
      if (text !== null) saveText(`${name}-heights.asc`, 'text/plain', text);
    });
  /** The writer of drawings is larger than the stage: it is fetched when one is asked for. */
  const drawing = async () => {
    const { levelDxf } = await fetchPart(() => import('@maquette/core/formats/level-dxf'));
    saveText(`${name}-levelling.dxf`, 'image/vnd.dxf', levelDxf(sheet, say));
  };
  return (
    <Fold title="Save as files">
      <Words size="small">
        Drawings carry the map, places to work, bays, chalk points and the certificate, in millimetres of the floor.
      </Words>
      <ButtonRow>
        <Button label="DXF drawing" onPress={() => void drawing()} />
        <Button
          label="SVG drawing"
          onPress={() => saveText(`${name}-levelling.svg`, 'image/svg+xml', levelSvg(sheet, say))}
        />
        <Button
          label="JSON features"
          onPress={() => saveText(`${name}-levelling.json`, 'application/json', levelJson(sheet, say))}
        />
        <Button
          label="Patches and tapes CSV"
          onPress={() => saveText(`${name}-patches.csv`, 'text/csv', patchCsv(sheet, kgPerL, say))}
        />
        <Button
          label="Readings CSV"
          onPress={() => saveText(`${name}-readings.csv`, 'text/csv', rodCsv(shown.plain, picture.stations))}
        />
        <Button label="Heights grid" disabled={planned.working !== null} onPress={grid} />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
    </Fold>
  );
}
