import { StyleSheet, View } from 'react-native';
import { stopsSaid } from '@maquette/core/hazards';
import type { RoomFacts } from '@maquette/core/room';
import type { WalkStep } from '@maquette/core/soundness';
import { LIPS_CHECK } from '@maquette/core/verdict';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

const HOW: Record<WalkStep['kind'], string> = {
  joist: 'Slow steps with your weight on each heel. Listen for a squeak, feel for give.',
  tap: 'A light tap with a knuckle or a rod. A dull, hollow note is a finding. Nothing is broken loose.',
  bounce: 'Rise on your toes and drop. Things rattling, or more give than a coin is thick, is a finding.',
  scratch: 'A grid with a hard point, even pressure. Dust or break-out is a finding.',
  drop: 'A drop of water: soaked in within a minute is thirsty, longer than five is dense. A bead that stands is a finding.',
};

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  steps: readonly WalkStep[];
  step: WalkStep | null;
  onStep: (key: string | null) => void;
}

/** The guided walk: one line after another, each with an answer, so that nothing found is on record too. */
export function WalkTab({ shown, room, steps, step, onStep }: Props) {
  const say = useSay();
  const record = (key: string, found: boolean) => {
    onStep(null);
    const held = shown.checks.find((c) => c.key === key);
    return write(found ? 'Something found' : 'Nothing found', [
      {
        kind: 'checks',
        id: held?.id ?? newId(),
        roomId: room.id,
        body: { key, found, takenAt: nowUtc(), note: '' },
      },
    ]);
  };
  const closed = step && step.closedBy.length > 0 ? 'The floor is closed to it: the reason stands above.' : null;
  const lips = shown.checks.find((c) => c.key === LIPS_CHECK);
  return (
    <View style={styles.box} testID="walk">
      {step ? (
        <>
          <Words bold size="large">
            {say(step.words)}
          </Words>
          {step.closedBy.length > 0 ? (
            <Words role="alert">{`Not now. ${say(stopsSaid(step.closedBy))}`}</Words>
          ) : (
            <Words>{HOW[step.kind]}</Words>
          )}
          <ButtonRow>
            <Button kind="main" label="Nothing found" off={closed} onPress={() => void record(step.key, false)} />
            <Button
              label="Something found"
              hint="Then mark what it is on the sheet"
              off={closed}
              onPress={() => void record(step.key, true)}
            />
          </ButtonRow>
        </>
      ) : (
        <Words bold>Every line and spot has been gone over.</Words>
      )}
      <Button
        label={lips && !lips.found ? 'No lips: every joint felt along' : 'Felt along every joint: no lip'}
        selected={Boolean(lips && !lips.found)}
        onPress={() => void record(LIPS_CHECK, false)}
      />
      <Fold title="All lines and spots" aside={`${steps.filter((s) => s.done).length} of ${steps.length}`}>
        {steps.map((s) => (
          <Button
            key={s.key}
            label={`${say(s.words)}: ${s.done ? (s.done.found ? 'something found' : 'nothing found') : 'not yet'}`}
            selected={s.key === step?.key}
            onPress={() => onStep(s.key)}
          />
        ))}
      </Fold>
      <Words size="small" quiet>
        A structural engineer decides about joists, rot and deflection. Keep off what gives.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part } });
