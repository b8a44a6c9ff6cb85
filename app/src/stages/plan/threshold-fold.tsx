import { StyleSheet, View } from 'react-native';
import { RISE_TOPIC } from '@maquette/core';
import { openingName, type Opening, type RoomFacts } from '@maquette/core/room';
import { formatGap, unitLabel } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { Words } from '../../ui/text.tsx';
import { useAnswers } from '../use-answers.ts';

const RISE_MM = { min: -20, max: 60 } as const;

/** How far the floor is to rise at each opening: a threshold, a stair or the next room may ask for a height. */
export function ThresholdFold({ shown, room }: { shown: ShownRoom; room: RoomFacts }) {
  const answers = useAnswers(shown);
  const { units } = room;
  const asked = (opening: Opening) => answers.value(RISE_TOPIC + opening.id) || null;
  const set = room.openings.filter((opening) => asked(opening) !== null).length;
  if (room.openings.length === 0) return null;
  /** What would bring the covering level with what lies beyond. */
  const wanted = ({ beyondLevelMm }: Opening) =>
    beyondLevelMm === null || !shown.card ? null : beyondLevelMm - shown.card.thicknessMm;
  return (
    <Fold
      title="Meet a threshold"
      memory={`threshold/${room.id}`}
      aside={set === 0 ? 'no height asked for' : `${set} asked for`}
    >
      <Words>
        Say how far the levelled floor is to rise at an opening, over its mean height there now. The way to it runs out
        into the room as far as the rule asks.
      </Words>
      {room.openings.map((opening) => {
        const topic = RISE_TOPIC + opening.id;
        const name = openingName(room, opening);
        const suggestion = wanted(opening);
        const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
        const take = (value: string) =>
          void answers.set(topic, value, value ? 'Height asked for' : 'No height asked for');
        return (
          <View key={opening.id} style={styles.box}>
            <LengthField
              label={`Rise at the ${name}`}
              mm={asked(opening) === null ? null : Number(asked(opening))}
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
            {asked(opening) !== null ? <Button label={`No height at the ${name}`} onPress={() => take('')} /> : null}
          </View>
        );
      })}
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: 8 } });
