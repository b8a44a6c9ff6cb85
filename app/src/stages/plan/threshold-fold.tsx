import { StyleSheet, View } from 'react-native';
import { RISE_TOPIC } from '@maquette/core';
import { STOOD_ON } from '@maquette/core/levelling';
import { FIXTURES, openingName, type RoomFacts } from '@maquette/core/room';
import { formatGap, unitLabel } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { Words } from '../../ui/text.tsx';
import { useAnswers } from '../use-answers.ts';

const RISE_MM = { min: -20, max: 60 } as const;

/** How far the floor is to rise at each opening, and at what stands on it: a threshold, a stair, a tray may ask for a height. */
export function ThresholdFold({ shown, room }: { shown: ShownRoom; room: RoomFacts }) {
  const answers = useAnswers(shown);
  const { units } = room;
  const asked = (id: string) => answers.value(RISE_TOPIC + id) || null;
  /** What would bring the covering level with what lies beyond. */
  const wanted = (beyondLevelMm: number | null) =>
    beyondLevelMm === null || !shown.card ? null : beyondLevelMm - shown.card.thicknessMm;
  const places = [
    ...room.openings.map((opening) => ({
      id: opening.id,
      name: openingName(room, opening),
      suggestion: wanted(opening.beyondLevelMm),
    })),
    ...room.fixtures
      .filter(({ kind }) => STOOD_ON.includes(kind))
      .map(({ id, kind }) => ({ id, name: FIXTURES[kind].words.toLowerCase(), suggestion: null })),
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
        const topic = RISE_TOPIC + id;
        const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
        const take = (value: string) =>
          void answers.set(topic, value, value ? 'Height asked for' : 'No height asked for');
        return (
          <View key={id} style={styles.box}>
            <LengthField
              label={`Rise at the ${name}`}
              mm={asked(id) === null ? null : Number(asked(id))}
              units={units}
              range={RISE_MM}
              signed
              onTaken={(rise) => take(String(Math.round(rise * 10) / 10))}
              hint={
                suggestion === null
                  ? 'Below zero takes the floor down there.'
                  : `${mm(suggestion)} would bring this covering level with what lies beyond.`
              }
            />
            {asked(id) !== null ? <Button label={`No height at the ${name}`} onPress={() => take('')} /> : null}
          </View>
        );
      })}
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: 8 } });
