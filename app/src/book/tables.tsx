import { useMemo, useState, useSyncExternalStore } from 'react';
import { View, StyleSheet } from 'react-native';
import { useQueries } from '@tanstack/react-query';
import { bodyOf, KINDS, ROOM_FACT_KINDS, type RoomFactKind } from '@maquette/facts';
import { roomKey } from '../data/client.ts';
import { store } from '../data/device.ts';
import { rules } from '../data/rules.ts';
import { newId } from '../data/ids.ts';
import { saveText } from '../data/save-text.ts';
import { write, type Change } from '../data/write.ts';
import { useTextFile } from '../files/use-text-file.tsx';
import { fileFormats } from '../files/formats.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { counted } from '../ui/counted.ts';
import { FileFindings } from '../ui/file-findings.tsx';
import { Words } from '../ui/text.tsx';
import { takeTable } from './take-table.ts';

interface Found {
  name: string;
  changes: Change[];
  problems: ReturnType<typeof takeTable>['problems'];
}

const reasonOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** What was entered in a job's rooms as tables for a spreadsheet, a kind each; and tables that were changed there. */
export function Tables({ name, rooms }: { name: string; rooms: readonly { id: string }[] }) {
  const [found, setFound] = useState<Found | null>(null);
  const [said, setSaid] = useState<string | null>(null);
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
  const save = async (kind: RoomFactKind) => {
    try {
      const { tableOf } = await fileFormats();
      saveText(`${name.toLowerCase().replace(/\W+/g, '-')}-${kind}.csv`, 'text/csv', tableOf(kind, listOf(kind)));
      setSaid(null);
    } catch (error) {
      setSaid(reasonOf(error));
    }
  };
  const textFile = useTextFile();
  const bring = async () => {
    let name = 'The file';
    try {
      const file = await textFile.choose('.csv,text/csv');
      if (!file) return;
      name = file.name;
      const [{ readTable }, check] = await Promise.all([fileFormats(), rules.fetch()]);
      const held = (roomId: string, kind: string) =>
        lists[ids.indexOf(roomId)]?.[kind as RoomFactKind].map(({ id }) => id) ?? null;
      setFound({ name: file.name, ...takeTable(readTable(file.text, check), held, newId) });
      setSaid(null);
    } catch (error) {
      setSaid(`${name} was not taken. ${reasonOf(error)}`);
    }
  };
  const take = async ({ name: file, changes }: Found) => {
    const result = await write(`${file} brought in`, changes);
    if (result.ok) setFound(null);
    setSaid(
      result.ok
        ? `${counted(changes.length, 'line')} taken from ${file}. Undo takes them back.`
        : result.problems.map((p) => `${p.field} ${p.message}`).join('; '),
    );
  };
  const kinds = ROOM_FACT_KINDS.map((kind) => ({ kind, count: listOf(kind).length })).filter(({ count }) => count > 0);
  return (
    <View style={styles.box}>
      <Words size="small" quiet>
        A line each, lengths in millimetres, times in UTC. What is changed in the table can be brought in again; a line
        without an id is new.
      </Words>
      <ButtonRow>
        {kinds.map(({ kind, count }) => (
          <Button
            key={kind}
            label={`${KINDS[kind].words} (${count})`}
            hint="Save as CSV"
            onPress={() => void save(kind)}
          />
        ))}
        <Button label="Bring in a table (CSV)" onPress={() => void bring()} />
      </ButtonRow>
      {textFile.status}
      {found ? (
        <FileFindings
          found={`${found.name}: ${counted(found.changes.length, 'line')} to take`}
          problems={found.problems}
          missing={[]}
          onTake={found.changes.length > 0 ? () => void take(found) : null}
          onDrop={() => setFound(null)}
        />
      ) : null}
      {said ? <Words role="status">{said}</Words> : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part } });
