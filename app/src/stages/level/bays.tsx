import { StyleSheet, View } from 'react-native';
import type { PlaneChoice } from '@maquette/core/levelling';
import type { RoomFacts } from '@maquette/core/room';
import { formatArea, formatGap, formatReach, formatVolume, unitLabel } from '@maquette/core/units';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';

/** A pour as the crew does it: bay by bay with bags, water and minutes; stop-ends, dams, foam strip, what is plugged. */
export function Bays({ room, plane }: { room: RoomFacts; plane: PlaneChoice }) {
  const say = useSay();
  const palette = usePalette();
  const { units } = room;
  const { pour } = plane;
  return (
    <View style={styles.box}>
      <Words>{`${plane.groundMm > 0 ? `Grind ${formatGap(plane.groundMm, units)} ${unitLabel(units)} off the top first (${formatArea(plane.groundAreaM2, units)}), then pour` : 'Pour'} ${formatVolume(plane.volumeL, units)}: mean ${formatGap(plane.meanMm, units)}, deepest ${formatGap(plane.deepestMm, units)} ${unitLabel(units)}.`}</Words>
      {pour ? (
        <>
          <View role="list" accessibilityLabel="Bays" testID="bays">
            {pour.bays.map((bay) => (
              <View key={bay.number} role="listitem" style={[styles.row, { borderColor: palette.rule }]}>
                <Words figure bold size="large" color={palette.low} style={styles.number}>
                  {bay.number}
                </Words>
                <View style={styles.grow}>
                  <Words
                    bold
                    figure
                  >{`${counted(bay.bags, 'bag')}, ${formatVolume(bay.waterL, units)} water, ${Math.round(bay.minutes)} min`}</Words>
                  <Words size="small" quiet figure>
                    {`${formatArea(bay.areaM2, units)} · mean ${formatGap(bay.meanMm, units)} ${unitLabel(units)} · ${formatVolume(bay.volumeL, units)}${bay.stopEndMm > 0 ? ` · then a stop-end of ${formatReach(bay.stopEndMm, units)}` : ''}`}
                  </Words>
                </View>
              </View>
            ))}
          </View>
          <Words>
            {[
              `Foam strip ${formatReach(pour.foamM * 1000, units)}`,
              ...pour.dams.map((dam) => `dam the ${say(dam.name)} (${formatReach(dam.widthMm, units)})`),
              ...pour.plugs.map((plug) => `plug: ${say(plug).toLowerCase()}`),
            ].join('; ')}
            .
          </Words>
          <Words size="small">{`Each batch is poured within ${pour.potLifeMin} minutes of its water. Keep doors and windows shut; primer dry first.`}</Words>
          <Fold title="Why so many bays" aside={`${pour.bays.length}`}>
            <Words>
              {`Where it is deepest the crew lays ${formatArea(pour.rateM2PerMin, units)} a minute: mixers × bag ÷ (minutes a bag × mass for each area). A ribbon must be met before its edge sets, so the deepest bay is at most ${formatReach(pour.widestMm, units)} wide: rate × wet edge ÷ ribbon. Each bay is reckoned with its own mean depth. Change the crew under Ways, Rates.`}
            </Words>
          </Fold>
        </>
      ) : (
        <Words>No product suits this depth.</Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, borderTopWidth: 1, minHeight: 52 },
  number: { minWidth: 24 },
  grow: { flex: 1 },
});
