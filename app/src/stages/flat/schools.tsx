import { StyleSheet, View } from 'react-native';
import { ruleWords } from '@maquette/core/coverings';
import type { SchoolResult } from '@maquette/core/flat';
import { formatGap, unitLabel, type UnitSystem } from '@maquette/core/units';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';

/** The same floor under each common rule: practitioners differ, the floor does not. The tick is what each rule allows. */
export function Schools({ schools, units }: { schools: readonly SchoolResult[]; units: UnitSystem }) {
  const say = useSay();
  const palette = usePalette();
  return (
    <View style={styles.box}>
      <Words quiet>The same floor under other rules</Words>
      {schools.map((school) => {
        const ratio = school.worstMm / school.rule.gapMm;
        const over = school.overMm > 0;
        const ink = over ? palette.verdict.work : palette.verdict.lay;
        const margin = over ? `+${formatGap(school.overMm, units)}` : 'inside';
        return (
          <View
            key={`${school.rule.gapMm}/${school.rule.edgeMm}`}
            style={styles.row}
            accessible
            accessibilityLabel={`${say(ruleWords(school.rule))}: ${over ? `${formatGap(school.overMm, units)} ${unitLabel(units)} over` : 'inside'}${school.chosen ? ', the rule of this covering' : ''}`}
          >
            <Words figure bold={school.chosen} size="small" style={styles.name}>
              {say(ruleWords(school.rule))}
              {school.chosen ? ' ◂' : ''}
            </Words>
            <View style={[styles.track, { backgroundColor: palette.plank }]}>
              <View
                style={{
                  position: 'absolute',
                  left: 0,
                  top: 0,
                  bottom: 0,
                  width: `${Math.min(100, ratio * 40)}%`,
                  backgroundColor: ink,
                }}
              />
              <View style={[styles.tick, { backgroundColor: palette.ink }]} />
            </View>
            <Words figure bold color={ink} style={styles.margin}>
              {margin}
            </Words>
          </View>
        );
      })}
      <Words size="small" quiet>
        ◂ is the rule on this covering’s card. The tick marks what each rule allows; figures are {unitLabel(units)} over
        it.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, minHeight: 24 },
  name: { width: 138 },
  track: { flex: 1, height: 12 },
  tick: { position: 'absolute', left: '40%', top: -4, bottom: -4, width: 3 },
  margin: { width: 56, textAlign: 'right' },
});
