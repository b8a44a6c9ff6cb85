import type { OpeningSection } from '@maquette/core/formats/dxf';
import type { Say } from '../ui/shown-in.tsx';
import { barWordsOf } from '../stages/heights/bar-words.ts';
import type { ShownRow } from './ledger-rows.ts';

/** The openings of a ledger as sections to be drawn, those whose floor is not known yet left out. */
export function sectionsOf(rows: readonly ShownRow[], say: Say): OpeningSection[] {
  return rows.flatMap(({ row, room, otherRoom, opening, set, heights }): OpeningSection[] => {
    const judged = heights.judged.openings.find(({ openingId }) => openingId === row.openingId);
    const drawn = set.room.openings.find(({ id }) => id === row.openingId);
    if (!judged || !drawn) return [];
    const here = judged.here.flatMap(({ alongMm, levelMm }) => (levelMm === null ? [] : [{ alongMm, levelMm }]));
    if (here.length === 0) return [];
    const levelAt = (alongMm: number) => here.find((one) => one.alongMm === alongMm)?.levelMm;
    return [
      {
        title: `${room}, ${opening}${otherRoom ? `, to ${otherRoom}` : ''}`,
        widthMm: row.widthMm,
        here,
        buildUpMm: heights.addsMm.new,
        beyond: (judged.step?.profiles.new.at ?? []).flatMap(({ alongMm, stepMm }) => {
          const level = levelAt(alongMm);
          return level === undefined ? [] : [{ alongMm, levelMm: level - stepMm }];
        }),
        leaf: judged.leafMm
          ? [
              { alongMm: 0, levelMm: judged.leafMm[0] },
              { alongMm: row.widthMm, levelMm: judged.leafMm[1] },
            ]
          : [],
        notes: [
          barWordsOf(row.bar, say),
          row.stepMm ? `step ${row.stepMm[0].toFixed(1)} to ${row.stepMm[1].toFixed(1)} mm` : 'step not read',
          ...row.packingMm.map(
            ([thin, thick], k) => `packing ${k === 0 ? 'start' : 'end'} ${thin.toFixed(1)} / ${thick.toFixed(1)} mm`,
          ),
        ],
      },
    ];
  });
}
