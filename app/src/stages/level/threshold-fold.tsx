import { StyleSheet, View } from 'react-native';
import type { RoomPicture } from '@maquette/core';
import { figure, orNull } from '@maquette/core/fields';
import { STOOD_ON } from '@maquette/core/levelling';
import { FIXTURES, openingName, type RoomFacts } from '@maquette/core/room';
import { formatGap, unitLabel } from '@maquette/core/units';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { OneField } from '../../form/one-field.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

/** What a way can lead to within a room; a fact may hold more. */
const RISE = orNull(figure(-20, 60, 'mm'));

/** How far the floor is to rise at each opening, and at what stands on it: a threshold, a stair, a tray may ask for a height. */
export function ThresholdFold({
  shown,
  room,
  heights,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  heights: RoomPicture['heights'];
}) {
  const say = useSay();
  const { units } = room;
  const held = (id: string) => shown.rises.findLast(({ placeId }) => placeId === id);
  const asked = (id: string) => held(id)?.riseMm ?? null;
  /** What would bring the covering level with what lies beyond. */
  const wanted = (openingId: string) => {
    const step = heights?.judged.openings.find((one) => one.openingId === openingId)?.step;
    return step ? -step.profiles.new.meanMm : null;
  };
  const places = [
    ...room.openings.map((opening) => ({
      id: opening.id,
      name: say(openingName(room, opening)),
      suggestion: wanted(opening.id),
    })),
    ...room.fixtures
      .filter(({ kind }) => STOOD_ON.includes(kind))
      .map(({ id, kind }) => ({ id, name: say(FIXTURES[kind].words).toLowerCase(), suggestion: null })),
  ];
  const set = places.filter(({ id }) => asked(id) !== null).length;
  if (places.length === 0) return null;
  return (
    <Fold
      title="Meet a threshold"
      memory={`threshold/${room.id}`}
      aside={set === 0 ? 'no height asked for' : `${set} asked for`}
    >
      <Words>
        Say how far the levelled floor is to rise at an opening, or under what stands on the floor, over its mean height
        there now. The way to it runs out into the room as far as the rule asks.
      </Words>
      {places.map(({ id, name, suggestion }) => {
        const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
        const take = (riseMm: number | null) =>
          write(riseMm === null ? 'No height asked for' : 'Height asked for', [
            {
              kind: 'rises',
              id: held(id)?.id ?? newId(),
              roomId: room.id,
              body: { placeId: id, riseMm, note: held(id)?.note ?? '' },
            },
          ]);
        return (
          <View key={id} style={styles.box}>
            <OneField
              of={RISE}
              value={asked(id)}
              units={units}
              label={`Rise at the ${name}`}
              signed
              onTaken={(rise) => take(rise === null ? null : Math.round(rise * 10) / 10)}
              hint={
                suggestion === null
                  ? 'Below zero takes the floor down there.'
                  : `${mm(suggestion)} would bring this covering level with what lies beyond.`
              }
            />
            {asked(id) !== null ? <Button label={`No height at the ${name}`} onPress={() => take(null)} /> : null}
          </View>
        );
      })}
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.gap } });
