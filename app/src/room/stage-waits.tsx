import { StyleSheet, View } from 'react-native';
import type { StageProps } from '../stages/stage-props.ts';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { SPACE } from '../theme/theme.tsx';

/** What a stage cannot do without: nothing, the covering's card, or that and the room's picture. */
export type Needs = 'nothing' | 'card' | 'picture';

/** Whether what a stage needs is here. */
export const isHere = (needs: Needs, { shown, picture }: StageProps): boolean =>
  needs === 'nothing' || (shown.card !== null && (needs === 'card' || picture !== null));

/** Stands on the bench while what the stage needs is not here: what is missing, and what to do about it. */
export function StageWaits({ props: { shown, failed, go } }: { props: StageProps }) {
  if (shown.card) return <Words style={styles.box}>{failed ?? 'Working it out …'}</Words>;
  return (
    <View style={styles.box}>
      <Words bold>The covering card of this room is not here.</Words>
      <Button kind="main" label="Choose a covering" onPress={() => go('room')} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { padding: SPACE.edge, gap: SPACE.part } });
