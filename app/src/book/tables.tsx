import { useMemo, useSyncExternalStore } from 'react';
import { View, StyleSheet } from 'react-native';
import { useQueries } from '@tanstack/react-query';
import { bodyOf, KINDS, ROOM_FACT_KINDS, type RoomFactKind } from '@maquette/facts';
import { roomKey } from '../data/client.ts';
import { store } from '../data/device.ts';
import { newId } from '../data/ids.ts';
import type { Shown } from '../data/lay.ts';
import { useSaveFile } from '../files/use-save-file.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { fetched } from '../ui/fetched.tsx';
import { Words } from '../ui/text.tsx';
import { takeTable } from './take-table.ts';

const BringIn = fetched(() => import('../files/bring-in.tsx').then((part) => part.BringIn));

/** What was entered in a job's rooms as tables for a spreadsheet, a kind each; and tables that were changed there. */
export function Tables({
  name,
  rooms,
}: {
  name: string;
  rooms: readonly Pick<Shown<'rooms'>, 'id' | 'name' | 'walls'>[];
}) {
  const ids = useMemo(() => rooms.map(({ id }) => id), [rooms]);
  useQueries({
    queries: ids.map((id) => ({
      queryKey: roomKey(id),
      queryFn: () => store.readRoom(id),
      enabled: !store.isUnsent(id),
    })),
  });
  const lists = useSyncExternalStore(store.subscribe, () => store.rooms(ids));
  const listOf = (kind: RoomFactKind) =>
    ids.flatMap((roomId, i) =>
      lists[i]![kind].map((fact) => ({ id: fact.id, roomId, body: bodyOf(fact) as Record<string, unknown> })),
    );
  const held = (roomId: string, kind: string) =>
    lists[ids.indexOf(roomId)]?.[kind as RoomFactKind].map(({ id }) => id) ?? null;
  const { save, failed } = useSaveFile();
  const file = name.toLowerCase().replace(/\W+/g, '-');
  const kinds = ROOM_FACT_KINDS.map((kind) => ({ kind, count: listOf(kind).length })).filter(({ count }) => count > 0);
  return (
    <View style={styles.box}>
      <Words size="small" quiet>
        A line each, lengths in millimetres, times in UTC. What is changed in the table can be brought in again; a line
        without an id is new.
      </Words>
      <ButtonRow>
        <Button
          label={`Walls (${rooms.reduce((sum, { walls }) => sum + walls.length, 0)})`}
          hint="Save as CSV"
          onPress={() => save(`${file}-walls.csv`, 'text/csv', ({ wallsCsv }) => wallsCsv(rooms))}
        />
        {kinds.map(({ kind, count }) => (
          <Button
            key={kind}
            label={`${KINDS[kind].words} (${count})`}
            hint="Save as CSV"
            onPress={() => save(`${file}-${kind}.csv`, 'text/csv', ({ tableOf }) => tableOf(kind, listOf(kind)))}
          />
        ))}
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
      <BringIn
        label="Bring in a table (CSV)"
        accept=".csv,text/csv"
        noun="line"
        read={(text, { readTable }, check) => takeTable(readTable(text, check), held, newId)}
      />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part } });
