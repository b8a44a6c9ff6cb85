import { StyleSheet, View } from 'react-native';
import { Button } from './button.tsx';
import { Words } from './text.tsx';
import { SPACE } from '../theme/theme.tsx';

interface Props {
  label: string;
  value: number;
  unit: string;
  step: number;
  min: number;
  max: number;
  onChange: (value: number) => void;
}

/** A figure moved in steps by two large keys: no sliding with gloves on. */
export function Stepper({ label, value, unit, step, min, max, onChange }: Props) {
  const to = (by: number) => Math.min(max, Math.max(min, (Math.round(value / step) + by) * step));
  return (
    <View style={styles.row} role="group" accessibilityLabel={label}>
      <Words size="small" style={styles.label}>
        {label}
      </Words>
      <Button
        label="−"
        hint={`${label}, lower`}
        off={value <= min ? `${min} ${unit} is the least.` : null}
        onPress={() => onChange(to(-1))}
        style={styles.key}
      />
      <Words bold figure style={styles.value}>{`${value} ${unit}`}</Words>
      <Button
        label="+"
        hint={`${label}, higher`}
        off={value >= max ? `${max} ${unit} is the most.` : null}
        onPress={() => onChange(to(1))}
        style={styles.key}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  label: { flex: 1 },
  key: { flexGrow: 0, minWidth: 52 },
  value: { minWidth: 76, textAlign: 'center' },
});
