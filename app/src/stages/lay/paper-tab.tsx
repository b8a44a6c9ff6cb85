import { View } from 'react-native';
import type { LayPlan } from '@maquette/core';
import type { LaySheet } from '@maquette/core/formats';
import { planOf, type RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import { fileFormats } from '../../files/formats.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { fetchPart } from '../../ui/fetch-part.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { edgeRow, sawn } from './lengths.ts';
import { isProved } from './use-lay-plan.ts';

/** The set-out on paper for the saw and the wall, and as files anyone can open. */
export function PaperTab({ shown, room, plan }: { shown: ShownRoom; room: RoomFacts; plan: LayPlan | null }) {
  const say = useSay();
  const { save, failed } = useSaveFile();
  if (!plan) return <Words role="status">Setting the floor out …</Words>;
  const title = `${shown.job?.name ?? ''} ${room.name}`.trim();
  const name = title.toLowerCase().replace(/\W+/g, '-');
  const count = `${counted(plan.planks, plan.herringbone ? 'stave' : 'plank')}${isProved(plan) ? ', proved least' : ''}`;
  const sheet: LaySheet = {
    title: `${title}: ${count}`,
    corners: planOf(room).corners,
    pieces: plan.herringbone?.staves ?? plan.pieces,
    chalk: plan.herringbone ? [plan.herringbone.tips] : plan.chalk.map(({ from, to }) => [from, to] as const),
    notes: [
      title,
      `${count}; ${shown.card?.name ?? ''}, ${sawn(plan.plankMm.lengthMm, room.units)} by ${sawn(plan.plankMm.widthMm, room.units)}`,
      ...(plan.herringbone
        ? []
        : [
            `From ${say(plan.startWall.name)}, first row ${edgeRow(plan.edges.firstMm, plan.firstMm, room.units)}; last row ${edgeRow(plan.edges.lastMm, plan.lastMm, room.units)}`,
          ]),
    ],
  };
  const dxf = async () => (await fetchPart(() => import('@maquette/core/formats/dxf'))).layDxf(sheet);
  const print = async () => {
    const [{ printed }, formats] = await Promise.all([fetchPart(() => import('./printed.ts')), fileFormats()]);
    printed({ title: sheet.title, svg: formats.laySvg(sheet), plan, units: room.units, say });
  };
  return (
    <View style={{ padding: SPACE.edge, gap: SPACE.part }} testID="paper">
      <Words>
        A sheet for the saw: the numbered drawing, the lines to snap, the table of rows and the cut list. Print it, or
        save it as PDF where the printer is chosen.
      </Words>
      <Button kind="main" label="Print on A4" onPress={() => void print()} />
      <ButtonRow>
        <Button label="DXF drawing" onPress={() => save(`${name}-planks.dxf`, 'image/vnd.dxf', dxf)} />
        <Button
          label="SVG drawing"
          onPress={() => save(`${name}-planks.svg`, 'image/svg+xml', ({ laySvg }) => laySvg(sheet))}
        />
        <Button
          label="Cut list CSV"
          off={plan.herringbone ? 'Staves have no rows to list.' : null}
          onPress={() => save(`${name}-planks.csv`, 'text/csv', ({ layCsv }) => layCsv(plan.pieces))}
        />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
    </View>
  );
}
