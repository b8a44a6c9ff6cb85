import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatTemperature, formatTemperatureSpan } from '@maquette/core/units';
import { airHistory, bandClock, dewPointC, equilibriumMcPercent, inBand } from '@maquette/core/air';
import { surfaceMarginC, type DampContext, BOXES_IN } from '@maquette/core/damp';
import type { ClimateFile } from '@maquette/core/formats';
import { answerTo, only } from '@maquette/core/fields';
import { KINDS } from '@maquette/facts';
import { roomAir } from '@maquette/core/verdict';
import { Listen } from '../../bench/listen.tsx';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { fetched } from '../../ui/fetched.tsx';
import { FileFindings } from '../../ui/file-findings.tsx';
import { Fold } from '../../ui/fold.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { Words } from '../../ui/text.tsx';
import { useAnswers } from '../use-answers.ts';
import type { Times } from '@maquette/words';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { useTextFile } from '../../files/use-text-file.tsx';
import { fileFormats } from '../../files/formats.ts';
import { counted } from '../../ui/counted.ts';

const AirChart = fetched(() => import('../charts.ts').then((charts) => charts.AirChart));

/** The room's air: read, brought in from a logger, and held against what the covering asks. */
export function AirTab({ shown, ctx }: { shown: ShownRoom; ctx: DampContext }) {
  const times = useTimes();
  const { localTime } = times;
  const say = useSay();
  const palette = usePalette();
  const answers = useAnswers(shown);
  const history = roomAir(ctx);
  const service = bandClock(history, ctx.figure('service-h'), null);
  const boxesIn = answerTo(ctx.answers, BOXES_IN);
  const acclimatising = bandClock(history, ctx.card.acclimatiseH, boxesIn);
  const { last } = history;
  const surface = [...ctx.facts.airReadings]
    .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))
    .findLast((r) => r.surfaceC !== null);
  const margin = surface ? surfaceMarginC(surface) : null;
  const need = ctx.figure('dew-margin-c');
  const { units } = ctx.room;
  return (
    <View style={styles.box}>
      {last ? (
        <>
          <Words size="large" bold figure testID="air-now">
            {`${formatTemperature(last.tempC, units)}   ${last.rhPercent.toFixed(0)} %RH`}
          </Words>
          <Words size="small">
            {`${localTime(last.at)}. Dew point ${formatTemperature(dewPointC(last.tempC, last.rhPercent), units)}. Wood in this air comes to ${equilibriumMcPercent(last.tempC, last.rhPercent).toFixed(1)} %.`}
          </Words>
          <AirChart history={history} bands={ctx.card} units={units} />
          <Words>{clockWords('Service conditions', service, history.lastInBand, times)}</Words>
          {boxesIn ? (
            <Words testID="acclimatising">
              {clockWords('Acclimatising', acclimatising, history.lastInBand, times)}
            </Words>
          ) : null}
          {margin !== null ? (
            <Words color={margin < need ? palette.verdict.stop : palette.ink}>
              {margin < need
                ? `Surface ${formatTemperatureSpan(margin, units)} over the dew point: under ${formatTemperatureSpan(need, units, 0)} nothing is primed, poured or sealed.`
                : `Surface ${formatTemperatureSpan(margin, units)} over the dew point, ${formatTemperatureSpan(need, units, 0)} needed for priming, pouring and sealing.`}
            </Words>
          ) : null}
        </>
      ) : (
        <Words>Nothing read yet. Morning and evening is enough; a logger left in the room is better.</Words>
      )}
      <HandReading shown={shown} ctx={ctx} />
      <LoggerKey shown={shown} ctx={ctx} />
      <ButtonRow>
        <Button
          label={boxesIn ? 'The boxes came in just now' : 'Boxes in: start acclimatising'}
          onPress={() => void answers.set(BOXES_IN, nowUtc(), 'Acclimatising started')}
        />
      </ButtonRow>
      {history.excursions.length + history.gaps.length > 0 ? (
        <Fold title="Excursions and gaps" aside={`${history.excursions.length + history.gaps.length}`}>
          {history.excursions.slice(-20).map((e) => (
            <Words key={e.from} size="small">
              {`${localTime(e.from)} to ${e.to ? localTime(e.to) : 'now'}: ${say(e.words)}, worst ${formatTemperature(e.worst.tempC, units)}, ${e.worst.rhPercent.toFixed(0)} %RH. The clocks start again.`}
            </Words>
          ))}
          {history.gaps.slice(-20).map((g) => (
            <Words key={g.from} size="small">
              {`${localTime(g.from)} to ${localTime(g.to)}: ${g.hours.toFixed(1)} h without a reading. The clocks start again.`}
            </Words>
          ))}
        </Fold>
      ) : null}
      <Fold title="Why these bands">
        <Words size="small">
          {`${formatTemperature(ctx.card.airMinC, units, 0)} to ${formatTemperature(ctx.card.airMaxC, units, 0)} and ${ctx.card.airMinRh} to ${ctx.card.airMaxRh} %RH. Card: ${ctx.card.name}. ${ctx.card.source}`}
        </Words>
        <Words size="small">
          Dew point by the Magnus formula; the moisture wood comes to by Hailwood and Horrobin. Time is counted up to
          the last reading only, and an interval over the longest gap breaks it.
        </Words>
      </Fold>
    </View>
  );
}

function clockWords(what: string, clock: ReturnType<typeof bandClock>, inside: boolean, { localTime }: Times): string {
  if (clock.done) return `${what}: ${Math.floor(clock.hoursDone)} h in band, ${clock.hoursNeeded} h needed. Done.`;
  if (!inside) return `${what}: out of band, the clock stands.`;
  return `${what}: ${Math.floor(clock.hoursDone)} of ${clock.hoursNeeded} h in band${clock.dueAt ? `, complete ${localTime(clock.dueAt)} if it holds` : ''}.`;
}

const AIR_BY_HAND = only(KINDS.airReadings.fields, 'tempC', 'rhPercent', 'surfaceC');
const NOTHING_READ = {};

function HandReading({ shown, ctx }: { shown: ShownRoom; ctx: DampContext }) {
  const palette = usePalette();
  const form = useDraftForm(AIR_BY_HAND, NOTHING_READ, ctx.room.units);
  const [held, setHeld] = useState<{ tempC: number | null; rhPercent: number } | null>(null);
  const [tempC, rhPercent] = [form.standing('tempC'), form.standing('rhPercent')];
  const keep = () =>
    form.record(async (air) => {
      // What was keyed over a held value is no longer the instrument's.
      const instrument = held?.tempC === air.tempC && held.rhPercent === air.rhPercent ? 'hygrometer' : '';
      const written = await write('Air read', [
        {
          kind: 'airReadings',
          id: newId(),
          roomId: shown.room!.id,
          body: { takenAt: nowUtc(), ...air, instrument, who: '', note: '' },
        },
      ]);
      if (!written.ok) return written;
      form.restart();
      setHeld(null);
      return written;
    });
  const out = typeof tempC === 'number' && typeof rhPercent === 'number' && !inBand({ tempC, rhPercent }, ctx.card);
  return (
    <View style={styles.gap}>
      <FactField form={form} name="tempC" label="Air" />
      <FactField form={form} name="rhPercent" label="Humidity" />
      <FactField form={form} name="surfaceC" label="Surface of the base, when it is to be primed or poured" />
      {out ? <Words size="small">Outside the covering’s bands: kept all the same.</Words> : null}
      {form.problem ? (
        <Words role="alert" size="small" color={palette.verdict.stop}>
          {form.problem}
        </Words>
      ) : null}
      <ButtonRow>
        <Button kind="main" label="Keep this air" onPress={() => void keep()} />
      </ButtonRow>
      <Listen
        name="hygrometer"
        words="the hygrometer"
        room={ctx.room}
        shows={(percent, there) =>
          `${there === null ? '' : `${formatTemperature(there, ctx.room.units)}, `}${percent.toFixed(1)} %RH`
        }
        onHold={(percent, there) => {
          void form.put('rhPercent', percent);
          if (there !== null) void form.put('tempC', there);
          setHeld({ tempC: there, rhPercent: percent });
        }}
      />
    </View>
  );
}

function LoggerKey({ shown, ctx }: { shown: ShownRoom; ctx: DampContext }) {
  const { localTime } = useTimes();
  const say = useSay();
  const [file, setFile] = useState<(ClimateFile & { name: string }) | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const textFile = useTextFile();
  const choose = async () => {
    try {
      const chosen = await textFile.choose('.csv,.txt,text/*');
      setSaid(null);
      if (!chosen) return;
      const { readClimateFile } = await fileFormats();
      setFile({ ...readClimateFile(chosen.text), name: chosen.name });
    } catch (error) {
      setSaid(error instanceof Error ? error.message : String(error));
    }
  };
  const take = async () => {
    const held = ctx.facts.airLogs.find((log) => log.name === file!.name);
    const written = await write('Logger file taken', [
      {
        kind: 'airLogs',
        // The same file again takes the place of the earlier one.
        id: held?.id ?? newId(),
        roomId: shown.room!.id,
        body: {
          name: file!.name.slice(0, 80),
          instrument: file!.instrument.slice(0, 80),
          samples: file!.samples,
          note: '',
        },
      },
    ]);
    setSaid(
      written.ok
        ? `Taken: ${counted(file!.samples.length, 'sample')}.`
        : written.problems.map((p) => `${p.field} ${p.message}`).join('; '),
    );
    if (written.ok) setFile(null);
  };
  const first = file?.samples[0];
  const last = file?.samples[file.samples.length - 1];
  const out = file ? airHistory(file.samples, ctx.card, ctx.figure('air-gap-h')).excursions : [];
  return (
    <View style={styles.gap}>
      <ButtonRow>
        <Button label="Logger file" onPress={() => void choose()} />
      </ButtonRow>
      {textFile.status}
      {said ? <Words role="alert">{said}</Words> : null}
      {file ? (
        <FileFindings
          found={`${counted(file.samples.length, 'sample')}${file.intervalMin ? ` every ${file.intervalMin} min` : ''}`}
          missing={file.missing}
          problems={file.problems}
          remarks={[
            ...(first && last ? [`${localTime(first.at)} to ${localTime(last.at)}`] : []),
            file.zone.stated
              ? `Times as the file states them: UTC ${file.zone.minutes >= 0 ? '+' : '−'}${Math.abs(file.zone.minutes / 60)} h`
              : 'The file states no time zone: UTC is taken',
            ...file.gaps.map((g) => `No samples ${localTime(g.from)} to ${localTime(g.to)} (${g.hours.toFixed(1)} h)`),
            ...out.map(
              (e) => `Out of band ${localTime(e.from)} to ${e.to ? localTime(e.to) : 'the end'}: ${say(e.words)}`,
            ),
          ]}
          onTake={file.samples.length > 0 && file.samples.length <= 10_000 ? () => void take() : null}
          onDrop={() => setFile(null)}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { padding: SPACE.edge, gap: SPACE.part }, gap: { gap: SPACE.gap } });
