import { StyleSheet, View } from 'react-native';
import {
  CHANGED,
  DAMP_QUESTIONS,
  HEAT_UP,
  onGround,
  LAYING_DAY,
  OUTER_WALLS,
  outerWallsOf,
  SOURCE,
  WEATHERTIGHT,
  type DampContext,
  type DampQuestion,
} from '@maquette/core/damp';
import type { Question } from '@maquette/core/fields';
import { isTimber, type RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useAnswers, type Answers } from '../use-answers.ts';
import { OneField } from '../../form/one-field.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

/** What is known of the floor's damp: each question may stay unanswered, and says what its answer changes. */
export function Known({ shown, room, ctx }: { shown: ShownRoom; room: RoomFacts; ctx: DampContext }) {
  const answers = useAnswers(shown);
  const walls = outerWallsOf(ctx);
  const timber = isTimber(room.baseKind);
  const heated = room.base.heating === 'water' || room.base.heating === 'electric';
  const asked = DAMP_QUESTIONS.filter(
    ({ asked: { question } }) => question === SOURCE.question || (!timber && (heated || question !== HEAT_UP.question)),
  );
  const source = answers.to(SOURCE);
  const toggle = (wall: number) => {
    const held = walls ?? [];
    const next = held.includes(wall) ? held.filter((w) => w !== wall) : [...held, wall].sort((a, b) => a - b);
    void answers.set(OUTER_WALLS, next, 'Outer walls marked');
  };
  // While it holds the room up it stands in sight.
  const wallsFirst = onGround(ctx) && walls === null;
  const outer = (
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
          onPress={() => void answers.set(OUTER_WALLS, [], 'No outer walls')}
          style={styles.wall}
        />
      </View>
    </View>
  );
  return (
    <View style={styles.box}>
      {wallsFirst ? outer : null}
      {source === null ? <Asked of={DAMP_QUESTIONS[0]} answers={answers} /> : null}
      <Fold
        title="What is known"
        aside={`${asked.filter((q) => answers.to(q.asked) !== null).length} of ${asked.length} answered`}
      >
        {asked
          .filter((q) => q.asked !== SOURCE || source !== null)
          .map((q) => (
            <Asked key={q.asked.question} of={q} answers={answers} />
          ))}
        {!timber && !wallsFirst ? outer : null}
        <OneField
          label="Weathertight and cured since"
          of={WEATHERTIGHT.takes}
          value={answers.to(WEATHERTIGHT) ?? ''}
          units={room.units}
          onTaken={(day) => answers.set(WEATHERTIGHT, day, 'Weathertight since')}
          hint="Drying starts here, never at casting. Empty: not known."
        />
        <OneField
          label="Heating or weather-tightness changed on"
          of={CHANGED.takes}
          value={answers.to(CHANGED) ?? ''}
          units={room.units}
          onTaken={(day) => answers.set(CHANGED, day, 'Change recorded')}
          hint="Readings from before it no longer count."
        />
        <OneField
          label="Wanted laying date"
          of={LAYING_DAY.takes}
          value={answers.to(LAYING_DAY) ?? ''}
          units={room.units}
          onTaken={(day) => answers.set(LAYING_DAY, day, 'Laying date')}
          hint="A forecast that ends before it means waiting is enough."
        />
      </Fold>
    </View>
  );
}

/** One question with its answers side by side. */
function Asked({ of, answers }: { of: DampQuestion; answers: Answers }) {
  const say = useSay();
  const { asked, words, options, why } = of;
  const held = answers.to<Question<string | number>>(asked);
  return (
    <View style={styles.question}>
      <Choice
        label={say(words)}
        inline
        value={held === null ? '' : String(held)}
        options={options.map(([value, label]) => ({ value: String(value), label: say(label) }))}
        onChange={(chosen) => {
          const option = options.find(([value]) => String(value) === chosen);
          if (option) void answers.set<Question<string | number>>(asked, option[0], `${say(words)} answered`);
        }}
      />
      <Words size="small" quiet>
        {say(why)}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  question: { gap: SPACE.near },
  walls: { gap: SPACE.near },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.near },
  wall: { flexGrow: 0, minWidth: 56 },
});
