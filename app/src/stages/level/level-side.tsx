import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import type { Planned } from '../../worker/use-planned.ts';
import { SPACE } from '../../theme/theme.tsx';

/** What stands in the plan's place while there is none: nothing read, still working, or stopped. */
export function LevelSide({
  planned,
  none,
  onRead,
  children,
}: {
  planned: Planned;
  none: boolean;
  onRead: () => void;
  children: ReactNode;
}) {
  if (none) {
    return (
      <View style={styles.note}>
        <Words bold>Nothing read yet, so there is nothing to plan.</Words>
        <Button kind="main" label="Read the floor" onPress={onRead} />
      </View>
    );
  }
  if (planned.working === 'plan') {
    return (
      <View style={styles.note}>
        <Words role="status">Working out the smallest fill and checking it at 36 directions …</Words>
        <Button label="Stop" onPress={planned.stop} />
      </View>
    );
  }
  if (planned.failed && !planned.plan) return <Words style={styles.note}>{planned.failed}</Words>;
  return <>{children}</>;
}

const styles = StyleSheet.create({ note: { padding: SPACE.edge, gap: SPACE.part } });
