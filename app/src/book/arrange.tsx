import { StyleSheet, View } from 'react-native';
import { SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Fold } from '../ui/fold.tsx';
import { Sortable } from '../ui/sortable.tsx';
import { Words } from '../ui/text.tsx';

interface Props {
  title: string;
  items: readonly { id: string; name: string }[];
  onPlace: (id: string, to: number) => void;
  onRemove: (id: string) => void;
}

/** Putting a list in another order, and taking something off it: rarely done, and out of the way of what is done all day. */
export function Arrange({ title, items, onPlace, onRemove }: Props) {
  if (items.length === 0) return null;
  return (
    <Fold title={title}>
      <View>
        <Sortable items={items} onPlace={onPlace}>
          {(id, handle) => {
            const { name } = items.find((one) => one.id === id)!;
            return (
              <View style={styles.row}>
                {handle}
                <Words style={styles.grow}>{name}</Words>
                <Button label="Remove" hint={name} onPress={() => onRemove(id)} style={styles.key} />
              </View>
            );
          }}
        </Sortable>
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, minHeight: 56 },
  grow: { flex: 1 },
  key: { flexGrow: 0 },
});
