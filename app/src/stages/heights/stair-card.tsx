import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { figure, orNull, whole } from '@maquette/core/fields';
import { evenRisers, HEIGHT_RANGES, type StairJudged } from '@maquette/core/heights';
import { openingName, type Opening, type RoomFacts } from '@maquette/core/room';
import { formatGap, gapWords, unitLabel } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Mark } from '../../ui/mark.tsx';
import { capital } from '../../ui/capital.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';

const RISER = figure(HEIGHT_RANGES.riserMm.min, HEIGHT_RANGES.riserMm.max, 'mm');
const OTHER = figure(0, 100, 'mm');
const TREAD = orNull(figure(0, 40, 'mm'));
const COUNTED = { count: whole(2, 30), heightMm: figure(100, 9000, 'mm') };
const BLANK = { count: 13, heightMm: 2600 };

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  opening: Opening;
  stair: StairJudged | null;
}

/** A flight: its risers before and after, the treads' covering, and whether the code is kept. */
export function StairCard({ shown, room, opening, stair }: Props) {
  const say = useSay();
  const { units } = room;
  const held = shown.flights.findLast(({ openingId }) => openingId === opening.id);
  const put = (words: string, part: object) =>
    write(words, [
      {
        kind: 'flights',
        id: held?.id ?? newId(),
        roomId: room.id,
        body: {
          ...(held
            ? bodyOf(held)
            : { openingId: opening.id, risersMm: [], leads: 'down' as const, otherMm: 0, treadMm: null, note: '' }),
          ...part,
        },
      },
    ]);
  const verdict = !stair ? 'measure' : stair.after.holds ? 'lay' : stair.best.after.holds ? 'work' : 'stop';
  return (
    <View style={styles.box} testID="stair">
      <View style={styles.line}>
        <Mark verdict={verdict} width={48} />
        <Words bold size="large" style={styles.grow}>
          {capital(say(openingName(room, opening)))}
        </Words>
      </View>
      {stair ? (
        <>
          <Words>
            {`Risers differ by ${gapWords(stair.beforeRangeMm, units)} today and by ${gapWords(stair.after.rangeMm, units)} once the floors are laid, with ${stair.treadMm === 0 ? 'bare treads' : `${gapWords(stair.treadMm, units)} on every tread`}.`}
          </Words>
          {stair.after.past.length > 0 ? (
            <Words bold>{`Riser ${stair.after.past.join(', ')} is past what the code allows.`}</Words>
          ) : null}
          {stair.isBest ? null : (
            <Words size="small">{`Of what is stocked ${gapWords(stair.best.treadMm, units)} would leave them most alike: ${gapWords(stair.best.after.rangeMm, units)}.`}</Words>
          )}
          {verdict === 'stop' ? (
            <Words bold>
              Do not cover it like this. The code of the place decides; a stair builder says what can be done.
            </Words>
          ) : null}
          <Fold title="Riser by riser" aside={`${stair.beforeMm.length} risers`}>
            {stair.beforeMm.map((before, k) => (
              <Words
                key={k}
                figure
              >{`${k + 1}: ${formatGap(before, units)}, then ${formatGap(stair.after.risersMm[k]!, units)} ${unitLabel(units)}`}</Words>
            ))}
            <Words size="small" quiet>
              {`A riser grows by what is laid at its top and shrinks by what is laid at its foot: ${gapWords(stair.hereMm, units)} on the floor here, ${gapWords(stair.otherMm, units)} at the other end.`}
            </Words>
          </Fold>
        </>
      ) : (
        <CountedRisers units={units} onCount={(risersMm) => put('Flight of stairs', { risersMm })} />
      )}
      {held ? (
        <>
          <Choice
            label="It leads"
            inline
            value={held.leads}
            options={[
              { value: 'down', label: 'Down from here' },
              { value: 'up', label: 'Up from here' },
            ]}
            onChange={(leads) => void put('Flight of stairs', { leads })}
          />
          <OneField
            of={OTHER}
            value={held.otherMm}
            units={units}
            label="What is laid on the floor at its other end"
            onTaken={(otherMm) => put('Floor at the other end', { otherMm })}
          />
          <OneField
            of={TREAD}
            value={held.treadMm}
            units={units}
            label="On every tread, at the top of its nosing"
            hint="Leave empty to take the best of what is stocked."
            onTaken={(treadMm) => put('Covering of the treads', { treadMm })}
          />
          <Fold title="Correct a riser" memory={`risers/${opening.id}`}>
            {held.risersMm.map((riser, k) => (
              <OneField
                key={k}
                of={RISER}
                value={riser}
                units={units}
                label={`Riser ${k + 1}, from the lower floor`}
                onTaken={(mm) =>
                  put(`Riser ${k + 1}`, { risersMm: held.risersMm.map((old, at) => (at === k ? mm : old)) })
                }
              />
            ))}
          </Fold>
        </>
      ) : null}
    </View>
  );
}

/** A flight by the number of its risers and the height they climb together: all alike until each is read. */
function CountedRisers({
  units,
  onCount,
}: {
  units: RoomFacts['units'];
  onCount: (risersMm: number[]) => ReturnType<typeof write>;
}) {
  const [begins] = useState(BLANK);
  const form = useDraftForm(COUNTED, begins, units);
  return (
    <>
      <Words>Count its risers and tape the height they climb, floor to floor; then correct each that differs.</Words>
      <FactField form={form} name="count" label="Risers" decimals={0} />
      <FactField form={form} name="heightMm" label="From floor to floor" />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <ButtonRow>
        <Button
          kind="main"
          label="Keep the flight"
          onPress={() =>
            void form.record(({ count, heightMm }) =>
              onCount(evenRisers(heightMm, count).map((mm) => Math.round(mm * 10) / 10)),
            )
          }
        />
      </ButtonRow>
    </>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
});
