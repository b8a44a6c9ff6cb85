import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { DampContext } from '@maquette/core/damp';
import type { ProbeFile } from '@maquette/core/formats';
import type { RoomFacts } from '@maquette/core/room';
import { newId } from '../../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write, type Change } from '../../data/write.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { FileFindings } from '../../ui/file-findings.tsx';
import { Words } from '../../ui/text.tsx';
import { useTextFile } from '../../files/use-text-file.tsx';
import { fileFormats } from '../../files/formats.ts';
import { counted } from '../../ui/counted.ts';
import { SPACE } from '../../theme/theme.tsx';

/** Probe readings from a file: what it holds is shown first, and stored only when taken. */
export function ProbeFileKey({ shown, room, ctx }: { shown: ShownRoom; room: RoomFacts; ctx: DampContext }) {
  const [file, setFile] = useState<ProbeFile | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const textFile = useTextFile();
  const choose = async () => {
    try {
      const chosen = await textFile.choose('.csv,.txt,text/*');
      setSaid(null);
      if (!chosen) return;
      const { readProbeFile } = await fileFormats();
      setFile(readProbeFile(chosen.text, ctx.plan));
    } catch (error) {
      setSaid(error instanceof Error ? error.message : String(error));
    }
  };
  const readings = file?.probes.reduce((sum, p) => sum + p.readings.length, 0) ?? 0;
  const take = async () => {
    if (!file) return;
    const changes: Change[] = file.probes.flatMap((probe): Change[] => {
      const held = ctx.facts.dampTests.find(
        (t) => t.method === 'probe' && t.name === probe.name && t.startedAt === probe.startedAt,
      );
      const id = held?.id ?? newId();
      const known = ctx.facts.dampReadings.filter((r) => r.testId === id).map((r) => r.takenAt);
      return [
        ...(held
          ? []
          : [
              {
                kind: 'dampTests',
                id,
                roomId: room.id,
                body: {
                  method: 'probe',
                  name: probe.name,
                  xMm: probe.xMm,
                  yMm: probe.yMm,
                  startedAt: probe.startedAt,
                  depthMm: probe.depthMm,
                  startG: null,
                  areaM2: null,
                  of: 'base',
                  offsetPercent: 0,
                  compensates: false,
                  instrument: '',
                  checkedOn: '',
                  note: 'from a file',
                },
              } as Change,
            ]),
        // A file read twice adds nothing twice.
        ...probe.readings
          .filter((r) => !known.includes(r.takenAt))
          .map((r): Change => ({
            kind: 'dampReadings',
            id: newId(),
            roomId: room.id,
            body: { testId: id, takenAt: r.takenAt, value: r.value, sampleG: null, tempC: r.tempC, who: '', note: '' },
          })),
      ];
    });
    if (file.slabMm !== null && room.base.slabMm === null)
      changes.push({
        kind: 'rooms',
        id: room.id,
        body: { ...bodyOf(shown.room!), base: { ...room.base, slabMm: file.slabMm } },
      });
    const written = await write('Probe readings from a file', changes);
    if (written.ok) setFile(null);
    setSaid(
      written.ok
        ? `Taken: ${counted(changes.filter((c) => c.kind === 'dampReadings').length, 'reading')} of ${counted(file.probes.length, 'probe')}.`
        : written.problems.map((p) => `${p.field} ${p.message}`).join('; '),
    );
  };
  return (
    <View style={styles.box}>
      <ButtonRow>
        <Button label="Probe readings from a file" onPress={() => void choose()} />
      </ButtonRow>
      {textFile.status}
      {said ? <Words role="alert">{said}</Words> : null}
      {file ? (
        <FileFindings
          found={`${counted(file.probes.length, 'probe')}, ${counted(readings, 'reading')}${file.slabMm === null ? '' : `, slab ${file.slabMm} mm`}`}
          problems={file.problems}
          missing={file.missing}
          onTake={readings > 0 ? () => void take() : null}
          onDrop={() => setFile(null)}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.gap } });
