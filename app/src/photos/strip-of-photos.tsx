import { useEffect, useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import type { ShownRoom } from '../data/use-facts.ts';
import { bodyOf } from '@maquette/facts';
import { keepPhotos, pictureUrl, type PhotoAbout } from '../data/photos.ts';
import { chooseFiles } from '../data/save-text.ts';
import { write } from '../data/write.ts';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { usePlacePhoto } from './place-photo.tsx';
import { Words } from '../ui/text.tsx';
import { Touch } from '../ui/touch.tsx';
import { useTimes } from '../ui/shown-in.tsx';

type Photo = ShownRoom['photos'][number];

/** Photographs of one thing: taken or chosen, several at once; looked at, removed. Each of its `views` has a key of its own. */
export function StripOfPhotos({
  shown,
  about,
  label = 'Photograph',
  hint = 'Take or choose pictures',
  views = [],
}: {
  shown: ShownRoom;
  about: PhotoAbout;
  label?: string;
  /** What the key takes a picture of, where several such keys stand on a page. */
  hint?: string;
  views?: readonly string[];
}) {
  const { localTime } = useTimes();
  const palette = usePalette();
  const place = usePlacePhoto();
  const [problem, setProblem] = useState<string | null>(null);
  const [large, setLarge] = useState<string | null>(null);
  const photos = shown.photos.filter((p) => p.about === about.about && p.aboutId === about.aboutId);
  const take = async (note: string) => {
    setProblem(null);
    const wrong = await keepPhotos(shown.room!.id, about, await chooseFiles('image/*'), note);
    if (wrong.length > 0) setProblem(wrong.join('. '));
  };
  const remove = (photo: Photo) => {
    if (!globalThis.confirm('Remove this photograph? Undo brings it back.')) return;
    void write('Photograph removed', [
      { kind: 'photos', id: photo.id, roomId: shown.room!.id, body: bodyOf(photo), deleted: true },
    ]);
  };
  return (
    <View style={styles.box}>
      {photos.length > 0 ? (
        <View style={styles.strip} role="list" accessibilityLabel="Photographs">
          {photos.map((photo) => (
            <View key={photo.id} role="listitem" style={large === photo.id ? styles.wide : null}>
              <Touch
                label={`Photograph of ${photo.note ? `${photo.note.toLowerCase()}, ` : ''}${localTime(photo.takenAt)}${large === photo.id ? ', smaller' : ', larger'}`}
                onPress={() => setLarge(large === photo.id ? null : photo.id)}
              >
                <Picture roomId={shown.room!.id} id={photo.id} large={large === photo.id} />
                {photo.note ? <Words size="small">{photo.note}</Words> : null}
              </Touch>
              {large === photo.id ? (
                <ButtonRow>
                  {place ? (
                    <Button
                      selected={place.waiting === photo.id}
                      label={place.waiting === photo.id ? 'Touch the sheet' : 'Place on the sheet'}
                      onPress={() => place.ask(place.waiting === photo.id ? null : photo.id)}
                    />
                  ) : null}
                  <Button label="Remove photograph" onPress={() => remove(photo)} />
                </ButtonRow>
              ) : null}
            </View>
          ))}
        </View>
      ) : null}
      <ButtonRow>
        {(views.length > 0 ? views : ['']).map((view) => {
          const words = view ? `Photograph the ${view.toLowerCase()}` : label;
          return (
            <Button
              key={view}
              label={photos.some((p) => p.note === view) ? `${words} again` : words}
              hint={hint}
              onPress={() => void take(view)}
            />
          );
        })}
      </ButtonRow>
      {problem ? (
        <Words size="small" role="alert" color={palette.verdict.stop}>
          {problem}
        </Words>
      ) : null}
    </View>
  );
}

function Picture({ roomId, id, large }: { roomId: string; id: string; large: boolean }) {
  const palette = usePalette();
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let here = true;
    void pictureUrl(roomId, id).then((found) => here && setUrl(found));
    return () => {
      here = false;
    };
  }, [roomId, id]);
  return (
    <View style={[large ? styles.large : styles.small, { borderColor: palette.rule, backgroundColor: palette.plank }]}>
      {url ? (
        <Image source={{ uri: url }} resizeMode={large ? 'contain' : 'cover'} style={StyleSheet.absoluteFill} alt="" />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  strip: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap },
  small: { width: 72, height: 72, borderWidth: 1 },
  large: { width: '100%', height: 280, borderWidth: 1 },
  wide: { width: '100%', gap: SPACE.gap },
});
