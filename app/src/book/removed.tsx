import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useQuery } from '@tanstack/react-query';
import { api } from '../data/api.ts';
import { bringBack, type RemovedAround } from '../data/settle.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { useTimes } from '../ui/shown-in.tsx';

/** Jobs and rooms that were removed: nothing in them is gone, and they come back as they were. */
export function RemovedList() {
  const { localTime } = useTimes();
  const [said, setSaid] = useState<string | null>(null);
  const { data, isError } = useQuery({
    queryKey: ['removed'],
    queryFn: () => api<RemovedAround[]>('/api/removed'),
    staleTime: 0,
  });
  const back = async (one: RemovedAround) =>
    setSaid((await bringBack(one)) ?? `${one.fact.name} is back, with everything in it.`);
  return (
    <View style={styles.box}>
      {isError ? <Words>What was removed is on the server, and it does not answer now.</Words> : null}
      {data?.length === 0 ? <Words>Nothing has been removed.</Words> : null}
      {data?.map((one) => (
        <View key={one.fact.id} style={styles.one}>
          <View style={styles.grow}>
            <Words bold>{one.fact.name}</Words>
            <Words size="small" quiet figure>
              {`${one.kind === 'jobs' ? 'Job' : 'Room'}, removed ${localTime(one.fact.deletedAt!)}`}
            </Words>
          </View>
          <Button label="Bring back" hint={one.fact.name} onPress={() => void back(one)} style={styles.key} />
        </View>
      ))}
      {said ? <Words role="status">{said}</Words> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.part },
  one: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
  key: { flexGrow: 0 },
});
