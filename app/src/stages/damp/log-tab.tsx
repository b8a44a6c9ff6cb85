import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { DampContext, DampState } from '@maquette/core/damp';
import type { Sayable } from '@maquette/core/said';
import { evidenceOf, type EvidenceLine } from '@maquette/core/formats/evidence';
import { factPath, ROOM_FACT_KINDS } from '@maquette/facts';
import { api } from '../../data/api.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import type { TableColumn } from '../../ui/data-table.tsx';
import { LongTable } from '../../ui/long-table.tsx';

/** Everything measured and seen in the room, newest first; a corrected line shows what it replaced. */
export function LogTab({ shown, damp }: { shown: ShownRoom; damp: { ctx: DampContext; state: DampState } }) {
  const { localTime } = useTimes();
  const say = useSay();
  const { save, failed } = useSaveFile();
  const lines = useMemo(() => {
    const versions = new Map(ROOM_FACT_KINDS.flatMap((kind) => shown[kind].map(({ id, version }) => [id, version])));
    return evidenceOf({ facts: shown.plain, results: damp.state.results, versions });
  }, [shown, damp]);
  const newest = useMemo(() => [...lines].reverse(), [lines]);
  const columns = useMemo(
    (): TableColumn<EvidenceLine>[] => [
      { id: 'what', header: 'What', value: ({ what }) => say(what), share: 2 },
      { id: 'value', header: 'Value', value: ({ value }) => say(value), share: 2 },
      {
        id: 'at',
        header: 'When',
        value: ({ at }) => at,
        show: (line) => `${localTime(line.at)}${corrected(line)}`,
        share: 2,
      },
      { id: 'standing', header: 'Standing', value: ({ standing }) => say(standing), hidden: true },
      { id: 'conditions', header: 'Conditions', value: ({ conditions }) => say(conditions), hidden: true },
      { id: 'instrument', header: 'Instrument', value: ({ instrument }) => say(instrument), hidden: true },
      { id: 'who', header: 'Read by', value: ({ who }) => who, hidden: true },
      { id: 'note', header: 'Note', value: ({ note }) => note, hidden: true },
    ],
    [say, localTime],
  );
  return (
    <View style={styles.box}>
      <Words bold>{`${counted(lines.length, 'entry', 'entries')}`}</Words>
      <Words size="small" quiet>
        Nothing here is overwritten: a correction keeps what it replaced, with its time.
      </Words>
      <ButtonRow>
        <Button
          label="Save the evidence (CSV)"
          off={lines.length === 0 ? 'Nothing is recorded yet.' : null}
          onPress={() =>
            save(`${shown.room!.name} evidence.csv`, 'text/csv', ({ evidenceCsv }) => evidenceCsv(lines, say))
          }
        />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
      <LongTable
        label="Log"
        rows={newest}
        rowKey={(line) => `${line.kind}-${line.id}`}
        columns={columns}
        rowWords={(line) => `${say(line.what)} ${say(line.value)}`}
        line={(line) => <Line line={line} />}
        details={(line) => <Details line={line} roomId={shown.room!.id} />}
      />
    </View>
  );
}

const corrected = ({ version }: EvidenceLine) =>
  version > 1 ? ` · corrected ${version - 1} time${version === 2 ? '' : 's'}` : '';

/** What was measured or seen as it stands on a phone. */
function Line({ line }: { line: EvidenceLine }) {
  const { localTime } = useTimes();
  const say = useSay();
  const palette = usePalette();
  return (
    <>
      <Words size="small" quiet figure>
        {`${localTime(line.at)}${corrected(line)}`}
      </Words>
      <Words bold>{`${say(line.what)}${line.value ? `: ${say(line.value)}` : ''}`}</Words>
      {line.standing && line.standing !== 'counts' ? (
        <Words size="small" color={palette.verdict.work}>
          {say(line.standing)}
        </Words>
      ) : null}
    </>
  );
}

type Older = { version: number; updatedAt: string; body: Record<string, unknown> };

function Details({ line, roomId }: { line: EvidenceLine; roomId: string }) {
  const { localTime } = useTimes();
  const say = useSay();
  const [older, setOlder] = useState<Older[] | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const facts = [
    line.conditions,
    line.instrument,
    line.who && `read by ${line.who}`,
    line.xMm === null ? '' : `at ${line.xMm}, ${line.yMm} mm`,
    line.photographs > 0 ? `${counted(line.photographs, 'photograph')}` : '',
    line.note,
  ].filter(Boolean);
  const ask = async () => {
    try {
      const path = `${factPath(line.fact, line.id, roomId)}/history`;
      setOlder((await api<{ replaced: Older[] }>(path)).replaced);
    } catch (error) {
      setSaid(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <View style={styles.details}>
      <Words size="small">{facts.length > 0 ? facts.map(say).join('. ') : 'Nothing more was recorded.'}</Words>
      {line.version > 1 && !older ? <Button label="What it replaced" onPress={() => void ask()} /> : null}
      {said ? (
        <Words size="small" role="alert">
          {said}
        </Words>
      ) : null}
      {older?.map((old) => (
        <Words key={old.version} size="small" figure>
          {`Version ${old.version}, ${localTime(old.updatedAt)}: ${replaced(line, old.body).map(say).join(', ')}`}
        </Words>
      ))}
    </View>
  );
}

/** What an earlier version said, as its own line of the log would have. */
function replaced({ fact, id }: EvidenceLine, body: Record<string, unknown>): Sayable[] {
  const [line] = evidenceOf({ facts: { [fact]: [{ ...body, id }] }, results: [], versions: new Map() });
  return line ? [line.what, line.value, line.conditions, line.instrument, line.who, line.note].filter(Boolean) : [];
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  details: { gap: SPACE.gap, paddingBottom: SPACE.part },
});
