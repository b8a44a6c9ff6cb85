import { useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import type { DampContext, DampState } from '@maquette/core/damp';

import { evidenceOf, type EvidenceLine } from '@maquette/core/formats/evidence';
import { factPath, ROOM_FACT_KINDS } from '@maquette/facts';
import { api } from '../../data/api.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { localTime } from '../../ui/times.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { Touch } from '../../ui/touch.tsx';

/** Everything measured and seen in the room, newest first; a corrected line shows what it replaced. */
export function LogTab({ shown, damp }: { shown: ShownRoom; damp: { ctx: DampContext; state: DampState } }) {
  const say = useSay();
  const palette = usePalette();
  const [open, setOpen] = useState<string | null>(null);
  const { save, failed } = useSaveFile();
  const lines = useMemo(() => {
    const versions = new Map(ROOM_FACT_KINDS.flatMap((kind) => shown[kind].map(({ id, version }) => [id, version])));
    return evidenceOf({ facts: shown.plain, results: damp.state.results, versions });
  }, [shown, damp]);
  const newest = useMemo(() => [...lines].reverse(), [lines]);
  return (
    <View style={styles.box}>
      <Words bold>{`${counted(lines.length, 'entry', 'entries')}`}</Words>
      <Words size="small" quiet>
        Nothing here is overwritten: a correction keeps what it replaced, with its time.
      </Words>
      <ButtonRow>
        <Button
          label="Save the evidence (CSV)"
          disabled={lines.length === 0}
          onPress={() =>
            save(`${shown.room!.name} evidence.csv`, 'text/csv', ({ evidenceCsv }) => evidenceCsv(lines, say))
          }
        />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
      <FlatList
        data={newest}
        keyExtractor={(line) => `${line.kind}-${line.id}`}
        style={styles.list}
        initialNumToRender={12}
        windowSize={5}
        renderItem={({ item }) => (
          <Touch
            aria-expanded={open === item.id}
            label={`${say(item.what)} ${say(item.value)}`}
            onPress={() => setOpen(open === item.id ? null : item.id)}
            style={[styles.line, { borderColor: palette.rule }]}
          >
            <Words size="small" quiet figure>
              {`${localTime(item.at)}${item.version > 1 ? ` · corrected ${item.version - 1} time${item.version === 2 ? '' : 's'}` : ''}`}
            </Words>
            <Words bold>{`${say(item.what)}${item.value ? `: ${say(item.value)}` : ''}`}</Words>
            {item.standing && item.standing !== 'counts' ? (
              <Words size="small" color={palette.verdict.work}>
                {say(item.standing)}
              </Words>
            ) : null}
            {open === item.id ? <Details line={item} roomId={shown.room!.id} /> : null}
          </Touch>
        )}
      />
    </View>
  );
}

type Older = { version: number; updatedAt: string; body: Record<string, unknown> };

function Details({ line, roomId }: { line: EvidenceLine; roomId: string }) {
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
          {`Version ${old.version}, ${localTime(old.updatedAt)}: ${words(old.body)}`}
        </Words>
      ))}
    </View>
  );
}

/** The fields of an earlier version that say something. */
function words(body: Record<string, unknown>): string {
  return Object.entries(body)
    .filter(([, value]) => typeof value === 'number' || (typeof value === 'string' && value !== ''))
    .map(([key, value]) => `${key} ${String(value)}`)
    .join(', ');
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  list: { height: 480 },
  line: { borderTopWidth: 1, paddingVertical: 10, minHeight: 56, gap: 2 },
  details: { gap: SPACE.gap, paddingTop: 6 },
});
