import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  CUT_OFFS,
  HEATING_LOCATED,
  SITE,
  SITE_HAZARD_IDS,
  SITE_HAZARDS,
  TENSION,
  TRIM_YEAR,
  trimState,
  trimYear,
  type LayerGate,
  stopSaid,
} from '@maquette/core/hazards';
import { ANALYTE_WORDS, layerName } from '@maquette/core/layers';
import type { RoomFacts } from '@maquette/core/room';
import { only } from '@maquette/core/fields';
import { bodyOf, KINDS } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Mark } from '../../ui/mark.tsx';
import { Words } from '../../ui/text.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { OneField } from '../../form/one-field.tsx';
import { SampleForm } from './sample-form.tsx';
import { useAnswers } from '../use-answers.ts';
import { useSay } from '../../ui/shown-in.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  gates: readonly LayerGate[];
}

const STATE_WORDS = {
  clear: 'not suspect',
  released: 'let go by its year',
  shut: 'suspect, shut',
  negative: 'negative: open',
  positive: 'positive: left alone',
} as const;

/** The hazard gate: what is suspect, what a laboratory has said, what closes the room. */
export function HazardsTab({ shown, room, gates }: Props) {
  const say = useSay();
  const palette = usePalette();
  const answers = useAnswers(shown);
  const [form, setForm] = useState<string | null>(null);
  const { layers } = shown.plain;
  const year = trimYear(shown.plain.answers);
  const trim = trimState(shown.plain.samples, shown.plain.country, year);
  const suspended = [room.baseKind, room.secondBase?.kind].includes('suspended-concrete');
  const tension = answers.to(TENSION) ?? 'unknown';
  return (
    <View style={styles.box}>
      {shown.job ? <Country job={shown.job} /> : null}
      {gates.map((gate) => {
        const layer = layers.find((l) => l.id === gate.layerId);
        if (!layer || gate.materials.length === 0) return null;
        return (
          <View key={gate.layerId} style={[styles.layer, { borderColor: palette.rule }]}>
            <View style={styles.line}>
              <Mark verdict={gate.open ? 'lay' : 'stop'} />
              <Words bold style={styles.grow}>
                {`${say(layerName(layer))}: ${gate.open ? 'gate open' : gate.positive ? 'positive, stays shut' : 'gate shut'}`}
              </Words>
            </View>
            {gate.materials.map((m) => (
              <View key={`${m.part}-${m.hazard}`} style={styles.material}>
                <Words
                  size="small"
                  bold
                  color={m.state === 'shut' || m.state === 'positive' ? palette.verdict.stop : palette.ink}
                >
                  {`${m.part[0]!.toUpperCase()}${m.part.slice(1)}, ${say(ANALYTE_WORDS[m.hazard])}: ${STATE_WORDS[m.state]}`}
                </Words>
                <Words size="small">{`${say(m.words)}.`}</Words>
              </View>
            ))}
            {form === gate.layerId ? (
              <SampleForm
                shown={shown}
                layer={layer}
                parts={[...new Set(gate.materials.map((m) => m.part))]}
                onDone={() => setForm(null)}
              />
            ) : (
              <Button
                label="Record a laboratory result"
                hint={say(layerName(layer))}
                onPress={() => setForm(gate.layerId)}
              />
            )}
          </View>
        );
      })}
      {gates.every((g) => g.materials.length === 0) ? (
        <Words>{layers.length === 0 ? 'No layers are recorded yet.' : 'None of the layers is suspect.'}</Words>
      ) : (
        <Words size="small">
          While a gate is shut nothing that disturbs the material is advised: no sanding, scraping, breaking, sawing,
          drilling, pulling. Samples are taken by a competent person. A licensed contractor and a laboratory decide.
        </Words>
      )}
      <Fold
        title="Seen in the room"
        aside={`${SITE_HAZARD_IDS.filter((id) => answers.to(SITE[id]) === 'seen').length} seen`}
      >
        {SITE_HAZARD_IDS.map((id) => (
          <Choice
            key={id}
            label={say(stopSaid(SITE_HAZARDS[id]))}
            inline
            value={answers.to(SITE[id]) ?? 'none'}
            options={[
              { value: 'none', label: 'No' },
              { value: 'seen', label: 'Seen: stop' },
              { value: 'made-safe', label: 'Made safe' },
            ]}
            onChange={(value) =>
              void answers.set(SITE[id], value, value === 'seen' ? 'Hazard recorded' : 'Hazard answered')
            }
          />
        ))}
      </Fold>
      <Fold title="Before drilling" aside={suspended ? tension : ''}>
        {suspended ? (
          <Choice
            label="Is the slab post-tensioned or prestressed? That is for a structural engineer to decide."
            inline
            value={tension}
            options={[
              { value: 'unknown', label: 'Not known: no drilling' },
              { value: 'none', label: 'No, documented' },
              { value: 'post-tensioned', label: 'Yes' },
            ]}
            onChange={(value) => void answers.set(TENSION, value, 'Slab answered')}
          />
        ) : null}
        <Choice
          label="Heating pipes and cables located?"
          inline
          value={answers.to(HEATING_LOCATED) ?? 'no'}
          options={[
            { value: 'no', label: 'No' },
            { value: 'yes', label: 'Yes, marked out' },
          ]}
          onChange={(value) => void answers.set(HEATING_LOCATED, value, 'Heating answered')}
        />
      </Fold>
      <Fold title="Paint on skirting and frames" aside={STATE_WORDS[trim.state]}>
        <Words size="small">{`${say(trim.words)}. While suspect: hand tools only, no power sanding, flame or heat gun.`}</Words>
        <OneField
          of={TRIM_YEAR.takes}
          value={year}
          units={room.units}
          label="Year the trim was made or last painted over bare wood"
          onTaken={(value) => answers.set(TRIM_YEAR, value, 'Year of the trim')}
        />
        {form === 'trim' ? (
          <SampleForm shown={shown} layer={null} parts={['finish']} onDone={() => setForm(null)} />
        ) : (
          <Button label="Record a result for the paint" onPress={() => setForm('trim')} />
        )}
      </Fold>
    </View>
  );
}

const CUT_OFF_YEARS = only(KINDS.jobs.fields, 'asbestosFrom', 'leadFrom');

/** The job's country and its years: nothing is let go by year while it is not set. */
function Country({ job }: { job: NonNullable<ShownRoom['job']> }) {
  const say = useSay();
  const table = job.country ? CUT_OFFS[job.country] : null;
  const change = (words: string, part: object) =>
    write(words, [{ kind: 'jobs', id: job.id, body: { ...bodyOf(job), ...part } }]);
  const form = useFactForm(CUT_OFF_YEARS, job, 'metric', (part) => change('Cut-off year', part));
  const words = table
    ? `${say(table.words)}: asbestos ${job.asbestosFrom ?? table.asbestosFrom ?? 'never let go by year'}, lead ${job.leadFrom ?? table.leadFrom ?? 'never'}`
    : 'Country not set: nothing is let go by its year';
  return (
    <Fold title="Country and cut-off years" aside={job.country ?? 'not set'} open={job.country === null}>
      <Words size="small">{`${words}. A material documented as made in that year or later needs no test; the local authority decides.`}</Words>
      <Choice
        label="Country of the job"
        inline
        value={job.country ?? ''}
        options={[
          { value: '', label: 'Not set' },
          ...Object.entries(CUT_OFFS).map(([code, { words: name }]) => ({ value: code, label: say(name) })),
        ]}
        onChange={(code) => void change('Country of the job', { country: code === '' ? null : code })}
      />
      <FactField form={form} name="asbestosFrom" label="Asbestos let go from year (empty takes the table’s)" />
      <FactField form={form} name="leadFrom" label="Lead let go from year (empty takes the table’s)" />
      <Words size="small" quiet>
        Shipped years are the year after a national ban took hold, on the careful side. Law changes: check yours.
      </Words>
    </Fold>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  layer: { borderTopWidth: 1, paddingTop: SPACE.part, gap: SPACE.gap },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  material: { gap: 2 },
  grow: { flex: 1 },
});
