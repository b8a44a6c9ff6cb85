import { View } from 'react-native';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';

/** Stands on the bench when the room's covering card is not on this device. */
export function NoCard({ onChoose }: { onChoose: () => void }) {
  return (
    <View style={{ padding: 16, gap: 12 }}>
      <Words bold>The covering card of this room is not here.</Words>
      <Button kind="main" label="Choose a covering" onPress={onChoose} />
    </View>
  );
}
