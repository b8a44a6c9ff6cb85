import { decidedBy } from '@maquette/core/hazards';
import { StyleSheet, View } from 'react-native';
import type { FigureOf } from '@maquette/core/figures';
import { tapeFrom, type RoomFacts } from '@maquette/core/room';
import {
  MARK_RANGES,
  MARK_WORDS,
  SEVERITIES,
  treatmentOf,
  type Mark as DamageMark,
  type Quantity,
  type Underfoot,
} from '@maquette/core/soundness';
import { formatArea, formatMass, formatReach, formatVolume, type UnitSystem } from '@maquette/core/units';
import { markTick } from '@maquette/core/verdict';
import { newId, nowUtc } from '../../data/ids.ts';
import { only } from '@maquette/core/fields';
import { bodyOf, KINDS } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { Mark } from '../../ui/mark.tsx';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { Words } from '../../ui/text.tsx';
import { FindingForm } from './finding-form.tsx';
import { hoursWords } from '../amounts.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { usePlan } from '../../sheet/use-plan.ts';
import { Touch } from '../../ui/touch.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  mark: DamageMark;
  figure: FigureOf;
  under: Underfoot;
  open: boolean;
  onOpen: () => void;
}

function quantityWords({ value, unit }: Quantity, units: UnitSystem): string {
  if (unit === 'm²') return formatArea(value, units);
  if (unit === 'kg') return formatMass(value, units);
  if (unit === 'l') return formatVolume(value, units);
  if (unit === 'm') return formatReach(value * 1000, units);
  if (unit === 'h') return hoursWords(value);
  return String(value);
}

const SIZES = only(KINDS.marks.fields, 'sizeMm', 'depthMm', 'stepMm', 'moveMm');

/** The sizes that matter for a kind. */
const ASKED: Partial<Record<DamageMark['kind'], readonly (keyof typeof MARK_RANGES)[]>> = {
  crack: ['sizeMm', 'stepMm'],
  joint: ['sizeMm'],
  lippage: ['stepMm'],
  'board-ridge': ['stepMm'],
  hole: ['sizeMm', 'depthMm'],
  hollow: ['depthMm'],
  'weak-surface': ['depthMm'],
  soft: ['moveMm'],
  squeak: ['moveMm'],
};

/** One mark: its size, what is done about it with how much, who decides, and the tick when it is done. */
export function MarkCard({ shown, room, mark, figure, under, open, onOpen }: Props) {
  const say = useSay();
  const palette = usePalette();
  const treatment = treatmentOf(mark, room, figure, under);
  const tick = shown.ticks.find((t) => t.key === markTick(mark.id));
  const closed = tick && treatment.verdict !== 'stop';
  const place = tapeFrom(room, usePlan(room), mark)
    .map((d) => `${formatReach(Math.round(d.distanceMm / 10) * 10, room.units)} from ${say(d.name)}`)
    .join(', ');
  const change = (words: string, part: Partial<DamageMark>) =>
    write(words, [{ kind: 'marks', id: mark.id, roomId: room.id, body: { ...bodyOf(mark), ...part } }]);
  const name = MARK_WORDS[mark.kind];
  const form = useFactForm(SIZES, mark, room.units, (part) => change(`${say(name)}: size`, part));
  return (
    <View style={[styles.card, { borderColor: open ? palette.chalk : palette.rule }]} testID={`mark-${mark.kind}`}>
      <Touch aria-expanded={open} label={`${say(name)}. ${place}`} onPress={onOpen}>
        <View style={styles.head}>
          <Mark verdict={closed ? 'lay' : treatment.verdict} />
          <View style={styles.grow}>
            <Words bold>{`${say(name)}${closed ? ': done' : ''}`}</Words>
            <Words size="small" quiet>
              {place}
            </Words>
          </View>
        </View>
      </Touch>
      <Words>{say(treatment.words)}</Words>
      {treatment.decides && treatment.closedBy.length === 0 ? (
        <Words bold size="small">
          {say(decidedBy(treatment.decides))}
        </Words>
      ) : null}
      {treatment.quantities.map((q) => (
        <Fold key={say(q.words)} title={say(q.words)} aside={quantityWords(q, room.units)}>
          <Words size="small">{say(q.formula)}</Words>
        </Fold>
      ))}
      {treatment.asks ? (
        <Words size="small" bold>{`Still to measure: ${say(treatment.asks).toLowerCase()}.`}</Words>
      ) : null}
      {open ? (
        <View style={styles.body}>
          {(ASKED[mark.kind] ?? ['sizeMm']).map((field) => (
            <FactField key={field} form={form} name={field} label={say(MARK_RANGES[field].words)} />
          ))}
          <Choice
            label="How bad"
            inline
            value={mark.severity}
            options={SEVERITIES.map((s) => ({ value: s, label: s[0]!.toUpperCase() + s.slice(1) }))}
            onChange={(severity) => void change(`${say(name)}: how bad`, { severity })}
          />
          {mark.kind === 'crack' || mark.kind === 'joint' ? (
            <Choice
              label="Does it move?"
              inline
              value={mark.moving ? 'yes' : 'no'}
              options={[
                { value: 'no', label: 'No' },
                { value: 'yes', label: 'Yes, or it is an expansion joint' },
              ]}
              onChange={(v) => void change(`${say(name)}: moves`, { moving: v === 'yes' })}
            />
          ) : null}
          {treatment.cautions.map((c) => (
            <Words key={say(c)} size="small">
              {say(c)}
            </Words>
          ))}
          {treatment.awaits && treatment.closedBy.length === 0 ? (
            <FindingForm
              finding={mark.finding}
              awaits={treatment.awaits}
              units={room.units}
              onFinding={(finding) => change(`${say(name)}: ${finding ? 'decided' : 'not decided'}`, { finding })}
            />
          ) : null}
          <PhotoStrip shown={shown} about={{ about: 'mark', aboutId: mark.id, at: { xMm: mark.xMm, yMm: mark.yMm } }} />
          <ButtonRow>
            <Button
              label={tick ? 'Not done after all' : 'Done'}
              hint={say(name)}
              selected={Boolean(tick)}
              off={
                treatment.verdict === 'stop' && !tick ? 'It is stopped: whoever decides about it comes first.' : null
              }
              onPress={() =>
                void write(tick ? `${say(name)}: not done` : `${say(name)}: done`, [
                  tick
                    ? { kind: 'ticks', id: tick.id, roomId: room.id, body: bodyOf(tick), deleted: true }
                    : {
                        kind: 'ticks',
                        id: newId(),
                        roomId: room.id,
                        body: { key: markTick(mark.id), doneAt: nowUtc(), note: '' },
                      },
                ])
              }
            />
            <Button
              label="Take it out"
              hint={say(name)}
              onPress={() =>
                void write(`${say(name)} taken out`, [
                  { kind: 'marks', id: mark.id, roomId: room.id, body: bodyOf(mark), deleted: true },
                ])
              }
            />
          </ButtonRow>
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderTopWidth: 1, paddingTop: 10, gap: 6 },
  head: { flexDirection: 'row', gap: SPACE.part, minHeight: 48, alignItems: 'center' },
  grow: { flex: 1 },
  body: { gap: 10 },
});
