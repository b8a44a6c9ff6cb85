import type { PanelsOfJob } from '@maquette/core';
import { formatReach, type UnitSystem } from '@maquette/core/units';
import { useSaveFile } from '../../files/use-save-file.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { Planned } from './planned.ts';

/** What is cut from which sheet over all rooms: ripped into strips first, those cut to lengths. */
export function PanelCuts({ of, planned, units }: { of: PanelsOfJob; planned: Planned; units: UnitSystem }) {
  const { save, failed } = useSaveFile();
  const nameOf = (roomId: string) => planned.rooms.find(({ room }) => room.id === roomId)?.room.name ?? roomId;
  const rows = of.sheets.flatMap(({ strips }, k) =>
    strips.flatMap(({ pieces }) =>
      pieces.map((piece) => ({
        material: of.card.name,
        from: k + 1,
        room: nameOf(piece.roomId),
        number: piece.number,
        lengthMm: piece.lengthMm,
        widthMm: piece.widthMm,
      })),
    ),
  );
  return (
    <Fold title="Cut list by sheet" aside={counted(of.sheets.length, 'sheet')}>
      {of.sheets.map(({ strips }, k) => (
        <Words key={k} figure>
          {`Sheet ${k + 1}: ${strips
            .map(
              ({ widthMm, pieces, restMm }) =>
                `${widthMm < of.card.widthMm - 1 ? `rip ${formatReach(widthMm, units)}, ` : ''}${pieces.map((piece) => `${nameOf(piece.roomId)} ${piece.number}, ${formatReach(piece.lengthMm, units)}`).join('; ')}${restMm > 100 ? `, rest ${formatReach(restMm, units)}` : ''}`,
            )
            .join('. ')}`}
        </Words>
      ))}
      {of.offcuts.length > 0 ? (
        <Words>{`Keep ${of.offcuts.map(({ sheet, lengthMm, widthMm }) => `${formatReach(lengthMm, units)} by ${formatReach(widthMm, units)} of sheet ${sheet}`).join(', ')}.`}</Words>
      ) : null}
      <ButtonRow>
        <Button label="Save it as CSV" onPress={() => save('panels.csv', 'text/csv', ({ cutCsv }) => cutCsv(rows))} />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
    </Fold>
  );
}
