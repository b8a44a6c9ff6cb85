import { StyleSheet, View } from 'react-native';
import { Button } from './button.tsx';

interface Props<T extends string> {
  label: string;
  tabs: readonly { tab: T; label: string }[];
  chosen: T;
  onChoose: (tab: T) => void;
}

/** The parts of a stage side by side, the chosen one filled. */
export function Tabs<T extends string>({ label, tabs, chosen, onChoose }: Props<T>) {
  return (
    <View style={styles.tabs} role="group" accessibilityLabel={label}>
      {tabs.map((t) => (
        <Button
          key={t.tab}
          label={t.label}
          selected={chosen === t.tab}
          onPress={() => onChoose(t.tab)}
          style={styles.tab}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  tabs: { flexDirection: 'row', gap: 4, paddingHorizontal: 16, paddingTop: 6 },
  tab: { minHeight: 48, paddingHorizontal: 4 },
});
