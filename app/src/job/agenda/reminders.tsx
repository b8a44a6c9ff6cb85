import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AgendaItem } from '@maquette/core/planning';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';

/** So long before something is due it is called. */
const AHEAD_MS = 10 * 60_000;
const EACH_MS = 30_000;

/** Calls what is due in a few minutes, while the app is open. */
export function Reminders({
  items,
  rooms,
  jobName,
}: {
  items: readonly AgendaItem[];
  rooms: readonly { id: string; name: string }[];
  jobName: string;
}) {
  const say = useSay();
  const times = useTimes();
  const palette = usePalette();
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EACH_MS);
    return () => clearInterval(timer);
  }, []);
  const called = items.filter(({ at, until, kind }) => {
    if (kind === 'back' || kind === 'old') return false;
    const [from, to] = [Date.parse(at), until ? Date.parse(until) : null];
    return (from - now <= AHEAD_MS && from >= now) || (to !== null && to - now <= 6 * AHEAD_MS && to >= now);
  });
  if (called.length === 0) return null;
  return (
    <View role="alert" style={[styles.box, { borderColor: palette.verdict.wait }]}>
      {called.map((item) => (
        <Words key={item.key} bold>
          {`${jobName}, ${times.localTime(item.at).slice(11)}: ${[rooms.find(({ id }) => id === item.roomId)?.name, say(item.words)].filter(Boolean).join(': ')}${item.until ? `, no later than ${times.localTime(item.until).slice(11)}` : ''}`}
        </Words>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderWidth: 2, padding: SPACE.gap, gap: SPACE.near, marginHorizontal: SPACE.edge },
});
