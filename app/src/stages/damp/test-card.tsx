import { StyleSheet, View } from 'react-native';
import { METHOD_SPECS, type DampContext, type DampLimit, type DampResult, type DampTest } from '@maquette/core/damp';
import { tapeFrom } from '@maquette/core/room';
import { formatReach } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { Words } from '../../ui/text.tsx';
import { NextReading } from './next-reading.tsx';
import { TestDetails } from './test-details.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { Touch } from '../../ui/touch.tsx';

interface Props {
  shown: ShownRoom;
  ctx: DampContext;
  test: DampTest;
  results: readonly DampResult[];
  limit: DampLimit | null;
  open: boolean;
  onOpen: () => void;
}

/** One test: where it is, what it has shown, and the next reading. */
export function TestCard({ shown, ctx, test, results, limit, open, onOpen }: Props) {
  const { localTime } = useTimes();
  const say = useSay();
  const palette = usePalette();
  const last = results[results.length - 1];
  const spec = METHOD_SPECS[test.method];
  const place = tapeFrom(ctx.room, ctx.plan, test)
    .map((d) => `${formatReach(Math.round(d.distanceMm / 10) * 10, ctx.room.units)} from ${say(d.name)}`)
    .join(', ');
  const margin = last?.valid && limit ? limit.value - last.value : null;
  const change = (words: string, part: Partial<DampTest>) =>
    write(words, [{ kind: 'dampTests', id: test.id, roomId: ctx.room.id, body: { ...bodyOf(test), ...part } }]);
  return (
    <View style={[styles.card, { borderColor: open ? palette.chalk : palette.rule }]} testID={`test-${test.name}`}>
      <Touch aria-expanded={open} label={`${test.name}. ${place}`} onPress={onOpen}>
        <View style={styles.head}>
          <Words bold figure size="large">
            {test.name}
          </Words>
          <View style={styles.grow}>
            <Words bold color={margin !== null && margin < 0 ? palette.verdict.work : palette.ink}>
              {say(last ? last.valueText : 'not read yet')}
            </Words>
            <Words size="small" quiet>
              {last && !last.valid ? `Does not count: ${say(last.faults[0]!)}` : place}
            </Words>
          </View>
        </View>
      </Touch>
      {open ? (
        <View style={styles.body}>
          <NextReading key={results.length} shown={shown} test={test} roomId={ctx.room.id} room={ctx.room} />
          {[...results].reverse().map((r) => (
            <ReadingLine key={r.reading.id} result={r} roomId={ctx.room.id} limit={limit} />
          ))}
          <PhotoStrip
            shown={shown}
            about={{ about: 'damp', aboutId: test.id, at: { xMm: test.xMm, yMm: test.yMm } }}
            views={['Display', 'Place']}
          />
          <Fold title="About this test" aside={test.startedAt ? localTime(test.startedAt) : ''}>
            <TestDetails test={test} change={change} units={ctx.room.units} />
            <Words size="small">{`Place: ${place}. ${say(spec.tells)}`}</Words>
            <Button
              label={`Take ${test.name} out`}
              onPress={() =>
                void write(`Test ${test.name} taken out`, [
                  { kind: 'dampTests', id: test.id, roomId: ctx.room.id, body: bodyOf(test), deleted: true },
                ])
              }
            />
          </Fold>
        </View>
      ) : null}
    </View>
  );
}

/** One reading, what it came to and why it counts or does not. */
function ReadingLine({ result, roomId, limit }: { result: DampResult; roomId: string; limit: DampLimit | null }) {
  const { localTime } = useTimes();
  const say = useSay();
  const palette = usePalette();
  const { reading } = result;
  return (
    <View style={[styles.reading, { borderColor: palette.rule }]}>
      <Words bold={result.valid} figure>
        {`${localTime(reading.takenAt)}  ${say(result.valueText)}${reading.tempC === null ? '' : `  ${reading.tempC.toFixed(1)} °C`}`}
      </Words>
      {result.faults.map((fault) => (
        <Words key={say(fault)} size="small" color={palette.verdict.work}>{`Does not count: ${say(fault)}.`}</Words>
      ))}
      {result.remarks.map((remark) => (
        <Words key={say(remark)} size="small" quiet>{`${say(remark)}.`}</Words>
      ))}
      <Fold title="How this is worked out">
        <Words size="small">{say(result.formula)}</Words>
        {limit ? (
          <Words size="small">{`Limit ${limit.value}: ${say(limit.source)}. ${counted(Math.floor(result.ageDays), 'day')} old.`}</Words>
        ) : null}
        <Button
          label="Take this reading out"
          hint={localTime(reading.takenAt)}
          onPress={() =>
            void write('Reading taken out', [
              { kind: 'dampReadings', id: reading.id, roomId, body: bodyOf(reading), deleted: true },
            ])
          }
        />
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderTopWidth: 1, paddingTop: 10, gap: 10 },
  head: { flexDirection: 'row', gap: SPACE.part, minHeight: 48, alignItems: 'center' },
  grow: { flex: 1 },
  body: { gap: 10 },
  reading: { borderTopWidth: 1, paddingTop: SPACE.gap, gap: 2 },
});
