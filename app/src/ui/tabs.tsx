import { StyleSheet, View } from 'react-native';
import { Button } from './button.tsx';
import { SPACE } from '../theme/theme.tsx';

interface Props {
  label: string;
  tabs: readonly TabPart[];
}

/** One of the parts: chosen when it is shown. */
export interface TabPart {
  label: string;
  chosen: boolean;
  onChoose: () => void;
}

/** Parts by their names, one of them chosen. */
export const tabParts = <T extends string>(
  tabs: readonly { tab: T; label: string }[],
  chosen: T,
  onChoose: (tab: T) => void,
): TabPart[] => tabs.map(({ tab, label }) => ({ label, chosen: tab === chosen, onChoose: () => onChoose(tab) }));

/** The parts of a stage side by side, the chosen one filled. */
export function Tabs({ label, tabs }: Props) {
  return (
    <View style={styles.tabs} role="group" accessibilityLabel={label}>
      {tabs.map((t) => (
        <Button key={t.label} label={t.label} selected={t.chosen} onPress={t.onChoose} style={styles.tab} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  tabs: { flexDirection: 'row', gap: SPACE.near, paddingHorizontal: SPACE.edge, paddingTop: 6 },
  tab: { minHeight: 48, paddingHorizontal: SPACE.near },
});
