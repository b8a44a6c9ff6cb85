import { useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import type { UnitSystem } from '@maquette/core/units';
import { clock, SKEW_TOLD_MS } from '../data/clock.ts';
import { DeviceFull } from '../data/outbox.ts';
import { isLittle, roomWords, useRoomLeft } from '../data/room-left.ts';
import { diskWords, serverDisk } from '../data/server-disk.ts';
import { useOutbox } from '../data/use-facts.ts';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { fetched } from '../ui/fetched.tsx';
import { Words } from '../ui/text.tsx';
import { skewWords } from '../ui/times.ts';

/** Seldom needed, and much: it comes in a file of its own. */
const Cards = fetched(async () => (await import('./trouble-cards.tsx')).TroubleCards);

/** What keeps what is entered from being safe: this device, its clock, the server's disk, and what the server would not take. */
export function Trouble({ units }: { units: UnitSystem }) {
  const palette = usePalette();
  const { waiting, full } = useOutbox();
  const left = useRoomLeft();
  const skewMs = useSyncExternalStore(clock.subscribe, clock.skewMs, clock.skewMs) ?? 0;
  const disk = diskWords(useSyncExternalStore(serverDisk.subscribe, serverDisk.get, serverDisk.get));
  const troubled = waiting.some((w) => w.trouble);
  const told = [
    ...(full ? [new DeviceFull().message] : []),
    ...(left !== null && isLittle(left) && !full
      ? [`This device is nearly full: ${roomWords(left)} left. Free some before it keeps nothing more.`]
      : []),
    ...(Math.abs(skewMs) > SKEW_TOLD_MS
      ? [`${skewWords(skewMs)} Times that you enter are wrong by as much: set the clock of this device.`]
      : []),
    ...(disk ? [disk] : []),
  ];
  if (!troubled && told.length === 0) return null;
  return (
    <View
      role="alert"
      style={[styles.box, { backgroundColor: palette.bench, borderColor: palette.verdict.stop }]}
      testID="trouble"
    >
      {told.map((words) => (
        <Words key={words} bold>
          {words}
        </Words>
      ))}
      {troubled ? <Cards waiting={waiting} units={units} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { borderTopWidth: 2, padding: SPACE.edge, gap: SPACE.edge } });
