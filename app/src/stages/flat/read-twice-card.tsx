import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { movedAt, type Station } from '@maquette/core/flat';
import { formatRod, unitLabel } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import { readTwice } from '../../data/read-twice.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { firstMakerWords, thisDevice } from '../../data/who.ts';
import { write } from '../../data/write.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { useTimes } from '../../ui/shown-in.tsx';

/** Stations that two devices have read differently: both figures, and which is to count. */
export function ReadTwice({ shown, stations }: { shown: ShownRoom; stations: readonly Station[] }) {
  const { localTime } = useTimes();
  const palette = usePalette();
  const { works } = shown.plain;
  const twice = useMemo(() => readTwice(shown.readings, movedAt(works ?? [])), [shown.readings, works]);
  const { units } = shown.room!;
  if (twice.length === 0) return null;
  return (
    <View role="alert" style={[styles.box, { borderColor: palette.verdict.work, backgroundColor: palette.bench }]}>
      {twice.map((readings) => {
        const [{ stationKey, id }, last] = [readings[0]!, readings.at(-1)!];
        const number = stations.find((station) => station.key === stationKey)?.number;
        const keep = (one: (typeof readings)[number]) =>
          void write(
            `Station ${number ?? ''} is ${formatRod(one.rodMm, units)}`,
            readings
              .filter((other) => other !== one)
              .map((other) => ({
                kind: 'readings' as const,
                id: other.id,
                roomId: other.roomId,
                body: bodyOf(other),
                deleted: true,
              })),
          );
        return (
          <View key={id} style={styles.one}>
            <Words
              bold
            >{`Station ${number ?? stationKey} was read on two devices, and not alike. Which is right?`}</Words>
            {readings.map((one) => (
              <Words key={one.id} size="small" figure>
                {`${formatRod(one.rodMm, units)} ${unitLabel(units)} ${firstMakerWords(one, thisDevice.device())}, ${localTime(one.takenAt)}${one === last ? '; counts until you choose' : ''}`}
              </Words>
            ))}
            <ButtonRow>
              {readings.map((one) => (
                <Button
                  key={one.id}
                  label={`${formatRod(one.rodMm, units)} is right`}
                  hint={firstMakerWords(one, thisDevice.device())}
                  onPress={() => keep(one)}
                />
              ))}
            </ButtonRow>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderTopWidth: 2, padding: SPACE.edge, gap: SPACE.edge },
  one: { gap: SPACE.gap },
});
