import { StyleSheet, View } from 'react-native';
import type { PanelsOfRoom, ShownPanel } from '@maquette/core';
import type { RoomFacts } from '@maquette/core/room';
import { PANEL_FIXED } from '@maquette/core/under/questions';
import { formatReach } from '@maquette/core/units';
import { spokenPlace, useSpoken } from '../../bench/speak.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { toggleTick } from '../toggle-tick.ts';

/** The panel in hand: where it lies by two tapes, its size, what is cut out of it. */
export function NextPanel({
  shown,
  room,
  here,
  at,
  onAt,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  here: PanelsOfRoom;
  at: number;
  onAt: (index: number) => void;
}) {
  const say = useSay();
  const palette = usePalette();
  const { units } = room;
  const panel: ShownPanel | undefined = here.panels[at];
  useSpoken(
    panel
      ? spokenPlace(
          `Panel ${panel.number}`,
          panel.tapes.map(({ distanceMm, name }) => ({ distanceMm, name: say(name) })),
          units,
        )
      : null,
  );
  if (!panel) return null;
  const key = `${PANEL_FIXED}${room.id}/${panel.number}`;
  const done = shown.ticks.some((tick) => tick.key === key);
  return (
    <View style={styles.part} testID="panel-next">
      <View style={styles.line}>
        <Words
          bold
          size="large"
          style={styles.grow}
        >{`Panel ${panel.number} of ${here.panels.length}, row ${panel.row}`}</Words>
        <Words figure>{`sheet ${panel.sheet}`}</Words>
      </View>
      <Words bold figure>
        {`${formatReach(panel.lengthMm, units)} by ${formatReach(panel.widthMm, units)}${panel.isWhole ? ', whole' : ', cut'} · ${counted(panel.fixings, 'fixing')}`}
      </Words>
      {panel.tapes.map((tape) => (
        <View key={tape.wall} style={styles.line}>
          <Words figure bold size="entry" color={palette.chalk}>
            {formatReach(tape.distanceMm, units)}
          </Words>
          <Words style={styles.grow}>{`its first corner from ${say(tape.name)}`}</Words>
        </View>
      ))}
      {panel.stopped ? (
        <Words bold role="alert">
          {say(panel.stopped)}
        </Words>
      ) : null}
      {panel.cutOuts.map((cut, k) => (
        <Words
          key={k}
        >{`${say(cut.name)}: cut out ${formatReach(cut.acrossMm, units)}, its middle ${formatReach(cut.fromEndMm, units)} from the end and ${formatReach(cut.fromSideMm, units)} from the side, with a slot of ${formatReach(cut.slotMm, units)} to the nearest edge so that the panel slides under.`}</Words>
      ))}
      <Button
        kind="main"
        label={done ? 'Fixed: take the tick back' : 'Fixed'}
        hint={`Panel ${panel.number}`}
        onPress={() => {
          void toggleTick(shown, key, `Panel ${panel.number}`);
          if (!done && at < here.panels.length - 1) onAt(at + 1);
        }}
      />
      <ButtonRow>
        <Button label="Back" off={at === 0 ? 'This is the first panel.' : null} onPress={() => onAt(at - 1)} />
        <Button
          label="Next"
          off={at === here.panels.length - 1 ? 'This is the last panel.' : null}
          onPress={() => onAt(at + 1)}
        />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: SPACE.near },
  line: { flexDirection: 'row', gap: SPACE.part, alignItems: 'baseline' },
  grow: { flex: 1 },
});
