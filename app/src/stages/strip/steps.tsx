import { stopSaid, cautionSaid } from '@maquette/core/hazards';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Step, StripPlan } from '@maquette/core/stripout';
import { bodyOf } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { Icon } from '../../ui/icon.tsx';
import { Words } from '../../ui/text.tsx';
import { hoursWords } from '../amounts.ts';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Touch } from '../../ui/touch.tsx';

const GROUPS: Record<Step['group'], string> = {
  clear: 'Before anything is touched',
  dust: 'Dust',
  fixtures: 'Fixtures and bars',
  trim: 'Skirting',
  layer: 'Layers, from the top',
  edges: 'Edges and fixings',
  clean: 'Clean',
  kept: 'For planks over what stays',
};

/** The steps in their order, each ticked with its time; a step that is stopped says why and cannot be ticked. */
export function Steps({ shown, plan }: { shown: ShownRoom; plan: StripPlan }) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <View role="list" accessibilityLabel="Steps of the strip-out">
      {plan.steps.map((step, i) => {
        const first = step.group !== plan.steps[i - 1]?.group;
        return (
          <View key={step.key} role="listitem">
            {first ? (
              <Words size="small" bold quiet style={styles.group}>
                {GROUPS[step.group]}
              </Words>
            ) : null}
            <StepRow
              shown={shown}
              step={step}
              open={open === step.key}
              onOpen={() => setOpen(open === step.key ? null : step.key)}
            />
          </View>
        );
      })}
    </View>
  );
}

function StepRow({ shown, step, open, onOpen }: { shown: ShownRoom; step: Step; open: boolean; onOpen: () => void }) {
  const { localTime } = useTimes();
  const say = useSay();
  const palette = usePalette();
  const done = step.doneAt !== null;
  const stopped = step.stops.length > 0 && !done;
  const tick = () => {
    const held = shown.ticks.find((t) => t.key === step.key);
    void write(done ? `Not done after all: ${say(step.words)}` : `Done: ${say(step.words)}`, [
      held
        ? { kind: 'ticks', id: held.id, roomId: shown.room!.id, body: bodyOf(held), deleted: true }
        : {
            kind: 'ticks',
            id: newId(),
            roomId: shown.room!.id,
            body: { key: step.key, doneAt: nowUtc(), note: '' },
          },
    ]);
  };
  return (
    <View style={[styles.step, { borderColor: palette.rule }]}>
      <View style={styles.line}>
        <Touch
          role="checkbox"
          aria-checked={done}
          aria-disabled={stopped}
          disabled={stopped}
          label={`${say(step.words)}${stopped ? ', stopped' : ''}`}
          onPress={tick}
          style={[
            styles.tick,
            {
              borderColor: stopped ? palette.verdict.stop : palette.chalk,
              backgroundColor: done ? palette.chalk : 'transparent',
            },
          ]}
        >
          {done ? (
            <Icon name="done" color={palette.onChalk} size={26} />
          ) : (
            <Words bold size="large" color={palette.verdict.stop}>
              {stopped ? '–' : ''}
            </Words>
          )}
        </Touch>
        <Touch aria-expanded={open} label={`More of: ${say(step.words)}`} onPress={onOpen} style={styles.words}>
          <Words bold={!done} color={done ? palette.quiet : palette.ink}>
            {say(step.words)}
          </Words>
          <Words size="small" quiet figure>
            {done
              ? `done ${localTime(step.doneAt!)}`
              : step.hours > 0
                ? hoursWords(step.hours)
                : stopped
                  ? ''
                  : 'a moment'}
          </Words>
        </Touch>
      </View>
      {stopped
        ? step.stops.map((stop) => (
            <Words key={say(stop.words)} size="small" color={palette.verdict.stop}>
              {say(stopSaid(stop))}
            </Words>
          ))
        : null}
      {!done && !stopped
        ? step.cautions.map((caution) => (
            <Words key={caution.id} size="small" color={palette.verdict.work}>
              {say(cautionSaid(caution))}
            </Words>
          ))
        : null}
      {open ? (
        <View style={styles.more}>
          {step.lines.map((line) => (
            <Words key={say(line)}>{say(line)}</Words>
          ))}
          <PhotoStrip shown={shown} about={{ about: 'step', aboutId: step.key, at: null }} />
          {done ? <Button label="Not done after all" hint={say(step.words)} onPress={tick} /> : null}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  group: { paddingTop: SPACE.part, paddingBottom: SPACE.near },
  step: { borderTopWidth: 1, paddingVertical: 6, gap: SPACE.near },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  tick: { width: 48, height: 48, borderWidth: 2, alignItems: 'center', justifyContent: 'center' },
  words: { flex: 1, minHeight: 48, justifyContent: 'center' },
  more: { gap: SPACE.gap, paddingLeft: 60, paddingBottom: SPACE.gap },
});
