import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { ColumnRole, ColumnUse } from '@maquette/core/formats';
import { planOf } from '@maquette/core/room';
import { formatRod, unitLabel, type LengthUnit } from '@maquette/core/units';
import { newId, nowUtc } from '../data/ids.ts';
import { fileFormats, type FileFormats } from '../files/formats.ts';
import { useTextFile } from '../files/use-text-file.tsx';
import { useRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { Fold } from '../ui/fold.tsx';
import { Words } from '../ui/text.tsx';
import { Header } from './header.tsx';
import type { Sayable } from '@maquette/core/said';
import { inWords } from '@maquette/words';
import { counted } from '../ui/counted.ts';
import { Touch } from '../ui/touch.tsx';

const ROLE_WORDS: Record<ColumnRole, string> = {
  setup: 'Set-up',
  station: 'Station',
  x: 'Along (x)',
  y: 'Across (y)',
  rod: 'Rod',
  note: 'Note',
  ignore: 'Leave out',
};
const UNITS: readonly { value: LengthUnit; label: string }[] = [
  { value: 'mm', label: 'mm' },
  { value: 'cm', label: 'cm' },
  { value: 'm', label: 'm' },
  { value: 'in', label: 'inches' },
  { value: 'ftin', label: 'ft in' },
];
const DELIMITERS: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs' };

/** Readings from a file: what was understood, what was not and why, and nothing stored before the user says so. */
export function ImportScreen({ roomId }: { roomId: string }) {
  const palette = usePalette();
  const router = useRouter();
  const shown = useRoom(roomId);
  const [file, setFile] = useState<{ name: string; text: string; formats: FileFormats } | null>(null);
  const [columns, setColumns] = useState<ColumnUse[] | null>(null);
  const [doubted, setDoubted] = useState<ReadonlySet<number>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const units = shown.room?.units ?? 'metric';
  const say = (said: Sayable) => inWords(said, units);
  const room = shown.facts;
  const plan = useMemo(() => (room ? planOf(room) : null), [room]);
  const read = useMemo(
    () => (file ? file.formats.readRodFile(file.text, plan, columns ?? undefined) : null),
    [file, plan, columns],
  );
  const textFile = useTextFile();
  const back = () => router.replace(`/rooms/${roomId}/flat`);
  const choose = async () => {
    try {
      const chosen = await textFile.choose('.csv,.txt,.tsv,text/csv,text/plain');
      if (!chosen) return;
      const formats = await fileFormats();
      setColumns(null);
      setDoubted(new Set());
      setFile({ name: chosen.name, text: chosen.text, formats });
      setProblem(null);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const taken = read
    ? [...read.readings, ...read.problems.flatMap((p) => (p.reading && doubted.has(p.line) ? [p.reading] : []))].sort(
        (a, b) => a.line - b.line,
      )
    : [];
  const take = async () => {
    if (!read || !file) return;
    const facts = file.formats.factsFromRodFile(read, taken, nowUtc(), newId);
    const result = await write(`${counted(taken.length, 'reading')} from ${file.name}`, [
      ...facts.setups.map(({ id, ...body }) => ({ kind: 'setups' as const, id, roomId, body })),
      ...facts.readings.map(({ id, ...body }) => ({ kind: 'readings' as const, id, roomId, body })),
    ]);
    if (result.ok) back();
    else
      setProblem(
        result.problems
          .slice(0, 5)
          .map((p) => `${p.field} ${String(p.value)}: ${p.message}`)
          .join('; '),
      );
  };
  const use = (index: number, part: Partial<ColumnUse>) =>
    setColumns(
      (read?.columns ?? []).map((c, i) =>
        i === index
          ? { ...c, ...part }
          : part.role && part.role !== 'ignore' && c.role === part.role
            ? { ...c, role: 'ignore' }
            : c,
      ),
    );
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header above={shown.room?.name ?? ''} title="Bring in readings" onBack={back} />
      <ScrollView role="main" contentContainerStyle={styles.list}>
        {textFile.status}
        {!read ? (
          <>
            <Words>
              A text file with a line for each reading: place along and across from the first corner, and the rod.
              Commas, semicolons or tabs; mm, cm, m, feet and inches.
            </Words>
            <Button kind="main" label="Choose a file" onPress={() => void choose()} />
          </>
        ) : (
          <>
            <Words bold size="large">{`${counted(read.readings.length, 'reading')} understood in ${file!.name}`}</Words>
            <Words testID="import-summary">
              {[
                `${DELIMITERS[read.delimiter] ?? 'text'} between values`,
                counted(new Set(taken.map((r) => r.setup)).size, 'set-up'),
                read.benchmarks.length === 0
                  ? 'no benchmark: heights are told against one another'
                  : counted(read.benchmarks.length, 'benchmark reading'),
                ...(read.problems.length > 0 ? [`${counted(read.problems.length, 'row')} to look at`] : []),
              ].join(' · ')}
            </Words>
            {read.comments.map((comment) => (
              <Words key={comment} size="small" quiet>
                {comment}
              </Words>
            ))}
            {read.missing.length > 0 ? (
              <Words
                role="alert"
                bold
                color={palette.verdict.stop}
              >{`Say which column is ${read.missing.map((role) => ROLE_WORDS[role]).join(', ')}.`}</Words>
            ) : null}
            {read.problems.length > 0 ? (
              <View style={[styles.problems, { backgroundColor: palette.highWash }]} testID="row-problems">
                <Words bold>Not taken</Words>
                {read.problems.slice(0, 60).map((p) => {
                  const on = doubted.has(p.line);
                  const body = (
                    <Words>{`Line ${p.line}: ${say(p.reason)}${p.reading ? (on ? ' · taken all the same' : ' · tap to take it all the same') : ''}`}</Words>
                  );
                  if (!p.reading)
                    return (
                      <View key={p.line} style={styles.row}>
                        {body}
                      </View>
                    );
                  return (
                    <Touch
                      key={p.line}
                      role="checkbox"
                      aria-checked={on}
                      label={`Line ${p.line}: ${say(p.reason)}. Take it all the same`}
                      onPress={() =>
                        setDoubted((held) => new Set(on ? [...held].filter((l) => l !== p.line) : [...held, p.line]))
                      }
                      style={styles.row}
                    >
                      {body}
                    </Touch>
                  );
                })}
              </View>
            ) : null}
            <Fold
              title="Columns"
              aside={read.columns
                .filter((c) => c.role !== 'ignore')
                .map((c) => ROLE_WORDS[c.role])
                .join(', ')}
              open={read.missing.length > 0}
            >
              {read.headers.map((header, index) => (
                <View key={index} style={styles.column}>
                  <Choice
                    label={`“${header}”`}
                    inline
                    value={read.columns[index]!.role}
                    options={(Object.keys(ROLE_WORDS) as ColumnRole[]).map((role) => ({
                      value: role,
                      label: ROLE_WORDS[role],
                    }))}
                    onChange={(role) => use(index, { role })}
                  />
                  {['x', 'y', 'rod'].includes(read.columns[index]!.role) ? (
                    <Choice
                      label="in"
                      inline
                      value={read.columns[index]!.unit}
                      options={UNITS}
                      onChange={(unit) => use(index, { unit })}
                    />
                  ) : null}
                </View>
              ))}
            </Fold>
            <Fold title="First rows, as they will be stored">
              {taken.slice(0, 6).map((r) => (
                <Words
                  key={r.line}
                  figure
                >{`${r.setup} · ${r.station} · ${formatRod(r.xMm, units)}, ${formatRod(r.yMm, units)} · rod ${formatRod(r.rodMm, units)} ${unitLabel(units)}`}</Words>
              ))}
            </Fold>
            {problem ? (
              <Words role="alert" color={palette.verdict.stop}>
                {problem}
              </Words>
            ) : null}
            <ButtonRow>
              <Button
                kind="main"
                label={`Take ${counted(taken.length, 'reading')}`}
                off={
                  read.missing.length > 0
                    ? 'Say first which column is which.'
                    : taken.length === 0
                      ? 'No reading in this file was understood.'
                      : null
                }
                onPress={() => void take()}
              />
              <Button label="Another file" onPress={() => void choose()} />
              <Button label="Leave it" onPress={back} />
            </ButtonRow>
          </>
        )}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.part, width: '100%', maxWidth: 800, alignSelf: 'center' },
  problems: { padding: SPACE.part, gap: SPACE.near },
  row: { minHeight: 32, justifyContent: 'center' },
  column: { gap: SPACE.near },
});
