import { StyleSheet, View } from 'react-native';
import { useState } from 'react';
import type { RoomPicture } from '@maquette/core';
import type { Achieved } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, roundTo, temperatureIn, temperatureUnit, unitLabel } from '@maquette/core/units';
import { newId, nowUtc } from '../../data/ids.ts';
import { only } from '@maquette/core/fields';
import { bodyOf, KINDS } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { Words } from '../../ui/text.tsx';
import { type ShownWay } from './shown-ways.ts';
import { WAY_WORDS, type ChoiceId } from './way-words.ts';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
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
  const stops = picture.criteria.filter(({ verdict }) => verdict === 'stop');
  const form =
    way && (way.way || way.plane) ? (
      stops.length > 0 ? (
        <Stopped stops={stops} />
      ) : way.refused ? (
        <Words>{`Not possible here: ${way.refused}`}</Words>
      ) : (
        <RecordForm key={way.id} shown={shown} way={way} />
      )
    ) : null;
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

const DONE = only(KINDS.works.fields, 'product', 'batch', 'bagsUsed', 'tempC', 'rhPercent', 'note');

/** What stands stopped in the room: nothing is told done over it. */
function Stopped({ stops }: { stops: RoomPicture['criteria'] }) {
  const say = useSay();
  const palette = usePalette();
  return (
    <View role="alert" style={styles.form}>
      <Words bold color={palette.verdict.stop}>
        No levelling is recorded as done while the room is stopped.
      </Words>
      {stops.map((stop) => (
        <Words key={stop.id} size="small">{`${say(stop.title)}: ${say(stop.margin)} ${say(stop.next)}`}</Words>
      ))}
    </View>
  );
}

function RecordForm({ shown, way }: { shown: ShownRoom; way: ShownWay }) {
  const say = useSay();
  const from = (way.way ?? way.plane)!;
  const lead = from.needs[0];
  const [begins] = useState(() => ({ product: lead ? say(lead.compound.name) : '', batch: '', note: '' }));
  const form = useDraftForm(DONE, begins, shown.room!.units);
  const record = () =>
    form.record((done) =>
      write(`Done: ${way.words.toLowerCase()}`, [
        {
          kind: 'works',
          id: newId(),
          roomId: shown.room!.id,
          body: { way: way.id, doneAt: nowUtc(), ...done, bagsPlanned: lead?.bags ?? 0, predicted: from.predicted },
        },
      ]),
    );
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
          <FactField form={form} name="product" label="Product" />
          <FactField form={form} name="batch" label="Batch" />
          <FactField form={form} name="bagsUsed" label="Bags used" />
        </>
      ) : null}
      <FactField form={form} name="tempC" label="Air" />
      <FactField form={form} name="rhPercent" label="Air humidity" />
      <FactField form={form} name="note" label="Note" />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
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
  const { localTime } = useTimes();
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
          work.tempC === null ? '' : `${roundTo(temperatureIn(work.tempC, units), 0.1)} ${temperatureUnit(units)}`,
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
