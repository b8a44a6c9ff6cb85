import { StyleSheet, View } from 'react-native';
import type { WantedPhoto } from '@maquette/core/report';
import { useRoom } from '../../data/use-facts.ts';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';

/** Photographs wanted of a room, each with those that are held and the key that takes one. */
export function WantedPhotos({ roomId, photos }: { roomId: string; photos: readonly WantedPhoto[] }) {
  const say = useSay();
  const room = useRoom(roomId);
  if (!room.room) return null;
  return (
    <View style={styles.list} role="list" accessibilityLabel="Photographs wanted">
      {photos.map(({ what, about, aboutId, wanted, held }) => (
        <View key={`${about}/${aboutId}`} role="listitem" style={styles.one}>
          <Words bold={held < wanted}>{say(what)}</Words>
          <Words size="small" quiet figure>
            {held >= wanted ? `${held} held` : `${held} of ${wanted} held`}
          </Words>
          <PhotoStrip shown={room} about={{ about, aboutId, at: null }} label="Photograph it" hint={say(what)} />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.part }, one: { gap: SPACE.near } });
