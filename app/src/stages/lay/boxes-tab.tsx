import { StyleSheet, View } from 'react-native';
import type { LayPlan, LayState } from '@maquette/core';
import { BATCHES } from '@maquette/core/setout/questions';
import type { RoomFacts } from '@maquette/core/room';
import type { Criterion } from '@maquette/core/verdict';
import { bodyOf } from '@maquette/facts';
import { nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { CriteriaList } from '../criteria-list.tsx';
import { useAnswers } from '../use-answers.ts';
import { BoxForm } from './box-form.tsx';
import { CheckForm } from './check-form.tsx';
import { DamagedFold } from './damaged-fold.tsx';
import { JobBoxesFold } from './job-boxes-fold.tsx';

const MISPLACED = {
  leaning: 'they lean: lay them flat',
  'on-concrete': 'they lie on concrete: put battens under them',
  'outer-wall': 'they stand by an outer wall: move them into the room',
  'vents-and-sun': 'a vent or the sun reaches them: move them',
} as const;

/** Boxes by the clock, their batches, the first box of each, and what was set aside. */
export function BoxesTab({
  shown,
  room,
  plan,
  state,
  criteria,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  plan: LayPlan | null;
  state: LayState | null;
  criteria: readonly Criterion[];
}) {
  const palette = usePalette();
  const times = useTimes();
  const answers = useAnswers(shown);
  const boxesOf = (id: string) => shown.plankBoxes.find((one) => one.id === id);
  return (
    <View testID="boxes">
      <CriteriaList criteria={criteria.filter(({ id }) => id !== 'lay-glue')} />
      <View style={styles.box}>
        {state?.clocks.map(({ boxes, misplaced, hoursDone, hoursNeeded, dueAt, isDone }) => (
          <View key={boxes.id} style={[styles.part, { borderColor: palette.rule }]} testID="box-clock">
            <Words bold figure>
              {`${counted(boxes.boxes, 'box', 'boxes')} of batch ${boxes.batch}, ${boxes.planksEach} planks each`}
            </Words>
            <Words figure>
              {isDone
                ? hoursNeeded === 0
                  ? 'The card asks for no rest.'
                  : `Rested: ${hoursNeeded} h in the right air.`
                : dueAt
                  ? `${Math.floor(hoursDone)} of ${hoursNeeded} h; ready on ${times.localTime(dueAt)} if the air stays as it is.`
                  : misplaced.length > 0
                    ? `The clock stands still: ${misplaced.map((what) => MISPLACED[what]).join('; ')}.`
                    : `0 of ${hoursNeeded} h: the air is out of its range, or nobody has read it since they came.`}
            </Words>
            <Words size="small">{`Put in on ${times.localTime(boxes.stoodAt)}${boxes.isOpened ? ', opened' : ', closed'}.`}</Words>
            <ButtonRow>
              {misplaced.length > 0 ? (
                <Button
                  label="They lie right now"
                  hint="The clock begins anew"
                  onPress={() =>
                    void write(`Boxes of ${boxes.batch} put right`, [
                      {
                        kind: 'plankBoxes',
                        id: boxes.id,
                        roomId: room.id,
                        body: {
                          ...bodyOf(boxesOf(boxes.id)!),
                          isFlat: true,
                          isOffConcrete: true,
                          isOffOuterWall: true,
                          isOffVentsAndSun: true,
                          stoodAt: nowUtc(),
                        },
                      },
                    ])
                  }
                />
              ) : null}
              <Button
                label="Take off the record"
                hint={`Batch ${boxes.batch}`}
                onPress={() =>
                  void write(`Boxes of ${boxes.batch} taken off`, [
                    {
                      kind: 'plankBoxes',
                      id: boxes.id,
                      roomId: room.id,
                      body: bodyOf(boxesOf(boxes.id)!),
                      deleted: true,
                    },
                  ])
                }
              />
            </ButtonRow>
            <PhotoStrip
              shown={shown}
              about={{ about: 'box', aboutId: boxes.id, at: null }}
              label="Photograph the label"
            />
          </View>
        ))}
        {state && state.batches.length > 1 ? (
          <Choice
            label="What does the maker say of two batches in one room?"
            value={state.mixed}
            options={[
              { value: 'ask', label: 'Not asked yet' },
              { value: 'mix', label: 'They may be mixed' },
              { value: 'refuse', label: 'They may not lie together' },
            ]}
            onChange={(value) => void answers.set(BATCHES, value, 'Batches')}
          />
        ) : null}
        {plan?.boxes ? (
          <Words bold figure>
            {`${counted(plan.boxes.boxes, 'box', 'boxes')} are asked for here: ${plan.planks} planks and ${plan.boxes.spare} spare, ${plan.boxes.inBox} in a box.`}
          </Words>
        ) : null}
        <JobBoxesFold shown={shown} jobId={room.jobId} />
        <Fold title="Boxes that came" open={(state?.clocks.length ?? 0) === 0} memory={`lay-boxes/${room.id}`}>
          <BoxForm shown={shown} inBox={plan?.boxes?.inBox ?? null} boxes={plan?.boxes?.boxes ?? null} />
        </Fold>
        {state?.checks.map(({ batch, check }) => (
          <Fold
            key={batch}
            title={`First box of batch ${batch}`}
            aside={check ? 'looked at' : 'not yet'}
            memory={`lay-check/${room.id}/${batch}`}
          >
            <CheckForm shown={shown} batch={batch} />
          </Fold>
        ))}
        <DamagedFold shown={shown} planksDamaged={state?.planksDamaged ?? 0} stock={plan?.stock ?? null} />
        <Words size="small">
          Hours count only while the air is within the card’s range and somebody reads it, on Damp. They begin anew when
          it leaves the range. Keep boxes flat on battens, closed unless the sheet says otherwise, and carry the planks
          from three open boxes in the order of laying.
        </Words>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  part: { gap: SPACE.near, borderTopWidth: 1, paddingTop: SPACE.gap },
});
