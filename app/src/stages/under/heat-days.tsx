import { StyleSheet, View } from 'react-native';
import type { HeatOfRoom } from '@maquette/core';
import { HEAT_UP } from '@maquette/core/damp/questions';
import type { RoomFacts } from '@maquette/core/room';
import { formatTemperature, formatTemperatureSpan } from '@maquette/core/units';
import { bodyOf, KINDS } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useTimes } from '../../ui/shown-in.tsx';
import { useAnswers } from '../use-answers.ts';

/** First heating-up of a screed: three days at 25 °C, then four at the highest. */
const FIRST_C = 25;
const FIRST_DAYS = 3;
const HIGHEST_DAYS = 4;

/** Flow day by day, before laying and after: each day is ticked with the flow it had, and what the surface came to. */
export function HeatDays({ shown, room, heat }: { shown: ShownRoom; room: RoomFacts; heat: HeatOfRoom }) {
  const answers = useAnswers(shown);
  const topC = heat.ramp?.at(-1) ?? null;
  const before =
    topC === null ? null : [...Array<number>(FIRST_DAYS).fill(FIRST_C), ...Array<number>(HIGHEST_DAYS).fill(topC)];
  const isRecorded = answers.to(HEAT_UP) === 'recorded';
  return (
    <>
      {before ? (
        <Phase
          shown={shown}
          room={room}
          heat={heat}
          phase="before"
          flows={before}
          title="Before laying: heat the screed up"
        >
          {heat.days.before.length >= before.length && !isRecorded ? (
            <Button
              kind="main"
              label="The screed is heated up: tell Damp"
              onPress={() => void answers.set(HEAT_UP, 'recorded', 'Heat-up')}
            />
          ) : isRecorded ? (
            <Words size="small">Damp counts it as heated up.</Words>
          ) : (
            <Words size="small">
              Not sooner than 21 days after a cement screed was laid, 7 after one of calcium sulfate. Then off, or at 18
              °C, from two days before laying to two days after.
            </Words>
          )}
        </Phase>
      ) : null}
      {heat.ramp ? (
        <Phase
          shown={shown}
          room={room}
          heat={heat}
          phase="after"
          flows={heat.ramp}
          title={`After laying: up by ${formatTemperatureSpan(5, room.units, 0)} a day at most`}
        />
      ) : null}
    </>
  );
}

function Phase({
  shown,
  room,
  heat,
  phase,
  flows,
  title,
  children,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  heat: HeatOfRoom;
  phase: 'before' | 'after';
  flows: readonly number[];
  title: string;
  children?: React.ReactNode;
}) {
  const palette = usePalette();
  const times = useTimes();
  const degrees = (c: number) => formatTemperature(c, room.units, 0);
  const days = heat.days[phase];
  const today = times.localTime(nowUtc()).slice(0, 10);
  const next = flows[days.length];
  const put = (id: string, body: Omit<(typeof days)[number], 'id'>, words: string) =>
    write(words, [{ kind: 'heatDays', id, roomId: room.id, body }]);
  return (
    <View style={styles.part} testID={`heat-${phase}`}>
      <Words bold>{title}</Words>
      <Words figure>{flows.map((c) => degrees(c).replace(/ .*/, '')).join(' · ')}</Words>
      {days.length > 0 ? (
        <Fold title="Days recorded" aside={`${days.length} of ${flows.length}`} memory={`heat-${phase}/${room.id}`}>
          {days.map((day, k) => (
            <View key={day.id} style={[styles.day, { borderColor: palette.rule }]}>
              <Words bold figure>{`Day ${k + 1}: flow ${degrees(day.flowC)}, ${day.day}`}</Words>
              <OneField
                of={KINDS.heatDays.fields.surfaceC}
                value={day.surfaceC}
                units={room.units}
                label={`Surface on day ${k + 1}, warmest place`}
                onTaken={(surfaceC) => put(day.id, { ...bodyOf(day), surfaceC }, `Surface on day ${k + 1}`)}
              />
              {day.surfaceC !== null && day.surfaceC > heat.rules.mostSurfaceC ? (
                <Words
                  bold
                  role="alert"
                >{`Over ${degrees(heat.rules.mostSurfaceC)}: go back one step and wait a day.`}</Words>
              ) : null}
            </View>
          ))}
        </Fold>
      ) : null}
      {next === undefined ? (
        <Words>{`All ${flows.length} days are recorded.`}</Words>
      ) : (
        <ButtonRow>
          <Button
            kind="main"
            label={`Day ${days.length + 1} done: flow ${degrees(next)}`}
            hint={title}
            onPress={() =>
              void put(
                newId(),
                { phase, day: today, flowC: next, surfaceC: null, note: '' },
                `Heating, day ${days.length + 1}`,
              )
            }
          />
        </ButtonRow>
      )}
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: SPACE.gap },
  day: { borderTopWidth: 1, paddingTop: SPACE.gap, gap: SPACE.near },
});
