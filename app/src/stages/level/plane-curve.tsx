import { StyleSheet, View } from 'react-native';
import type { PlaneChoice } from '@maquette/core/levelling';
import { formatGap, unitLabel, type UnitSystem } from '@maquette/core/units';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { Touch } from '../../ui/touch.tsx';

const TALL_PX = 90;

/** Millimetres ground off the top against bags poured: each bar can be chosen. */
export function PlaneCurve({
  curve,
  chosen,
  onChoose,
  units,
}: {
  curve: readonly PlaneChoice[];
  chosen: number;
  onChoose: (index: number) => void;
  units: UnitSystem;
}) {
  const say = useSay();
  const palette = usePalette();
  const bags = curve.map((pour) => pour.needs[0]?.bags ?? 0);
  const product = curve[0]?.needs[0]?.compound.name ?? 'compound';
  const most = Math.max(...bags, 1);
  return (
    <View style={styles.box}>
      <Words
        size="small"
        quiet
      >{`Bags of ${say(product).toLowerCase()} against ${unitLabel(units)} ground off the highest place`}</Words>
      <View role="radiogroup" accessibilityLabel="Grind first" style={styles.bars}>
        {curve.map((pour, index) => (
          <Touch
            key={pour.groundMm}
            role="radio"
            aria-checked={index === chosen}
            label={`Grind ${formatGap(pour.groundMm, units)} ${unitLabel(units)}: ${counted(bags[index]!, 'bag')}`}
            onPress={() => onChoose(index)}
            style={styles.bar}
          >
            <Words figure size="small" bold={index === chosen}>
              {bags[index]}
            </Words>
            <View
              style={{
                height: (TALL_PX * bags[index]!) / most,
                alignSelf: 'stretch',
                backgroundColor: index === chosen ? palette.chalk : palette.low,
                opacity: index === chosen ? 1 : 0.6,
              }}
            />
            <Words figure size="small" bold={index === chosen}>
              {formatGap(pour.groundMm, units)}
            </Words>
          </Touch>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.near },
  bars: { flexDirection: 'row', gap: SPACE.near, alignItems: 'flex-end' },
  bar: { flex: 1, alignItems: 'center', justifyContent: 'flex-end', minHeight: TALL_PX + 44 },
});
