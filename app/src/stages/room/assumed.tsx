import { StyleSheet, View } from 'react-native';
import { BASE_WORDS, openAssumptions, type Assumption, type BaseDetails, type RoomFacts } from '@maquette/core/room';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import type { RoomChange } from './room-change.ts';

/** Where a floor usually lies, each as one answer. */
const PLACES: readonly { label: string; part: Pick<BaseDetails, 'grade' | 'beneath'> }[] = [
  { label: 'On the ground', part: { grade: 'on', beneath: 'ground' } },
  { label: 'Below ground level', part: { grade: 'below', beneath: 'ground' } },
  { label: 'Over a crawl space', part: { grade: 'above', beneath: 'crawl-space' } },
  { label: 'Over a heated room', part: { grade: 'above', beneath: 'heated-room' } },
  { label: 'Over an unheated room', part: { grade: 'above', beneath: 'unheated-room' } },
  { label: 'Over another dwelling', part: { grade: 'above', beneath: 'dwelling' } },
];

/** What a new room is taken to be until somebody has looked, each confirmed by one touch. Nothing is judged fit to lay before. */
export function Assumed({
  room,
  layers,
  change,
  onLayers,
}: {
  room: RoomFacts;
  layers: number;
  change: RoomChange;
  onLayers: () => void;
}) {
  const say = useSay();
  const palette = usePalette();
  const open = openAssumptions(room, layers);
  if (open.length === 0) return null;
  const confirm = (one: Assumption, words: string, part: Partial<RoomFacts> = {}) =>
    void change(words, { ...part, assumed: (room.assumed ?? []).filter((a) => a !== one) });
  return (
    <View style={[styles.box, { borderColor: palette.verdict.measure }]} testID="assumed">
      <Words bold>Not confirmed yet</Words>
      {open.includes('base') ? (
        <>
          <Words>{`The base is taken to be: ${say(BASE_WORDS[room.baseKind]).toLowerCase()}.`}</Words>
          <ButtonRow>
            <Button label="Yes, that is the base" onPress={() => confirm('base', 'Base confirmed')} />
          </ButtonRow>
          <Words size="small" quiet>
            Else choose what it is under Base, further down.
          </Words>
        </>
      ) : null}
      {open.includes('place') ? (
        <>
          <Words>Where does the floor lie?</Words>
          <ButtonRow>
            {PLACES.map(({ label, part }) => (
              <Button
                key={label}
                label={label}
                onPress={() => confirm('place', `Place: ${label.toLowerCase()}`, { base: { ...room.base, ...part } })}
              />
            ))}
          </ButtonRow>
        </>
      ) : null}
      {open.includes('layers') ? (
        <>
          <Words>Nothing is entered that lies on the base.</Words>
          <ButtonRow>
            <Button label="Yes, it is bare" onPress={() => confirm('layers', 'Bare base confirmed')} />
            <Button label="Enter what lies there" onPress={onLayers} />
          </ButtonRow>
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { borderWidth: 2, padding: SPACE.part, gap: SPACE.gap } });
