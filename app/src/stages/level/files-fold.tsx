import { useState } from 'react';
import type { RoomPicture } from '@maquette/core';
import type { LevelSheet } from '@maquette/core/formats';
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
import { useSay } from '../../ui/shown-in.tsx';
import { useSaveFile } from '../../files/use-save-file.ts';

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
  const { save, failed } = useSaveFile();
  const [gridFailed, setGridFailed] = useState<string | null>(null);
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
      setGridFailed(reason);
      if (text !== null) saveText(`${name}-heights.asc`, 'text/plain', text);
    });
  /** The writer of this kind of drawing is larger than the stage, and comes by itself. */
  const dxf = async () => (await fetchPart(() => import('@maquette/core/formats/dxf'))).levelDxf(sheet, say);
  return (
    <Fold title="Save as files">
      <Words size="small">
        Drawings carry the map, places to work, bays, chalk points and the certificate, in millimetres of the floor.
      </Words>
      <ButtonRow>
        <Button label="DXF drawing" onPress={() => save(`${name}-levelling.dxf`, 'image/vnd.dxf', dxf)} />
        <Button
          label="SVG drawing"
          onPress={() => save(`${name}-levelling.svg`, 'image/svg+xml', ({ levelSvg }) => levelSvg(sheet, say))}
        />
        <Button
          label="JSON features"
          onPress={() => save(`${name}-levelling.json`, 'application/json', ({ levelJson }) => levelJson(sheet, say))}
        />
        <Button
          label="Patches and tapes CSV"
          onPress={() => save(`${name}-patches.csv`, 'text/csv', ({ patchCsv }) => patchCsv(sheet, kgPerL, say))}
        />
        <Button
          label="Readings CSV"
          onPress={() =>
            save(`${name}-readings.csv`, 'text/csv', ({ rodCsv }) => rodCsv(shown.plain, picture.stations, sheet.plan))
          }
        />
        <Button
          label="Heights grid"
          off={planned.working === null ? null : 'It comes once the ways are worked out.'}
          onPress={grid}
        />
      </ButtonRow>
      {(failed ?? gridFailed) ? <Words role="alert">{failed ?? gridFailed}</Words> : null}
    </Fold>
  );
}
