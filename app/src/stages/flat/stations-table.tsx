import { useMemo } from 'react';
import type { RoomPicture } from '@maquette/core';
import { formatGap, formatRod, formatSpan, unitLabel, type UnitSystem } from '@maquette/core/units';
import { readingsInOrder } from '../../data/read-twice.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import type { TableColumn } from '../../ui/data-table.tsx';
import { LongTable } from '../../ui/long-table.tsx';
import { Words } from '../../ui/text.tsx';

/** One station with what was read there; null where nothing was. */
interface StationRow {
  key: string;
  number: number;
  xMm: number;
  yMm: number;
  rodMm: number | null;
  levelMm: number | null;
}

/** Below every figure: what has not been read stands last when the highest comes first. */
const UNREAD = -1e9;

/** Every station with its place, its reading and its level. */
export function StationsTable({
  picture,
  shown,
  units,
}: {
  picture: RoomPicture;
  shown: ShownRoom;
  units: UnitSystem;
}) {
  const { stations, levels } = picture;
  const rows = useMemo((): StationRow[] => {
    const level = new Map(levels.map((l) => [l.stationKey, l.levelMm]));
    const rod = new Map(readingsInOrder(shown.readings).map((r) => [r.stationKey, r.rodMm]));
    return stations.map(({ key, number, xMm, yMm }) => ({
      key,
      number,
      xMm,
      yMm,
      rodMm: rod.get(key) ?? null,
      levelMm: level.get(key) ?? null,
    }));
  }, [stations, levels, shown.readings]);
  const columns = useMemo((): TableColumn<StationRow>[] => {
    const read = (mm: number | null, write: (mm: number, units: UnitSystem) => string) =>
      mm === null ? '–' : write(mm, units);
    return [
      { id: 'number', header: 'No.', value: ({ number }) => number },
      { id: 'along', header: 'Along', value: ({ xMm }) => xMm, show: ({ xMm }) => formatSpan(xMm, units) },
      { id: 'across', header: 'Across', value: ({ yMm }) => yMm, show: ({ yMm }) => formatSpan(yMm, units) },
      {
        id: 'rod',
        header: 'Rod',
        value: ({ rodMm }) => rodMm ?? UNREAD,
        show: ({ rodMm }) => read(rodMm, formatRod),
      },
      {
        id: 'level',
        header: 'Level',
        value: ({ levelMm }) => levelMm ?? UNREAD,
        show: ({ levelMm }) => read(levelMm, formatGap),
      },
    ];
  }, [units]);
  const words = ({ number, rodMm, levelMm }: StationRow) =>
    `Station ${number}: ${
      rodMm === null
        ? 'not read'
        : `${formatRod(rodMm, units)} ${unitLabel(units)}${levelMm === null ? '' : `, level ${formatGap(levelMm, units)}`}`
    }`;
  return (
    <LongTable
      label="Stations and readings"
      rows={rows}
      rowKey={({ key }) => key}
      columns={columns}
      rowWords={words}
      line={(row) => (
        <>
          <Words figure bold>
            {words(row)}
          </Words>
          <Words figure size="small" quiet>
            {`${formatSpan(row.xMm, units)} along, ${formatSpan(row.yMm, units)} across`}
          </Words>
        </>
      )}
    />
  );
}
