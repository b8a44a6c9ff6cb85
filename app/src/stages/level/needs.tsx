import { StyleSheet, View } from 'react-native';
import type { CompoundNeed } from '@maquette/core/levelling';
import { formatMass, formatVolume, type UnitSystem } from '@maquette/core/units';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';

/** Bags by product, the one that suits best first; what does not suit stays in sight with its reason. */
export function Needs({ needs, units }: { needs: readonly CompoundNeed[]; units: UnitSystem }) {
  const say = useSay();
  const palette = usePalette();
  return (
    <View style={styles.box} role="list" accessibilityLabel="Bags by product">
      {needs.map((need) => {
        const ink = need.unsuited ? palette.quiet : palette.ink;
        return (
          <View key={need.compound.id} role="listitem" style={[styles.row, { borderColor: palette.rule }]}>
            <View style={styles.grow}>
              <Words bold color={ink}>
                {say(need.compound.name)}
              </Words>
              <Words size="small" quiet>
                {say(
                  need.unsuited ??
                    `${formatMass(need.massKg, units)} · ${formatVolume(need.waterL, units)} water${need.lifts > 1 ? ` · ${need.lifts} lifts` : ''}`,
                )}
              </Words>
            </View>
            {need.unsuited ? null : (
              <Words figure bold size="large">
                {counted(need.bags, 'bag')}
              </Words>
            )}
            <Words figure size="small" quiet>
              {formatMass(need.compound.bagKg, units)}
            </Words>
          </View>
        );
      })}
      <Words size="small" quiet>
        Generic products with invented figures: the bag wins. Change them under Ways, Rates.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.near },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, borderTopWidth: 1, minHeight: 52 },
  grow: { flex: 1 },
});
