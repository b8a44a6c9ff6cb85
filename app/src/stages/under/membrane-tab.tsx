import { StyleSheet, View } from 'react-native';
import '@maquette/words/membranes';
import type { UnderOfRoom } from '@maquette/core';
import { WAY_OUT } from '@maquette/core/damp/questions';
import { MEMBRANE_STEP } from '@maquette/core/under/questions';
import type { RoomFacts } from '@maquette/core/room';
import { formatMass } from '@maquette/core/units';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write, type Change } from '../../data/write.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { hoursWords, moneyWords } from '../amounts.ts';
import { toggleTick } from '../toggle-tick.ts';
import { Touch } from '../../ui/touch.tsx';
import { Mark } from '../../ui/mark.tsx';
import { takeChoice } from './take-option.ts';

/** The way out of damp that a membrane is. */
function wayOut(shown: ShownRoom): Change {
  const held = shown.plain.answers.findLast(({ question }) => question === WAY_OUT.question);
  return {
    kind: 'answers',
    id: held?.id ?? newId(),
    roomId: shown.room!.id,
    body: { question: WAY_OUT.question, answer: 'membrane', note: held?.note ?? '' },
  };
}

/** Liquid membranes: which would do here, what each takes, and its steps in order. */
export function MembraneTab({ shown, room, under }: { shown: ShownRoom; room: RoomFacts; under: UnderOfRoom }) {
  const say = useSay();
  const palette = usePalette();
  const chosen = under.membrane;
  const currency = shown.job?.currency ?? '';
  const choose = (membraneId: string | null, name: string) =>
    void write(membraneId ? `Membrane: ${name}` : 'No membrane', [
      ...takeChoice(shown, under.cards, { membraneId }),
      // Damp is told the same in one step: over the limit, this is the way out of it.
      ...(membraneId && under.room.damp === 'work' ? [wayOut(shown)] : []),
    ]);
  const membraneCard = ({ card, plan }: UnderOfRoom['membranes'][number]) => {
    const isChosen = card.id === chosen?.card.id;
    return (
      <View
        key={card.id}
        style={[
          styles.card,
          { borderColor: isChosen ? palette.chalk : palette.rule, borderLeftWidth: isChosen ? 6 : 1 },
        ]}
        testID={`membrane-${card.id}`}
      >
        <Words bold quiet={plan.refused !== null}>
          {card.name}
        </Words>
        {plan.refused ? <Words>{say(plan.refused.why)}</Words> : null}
        <Words size="small" figure quiet={plan.refused !== null}>
          {`rated to ${card.limitRh} %RH · ${counted(card.coats, 'coat')}, ${formatMass(plan.kg, room.units)}, ${counted(plan.tubs, 'tub')}${plan.primerKg > 0 ? ` and ${formatMass(plan.primerKg, room.units)} of primer` : ''} · ${hoursWords(plan.hours)} until it may be laid on · ${moneyWords(plan.cost, currency)}`}
        </Words>
        <ButtonRow>
          {isChosen ? (
            <Button label="Leave it out" hint={card.name} onPress={() => choose(null, '')} />
          ) : (
            <Button
              kind={plan.refused || chosen ? 'plain' : 'main'}
              label={plan.refused ? 'Choose all the same' : 'Roll this on'}
              hint={card.name}
              onPress={() => choose(card.id, card.name)}
            />
          )}
        </ButtonRow>
      </View>
    );
  };
  return (
    <View style={styles.box} testID="membranes">
      <Words>
        A membrane that is rolled on lets planks or adhesive lie over a base that reads more than their sheet takes. It
        holds back what rises evenly; it stops no leak and no pressure.
      </Words>
      {chosen ? membraneCard(chosen) : null}
      {chosen ? (
        <View style={styles.part} testID="membrane-steps">
          <Words bold>Step by step</Words>
          {chosen.plan.cautions.map((caution, k) => (
            <Words key={k} size="small">
              {say(caution)}
            </Words>
          ))}
          {chosen.plan.steps.map(({ id, words }) => {
            const key = `${MEMBRANE_STEP}${chosen.card.id}/${id}`;
            const done = shown.ticks.some((tick) => tick.key === key);
            return (
              <Touch
                key={id}
                role="checkbox"
                aria-checked={done}
                label={say(words)}
                style={styles.step}
                onPress={() => void toggleTick(shown, key, say(words))}
              >
                <Mark verdict={done ? 'lay' : 'wait'} />
                <Words style={styles.grow}>{say(words)}</Words>
              </Touch>
            );
          })}
          <Words size="small">The tub’s own sheet wins over every figure here.</Words>
        </View>
      ) : null}
      {under.membranes.filter(({ card }) => card.id !== chosen?.card.id).map(membraneCard)}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  card: { borderWidth: 1, padding: SPACE.part, gap: SPACE.near },
  part: { gap: SPACE.near },
  step: { minHeight: 48, flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
});
