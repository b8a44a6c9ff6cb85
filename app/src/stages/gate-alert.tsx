import { HEATING, HEATING_LOCATED, stopSaid } from '@maquette/core/hazards';
import { StyleSheet, View } from 'react-native';
import type { Gate } from '@maquette/core/hazards';
import { BASE, BASE_RANGES, type RoomFacts } from '@maquette/core/room';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { OneField } from '../form/one-field.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { useAnswers } from './use-answers.ts';
import { useSay } from '../ui/shown-in.tsx';

/** Why something may not be done here, who decides, and the answers that would open it. */
export function GateAlert({
  shown,
  room,
  gate,
  title,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  gate: Pick<Gate, 'stops'>;
  title: string;
}) {
  const say = useSay();
  const palette = usePalette();
  const answers = useAnswers(shown);
  const heating = gate.stops.some((stop) => stop.hazard === HEATING);
  return (
    <View role="alert" style={[styles.box, { borderColor: palette.verdict.stop }]} testID="gate">
      <Words bold color={palette.verdict.stop}>
        {title}
      </Words>
      {gate.stops.map((stop) => (
        <Words key={say(stop.words)} size="small">
          {say(stopSaid(stop))}
        </Words>
      ))}
      {heating ? (
        <ButtonRow>
          {room.base.heating === 'unknown' ? (
            <Button
              label="The floor is not heated"
              onPress={() =>
                void write('Base: not heated', [
                  {
                    kind: 'rooms',
                    id: room.id,
                    body: { ...bodyOf(shown.room!), base: { ...room.base, heating: 'none' } },
                  },
                ])
              }
            />
          ) : null}
          <Button
            label="Heated: located and marked out"
            onPress={() => void answers.set(HEATING_LOCATED, 'yes', 'Heating located')}
          />
        </ButtonRow>
      ) : null}
      {heating && room.base.heating !== 'unknown' && room.base.heatingDepthMm === null ? (
        <OneField
          of={BASE.heatingDepthMm}
          value={null}
          units={room.units}
          label={say(BASE_RANGES.heatingDepthMm.words)}
          onTaken={(heatingDepthMm) =>
            write('Base: depth of the heating', [
              { kind: 'rooms', id: room.id, body: { ...bodyOf(shown.room!), base: { ...room.base, heatingDepthMm } } },
            ])
          }
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { borderWidth: 2, padding: SPACE.part, gap: 6 } });
