import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import {
  DAMP_RANGES,
  GRADES_OF,
  METHOD_SPECS,
  type DampContext,
  type DampLimit,
  type DampResult,
  type DampTest,
} from '@maquette/core/damp';
import { tapeFrom, type RoomFacts } from '@maquette/core/room';
import { formatReach } from '@maquette/core/units';
import { useInstrument, type InstrumentName } from '../../bench/use-instrument.ts';
import { newId, nowUtc } from '../../data/ids.ts';
import { bodyOf } from '../../data/merge.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { Fold } from '../../ui/fold.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { PhotoStrip } from '../../ui/photo-strip.tsx';
import { Words } from '../../ui/text.tsx';
import { useFollowing } from '../../ui/use-following.ts';
import { localTime } from './times.ts';
import { TimeField } from './time-field.tsx';

interface Props {
  shown: ShownRoom;
  ctx: DampContext;
  test: DampTest;
  results: readonly DampResult[];
  limit: DampLimit | null;
  open: boolean;
  onOpen: () => void;
}

const INSTRUMENT_OF: Partial<Record<DampTest['method'], InstrumentName>> = {
  probe: 'probe-reader',
  pin: 'pin-meter',
  survey: 'survey-meter',
};

/** One test: where it is, what it has shown, and the next reading. */
export function TestCard({ shown, ctx, test, results, limit, open, onOpen }: Props) {
  const palette = usePalette();
  const last = results[results.length - 1];
  const spec = METHOD_SPECS[test.method];
  const place = tapeFrom(ctx.room, ctx.plan, test)
    .map((d) => `${formatReach(Math.round(d.distanceMm / 10) * 10, ctx.room.units)} from ${d.name}`)
    .join(', ');
  const margin = last?.valid && limit ? limit.value - last.value : null;
  const change = (words: string, part: Partial<DampTest>) =>
    write(words, [
      { kind: 'dampTests', id: test.id, roomId: ctx.room.id, body: { ...bodyOf(test), ...part } as never },
    ]);
  return (
    <View style={[styles.card, { borderColor: open ? palette.chalk : palette.rule }]} testID={`test-${test.name}`}>
      <Pressable role="button" aria-expanded={open} accessibilityLabel={`${test.name}. ${place}`} onPress={onOpen}>
        <View style={styles.head}>
          <Words bold figure size="large">
            {test.name}
          </Words>
          <View style={styles.grow}>
            <Words bold color={margin !== null && margin < 0 ? palette.verdict.work : palette.ink}>
              {last ? last.valueText : 'not read yet'}
            </Words>
            <Words size="small" quiet>
              {last && !last.valid ? `Does not count: ${last.faults[0]}` : place}
            </Words>
          </View>
        </View>
      </Pressable>
      {open ? (
        <View style={styles.body}>
          <NextReading key={results.length} shown={shown} test={test} roomId={ctx.room.id} room={ctx.room} />
          {[...results].reverse().map((r) => (
            <ReadingLine key={r.reading.id} result={r} roomId={ctx.room.id} limit={limit} />
          ))}
          <PhotoStrip
            shown={shown}
            about={{ about: 'damp', aboutId: test.id, at: { xMm: test.xMm, yMm: test.yMm } }}
            label="Photograph the display, and the place"
          />
          <Fold title="About this test" aside={test.startedAt ? localTime(test.startedAt) : ''}>
            <TestDetails test={test} change={change} units={ctx.room.units} />
            <Words size="small">{`Place: ${place}. ${spec.tells}`}</Words>
            <Button
              label={`Take ${test.name} out`}
              onPress={() =>
                void write(`Test ${test.name} taken out`, [
                  { kind: 'dampTests', id: test.id, roomId: ctx.room.id, body: bodyOf(test) as never, deleted: true },
                ])
              }
            />
          </Fold>
        </View>
      ) : null}
    </View>
  );
}

/** The next reading: from the pad, the keyboard or an instrument alike. */
function NextReading({
  shown,
  test,
  roomId,
  room,
}: {
  shown: ShownRoom;
  test: DampTest;
  roomId: string;
  room: RoomFacts;
}) {
  const palette = usePalette();
  const spec = METHOD_SPECS[test.method];
  const [value, setValue] = useState<number | null>(null);
  const [sampleG, setSample] = useState<number | null>(null);
  const [tempC, setTemp] = useState<number | null>(null);
  const [at, setAt] = useState(nowUtc);
  const [own, setOwn] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [listening, setListening] = useState(false);
  const name = INSTRUMENT_OF[test.method] ?? null;
  const live = useInstrument(listening ? name : null, room, test);
  const grades = test.method === 'film' ? GRADES_OF.film : test.method === 'scratch' ? GRADES_OF.scratch : null;
  const who = [...shown.dampReadings].sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1)).at(-1)?.who ?? '';
  const keep = async () => {
    if (value === null) return setProblem(`Still needed: ${spec.asks.toLowerCase()}`);
    const written = await write(`${test.name} read`, [
      {
        kind: 'dampReadings',
        id: newId(),
        roomId,
        body: { testId: test.id, takenAt: own ? at : nowUtc(), value, sampleG, tempC, who, note: '' },
      },
    ]);
    return setProblem(written.ok ? null : written.problems.map((p) => `${p.field} ${p.message}`).join('; '));
  };
  return (
    <View style={styles.body}>
      {grades ? (
        <Choice
          label={spec.asks}
          inline
          value={value === null ? '' : String(value)}
          options={grades.map((label, i) => ({ value: String(i), label }))}
          onChange={(v) => setValue(Number(v))}
        />
      ) : (
        <NumberField
          label={spec.asks}
          value={value}
          unit={test.method === 'carbide' && sampleG !== null ? 'bar' : spec.unit}
          range={{ min: spec.min, max: spec.max }}
          decimals={test.method === 'dish' || test.method === 'carbide' ? 2 : 1}
          onTaken={setValue}
        />
      )}
      {test.method === 'carbide' ? (
        <NumberField
          label="Mass of the sample, when the gauge shows bar"
          value={sampleG}
          unit="g"
          range={DAMP_RANGES.sampleG}
          empty
          onTaken={setSample}
        />
      ) : null}
      {test.method !== 'film' && test.method !== 'scratch' && test.method !== 'survey' ? (
        <NumberField
          label="Temperature there"
          value={tempC}
          unit="°C"
          range={DAMP_RANGES.tempC}
          empty
          onTaken={setTemp}
        />
      ) : null}
      {own ? <TimeField label="Read at" utc={at} onTaken={setAt} /> : null}
      {name ? (
        <View style={styles.live}>
          <Button
            label={listening ? 'Stop listening' : 'Listen to the instrument'}
            onPress={() => setListening(!listening)}
          />
          {listening ? (
            <Button
              label={live.value === null ? STATE_WORDS[live.state] : `Hold ${live.value.toFixed(1)} ${spec.unit}`}
              disabled={live.value === null}
              hint={live.batteryPct === null ? undefined : `battery ${live.batteryPct} %`}
              onPress={() => {
                setValue(Math.round(live.value! * 10) / 10);
                if (live.tempC !== null) setTemp(Math.round(live.tempC * 10) / 10);
              }}
            />
          ) : null}
        </View>
      ) : null}
      {problem ? (
        <Words role="alert" size="small" color={palette.verdict.stop}>
          {problem}
        </Words>
      ) : null}
      <ButtonRow>
        <Button kind="main" label="Keep the reading" onPress={() => void keep()} />
        {!own ? <Button label="Another time" onPress={() => setOwn(true)} /> : null}
      </ButtonRow>
    </View>
  );
}

const STATE_WORDS = {
  off: 'Off',
  connecting: 'Connecting …',
  on: 'Settling …',
  lost: 'No connection: key it',
  flat: 'Battery flat: key it',
} as const;

/** One reading, what it came to and why it counts or does not. */
function ReadingLine({ result, roomId, limit }: { result: DampResult; roomId: string; limit: DampLimit | null }) {
  const palette = usePalette();
  const { reading } = result;
  return (
    <View style={[styles.reading, { borderColor: palette.rule }]}>
      <Words bold={result.valid} figure>
        {`${localTime(reading.takenAt)}  ${result.valueText}${reading.tempC === null ? '' : `  ${reading.tempC.toFixed(1)} °C`}`}
      </Words>
      {result.faults.map((fault) => (
        <Words key={fault} size="small" color={palette.verdict.work}>{`Does not count: ${fault}.`}</Words>
      ))}
      {result.remarks.map((remark) => (
        <Words key={remark} size="small" quiet>{`${remark}.`}</Words>
      ))}
      <Fold title="How this is worked out">
        <Words size="small">{result.formula}</Words>
        {limit ? (
          <Words size="small">{`Limit ${limit.value}: ${limit.source}. ${Math.floor(result.ageDays)} days old.`}</Words>
        ) : null}
        <Button
          label="Take this reading out"
          hint={localTime(reading.takenAt)}
          onPress={() =>
            void write('Reading taken out', [
              { kind: 'dampReadings', id: reading.id, roomId, body: bodyOf(reading) as never, deleted: true },
            ])
          }
        />
      </Fold>
    </View>
  );
}

function TestDetails({
  test,
  change,
  units,
}: {
  test: DampTest;
  change: (words: string, part: Partial<DampTest>) => Promise<unknown>;
  units: RoomFacts['units'];
}) {
  const [instrument, setInstrument] = useFollowing(test.instrument);
  const [checked, setChecked] = useFollowing(test.checkedOn);
  return (
    <View style={styles.body}>
      {test.startedAt ? (
        <TimeField
          label={test.method === 'probe' ? 'Hole sealed at' : 'Set at'}
          utc={test.startedAt}
          onTaken={(startedAt) => void change(`${test.name}: time set`, { startedAt })}
        />
      ) : null}
      {test.method === 'probe' || test.method === 'carbide' ? (
        <LengthField
          label="Depth"
          mm={test.depthMm}
          units={units}
          range={DAMP_RANGES.depthMm}
          onTaken={(depthMm) => void change(`${test.name}: depth`, { depthMm })}
        />
      ) : null}
      {test.method === 'dish' ? (
        <>
          <NumberField
            label="Weight when set"
            value={test.startG}
            unit="g"
            decimals={2}
            range={DAMP_RANGES.startG}
            onTaken={(startG) => void change(`${test.name}: weight`, { startG })}
          />
          <NumberField
            label="Area under the dome"
            value={test.areaM2}
            unit="m²"
            decimals={4}
            range={DAMP_RANGES.areaM2}
            onTaken={(areaM2) => void change(`${test.name}: area`, { areaM2 })}
          />
        </>
      ) : null}
      {test.method === 'pin' ? (
        <>
          <Choice
            label="Pins in"
            inline
            value={test.of}
            options={[
              { value: 'base', label: 'The base' },
              { value: 'boards', label: 'The covering’s boards' },
            ]}
            onChange={(of) => void change(`${test.name}: pins`, { of })}
          />
          <NumberField
            label="Species offset, from the meter’s table"
            value={test.offsetPercent}
            unit="%MC"
            range={DAMP_RANGES.offsetPercent}
            onTaken={(offset) => void change(`${test.name}: species`, { offsetPercent: offset ?? 0 })}
          />
          <Choice
            label="The meter corrects for temperature"
            inline
            value={test.compensates ? 'yes' : 'no'}
            options={[
              { value: 'no', label: 'No' },
              { value: 'yes', label: 'Yes: not again' },
            ]}
            onChange={(v) => void change(`${test.name}: meter`, { compensates: v === 'yes' })}
          />
        </>
      ) : null}
      <Field
        label="Instrument"
        value={instrument}
        onChange={setInstrument}
        onDone={() =>
          instrument === test.instrument ? undefined : void change(`${test.name}: instrument`, { instrument })
        }
      />
      <Field
        label="Last checked or calibrated"
        value={checked}
        onChange={setChecked}
        onDone={() =>
          checked === test.checkedOn ? undefined : void change(`${test.name}: check`, { checkedOn: checked })
        }
      />
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderTopWidth: 1, paddingTop: 10, gap: 10 },
  head: { flexDirection: 'row', gap: 12, minHeight: 48, alignItems: 'center' },
  grow: { flex: 1 },
  body: { gap: 10 },
  reading: { borderTopWidth: 1, paddingTop: 8, gap: 2 },
  live: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
