import { StyleSheet, View } from 'react-native';
import { useState } from 'react';
import type { RoomPicture } from '@maquette/core';
import { WORK_RANGES, type Achieved } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, roundTo, unitLabel } from '@maquette/core/units';
import { newId, nowUtc } from '../../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { useAskedBack } from '../../ui/asked-back.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Fold } from '../../ui/fold.tsx';
import { NumberField } from '../../bench/number-field.tsx';
import { Words } from '../../ui/text.tsx';
import { localTime } from '../../ui/times.ts';
import { WAY_WORDS, type ChoiceId, type ShownWay } from './shown-ways.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  /** The way that is being done; null where nothing is left to level. */
  way: ShownWay | null;
  picture: RoomPicture;
  onRead: () => void;
}

/** What was done, and what came of it: each piece of work recorded, then predicted against read again. */
export function DoneTab({ shown, room, way, picture, onRead }: Props) {
  const { achieved, stations } = picture;
  const waiting = achieved.some((a) => a.waiting.length > 0);
  const numbers = new Map(stations.map((s) => [s.key, s.number]));
  const form = way && (way.way || way.plane) ? <RecordForm key={way.id} shown={shown} way={way} /> : null;
  return (
    <View style={styles.box} testID="done">
      {achieved.map((a) => (
        <WorkDone key={a.work.id} shown={shown} room={room} achieved={a} numbers={numbers} onRead={onRead} />
      ))}
      {form ? (
        waiting ? (
          <Fold title="Record more work">{form}</Fold>
        ) : (
          form
        )
      ) : waiting ? null : (
        <Words>
          {achieved.length === 0 ? 'Choose a way first; what is done is recorded here.' : 'Nothing is left to level.'}
        </Words>
      )}
    </View>
  );
}

function RecordForm({ shown, way }: { shown: ShownRoom; way: ShownWay }) {
  const say = useSay();
  const from = (way.way ?? way.plane)!;
  const lead = from.needs[0];
  const [product, setProduct] = useState(lead ? say(lead.compound.name) : '');
  const [batch, setBatch] = useState('');
  const [bagsUsed, setBagsUsed] = useState<number | null>(null);
  const [tempC, setTempC] = useState<number | null>(null);
  const [rhPercent, setRhPercent] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { onProblem, askedBack } = useAskedBack();
  const record = async () => {
    if (askedBack) return setProblem(askedBack);
    const written = await write(`Done: ${way.words.toLowerCase()}`, [
      {
        kind: 'works',
        id: newId(),
        roomId: shown.room!.id,
        body: {
          way: way.id,
          doneAt: nowUtc(),
          product,
          batch,
          bagsPlanned: lead?.bags ?? 0,
          bagsUsed,
          tempC,
          rhPercent,
          note,
          predicted: from.predicted,
        },
      },
    ]);
    return setProblem(written.ok ? null : written.problems.map((p) => `${p.field}: ${p.message}`).join('; '));
  };
  return (
    <View style={styles.form}>
      <Words bold size="large">
        {`Done? ${way.words}`}
      </Words>
      <Words size="small">
        {lead
          ? `Planned: ${counted(lead.bags, 'bag')} of ${say(lead.compound.name).toLowerCase()}. Stations that this moves are asked for again.`
          : 'Stations that this moves are asked for again.'}
      </Words>
      {lead ? (
        <>
          <Field label="Product" value={product} onChange={setProduct} />
          <Field label="Batch" value={batch} onChange={setBatch} />
          <NumberField
            onProblem={onProblem}
            label="Bags used"
            unit="bags"
            value={bagsUsed}
            range={WORK_RANGES.bags}
            onTaken={setBagsUsed}
            empty
          />
        </>
      ) : null}
      <NumberField
        onProblem={onProblem}
        label="Air"
        unit="°C"
        value={tempC}
        range={WORK_RANGES.tempC}
        onTaken={setTempC}
        empty
      />
      <NumberField
        onProblem={onProblem}
        label="Air humidity"
        unit="%RH"
        value={rhPercent}
        range={WORK_RANGES.rhPercent}
        onTaken={setRhPercent}
        empty
      />
      <Field label="Note" value={note} onChange={setNote} />
      {problem ? <Words role="alert">{problem}</Words> : null}
      <Button kind="main" label="Record it as done" onPress={() => void record()} />
    </View>
  );
}

function WorkDone({
  shown,
  room,
  achieved,
  numbers,
  onRead,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  achieved: Achieved;
  numbers: ReadonlyMap<string, number>;
  onRead: () => void;
}) {
  const palette = usePalette();
  const { work, reread, waiting, rmsOffMm, worst } = achieved;
  const { units } = room;
  const unit = unitLabel(units);
  const stored = shown.works.find((w) => w.id === work.id);
  const moved = reread.length + waiting.length;
  const bags =
    work.bagsUsed === null
      ? `${counted(work.bagsPlanned, 'bag')} planned, used not counted`
      : `${counted(work.bagsUsed, 'bag')} used, ${work.bagsPlanned} planned`;
  return (
    <View style={[styles.work, { borderColor: palette.rule }]} testID="work-done">
      <Words bold>{`${WAY_WORDS[work.way as ChoiceId]}, ${localTime(work.doneAt)}`}</Words>
      <Words size="small" quiet figure>
        {[
          work.product && `${work.product}${work.batch ? `, batch ${work.batch}` : ''}`,
          work.product && bags,
          work.tempC === null ? '' : `${roundTo(work.tempC, 0.1)} °C`,
          work.rhPercent === null ? '' : `${roundTo(work.rhPercent, 1)} %RH`,
          work.note,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      <Words figure>
        {moved === 0 ? 'It moved no station that was read.' : `${reread.length} of ${moved} moved stations read again.`}
      </Words>
      {rmsOffMm !== null && worst ? (
        <Words figure testID="achieved">
          {`Off the plan by ${formatGap(rmsOffMm, units)} ${unit} (root mean square); most: station ${numbers.get(worst.stationKey) ?? worst.stationKey}, ${signed(worst.offMm, units)} ${unit}.`}
        </Words>
      ) : null}
      {waiting.length > 0 ? <Button kind="main" label="Read them again" onPress={onRead} /> : null}
      {reread.length > 0 ? (
        <Fold title="Predicted and achieved" aside={`${reread.length}`}>
          {reread.map((s) => (
            <Words key={s.stationKey} figure size="small">
              {`Station ${numbers.get(s.stationKey) ?? s.stationKey}: was ${signed(s.beforeMm, units)}, planned ${signed(s.afterMm, units)}, now ${signed(s.achievedMm, units)}: ${signed(s.offMm, units)} ${unit}`}
            </Words>
          ))}
        </Fold>
      ) : null}
      {stored ? (
        <Button
          kind="quiet"
          label="Take this record out"
          onPress={() =>
            void write('Levelling record taken out', [
              { kind: 'works', id: stored.id, roomId: room.id, body: bodyOf(stored), deleted: true },
            ])
          }
        />
      ) : null}
    </View>
  );
}

function signed(mm: number, units: RoomFacts['units']): string {
  return `${mm < 0 ? '−' : '+'}${formatGap(Math.abs(mm), units)}`;
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  form: { gap: SPACE.part },
  work: { borderTopWidth: 1, paddingTop: SPACE.gap, gap: 6 },
});
