import { StyleSheet, View } from 'react-native';
import { DAMP_QUESTIONS, outerWallsOf, type DampContext, type DampQuestion } from '@maquette/core/damp';
import { isTimber, type RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useAnswers } from '../use-answers.ts';
import { DayField } from './time-field.tsx';

/** What is known of the floor's damp: each question may stay unanswered, and says what its answer changes. */
export function Known({ shown, room, ctx }: { shown: ShownRoom; room: RoomFacts; ctx: DampContext }) {
  const answers = useAnswers(shown);
  const walls = outerWallsOf(ctx);
  const timber = isTimber(room.baseKind);
  const asked: DampQuestion[] = timber
    ? ['damp/source']
    : ['damp/source', 'damp/membrane', 'damp/wait', 'damp/faces', 'damp/surface'];
  const source = answers.value('damp/source');
  const toggle = (wall: number) => {
    const held = walls ?? [];
    const next = held.includes(wall) ? held.filter((w) => w !== wall) : [...held, wall].sort((a, b) => a - b);
    void answers.set('damp/outer-walls', next.join(','), 'Outer walls marked');
  };
  return (
    <View style={styles.box}>
      {source === null ? <Question topic="damp/source" answers={answers} /> : null}
      <Fold
        title="What is known"
        aside={`${asked.filter((q) => answers.value(q) !== null).length} of ${asked.length} answered`}
      >
        {asked
          .filter((q) => q !== 'damp/source' || source !== null)
          .map((topic) => (
            <Question key={topic} topic={topic} answers={answers} />
          ))}
        {!timber ? (
          <View style={styles.walls} role="group" accessibilityLabel="Outer walls">
            <Words size="small" quiet>
              {walls === null ? 'Outer walls: nobody has said yet' : 'Outer walls: each asks for a test within 1 m'}
            </Words>
            <View style={styles.row}>
              {room.walls.map((wall, i) => (
                <Button
                  key={i}
                  label={wall.name || `W${i + 1}`}
                  selected={walls?.includes(i) ?? false}
                  onPress={() => toggle(i)}
                  style={styles.wall}
                />
              ))}
              <Button
                label="None"
                selected={walls !== null && walls.length === 0}
                onPress={() => void answers.set('damp/outer-walls', '', 'No outer walls')}
                style={styles.wall}
              />
            </View>
          </View>
        ) : null}
        <DayField
          label="Weathertight and cured since"
          day={(answers.value('damp/weathertight') ?? '').slice(0, 10)}
          onTaken={(day) => void answers.set('damp/weathertight', day, 'Weathertight since')}
          hint="Drying starts here, never at casting. Empty: not known."
        />
        <DayField
          label="Heating or weather-tightness changed on"
          day={(answers.value('damp/changed') ?? '').slice(0, 10)}
          onTaken={(day) => void answers.set('damp/changed', day, 'Change recorded')}
          hint="Readings from before it no longer count."
        />
        <DayField
          label="Wanted laying date"
          day={answers.value('lay/date') ?? ''}
          onTaken={(day) => void answers.set('lay/date', day, 'Laying date')}
          hint="A forecast that ends before it means waiting is enough."
        />
      </Fold>
    </View>
  );
}

function Question({ topic, answers }: { topic: DampQuestion; answers: ReturnType<typeof useAnswers> }) {
  const { words, options, why } = DAMP_QUESTIONS[topic];
  return (
    <View style={styles.question}>
      <Choice
        label={words}
        inline
        value={answers.value(topic) ?? ''}
        options={Object.entries(options).map(([value, label]) => ({ value, label }))}
        onChange={(value) => void answers.set(topic, value, `${words} answered`)}
      />
      <Words size="small" quiet>
        {why}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: 8 },
  question: { gap: 4 },
  walls: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 4 },
  wall: { flexGrow: 0, minWidth: 56 },
});
