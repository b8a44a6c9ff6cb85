import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CLOSING_LIMIT_MM, ROD_MM } from '@maquette/core/flat';
import { tapeFrom, planOf, type RoomFacts } from '@maquette/core/room';
import { formatReach, formatRod } from '@maquette/core/units';
import { Keypad } from '../../bench/keypad.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import type { Run } from './use-run.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { SPACE } from '../../theme/theme.tsx';

/** A reading this far from the last is asked back, mm: a digit slipped more often than a floor drops by this. */
const DOUBT_MM = 60;

type Asking = 'station' | 'close' | 'new' | 'closed';

/** The bench while reading: one number at a time. */
export function ReadBench({
  room,
  run,
  total,
  onKeyed,
  onFindings,
}: {
  room: RoomFacts;
  run: Run;
  total: number;
  /** A number was taken: the bench stays, whatever it completes. */
  onKeyed: () => void;
  onFindings: () => void;
}) {
  const say = useSay();
  const [asking, setAsking] = useState<Asking>('station');
  const { units } = room;
  const { setup, current, here } = run;

  if (!setup || asking === 'new') {
    return (
      <Keypad
        asked={`open-${setup?.id ?? 'first'}`}
        units={units}
        title={setup ? 'Laser moved: read the benchmark' : 'Read the benchmark'}
        lines={['Stand the staff on a mark that will not move,', 'such as the door threshold.']}
        lastMm={null}
        range={ROD_MM}
        take="Take"
        onTake={(mm) => {
          onKeyed();
          return run.openSetup(mm).then((written) => {
            if (written.ok) setAsking('station');
            return written;
          });
        }}
        actions={[
          {
            label: 'No mark',
            onPress: () => {
              void run.openSetup(null);
              setAsking('station');
            },
          },
          ...(setup ? [{ label: 'Back', onPress: () => setAsking('station') }] : []),
        ]}
      />
    );
  }

  if (asking === 'close') {
    return (
      <Keypad
        asked={`close-${setup.id}`}
        units={units}
        title={`Benchmark again, set-up ${setup.name}`}
        lines={[
          setup.openRodMm === null
            ? 'This set-up has no benchmark'
            : `It opened at ${formatRod(setup.openRodMm, units)}`,
          `More than ${CLOSING_LIMIT_MM} mm apart marks the set-up as suspect`,
        ]}
        lastMm={setup.openRodMm}
        range={ROD_MM}
        take="Close"
        onTake={(mm) => {
          onKeyed();
          return run.closeSetup(mm).then((written) => {
            if (written?.ok) setAsking('closed');
            return written;
          });
        }}
        actions={[
          { label: 'Laser moved', onPress: () => setAsking('new') },
          { label: 'Back', onPress: () => setAsking('station') },
        ]}
      />
    );
  }

  if (asking === 'closed' || !current) {
    const closing = setup.openRodMm !== null && setup.closeRodMm !== null ? setup.closeRodMm - setup.openRodMm : null;
    const suspect = closing !== null && Math.abs(closing) > CLOSING_LIMIT_MM;
    return (
      <View style={styles.done}>
        <Words bold size="large">
          {run.left === 0 ? 'Every station is read' : `${counted(run.left, 'station')} left`}
        </Words>
        <Words>
          {closing !== null
            ? `Set-up ${setup.name} closes within ${formatRod(Math.abs(closing), units)} ${units === 'metric' ? 'mm' : 'in'}.${suspect ? ' That is over 1 mm: read it again before you trust it.' : ''}`
            : setup.openRodMm === null
              ? `Set-up ${setup.name} has no benchmark: it is tied by stations it shares.`
              : `Set-up ${setup.name} is open: read the benchmark again to close it.`}
        </Words>
        <ButtonRow>
          {closing === null && setup.openRodMm !== null ? (
            <Button kind="main" label="Close the set-up" onPress={() => setAsking('close')} />
          ) : (
            <Button kind="main" label="See the verdict" onPress={onFindings} />
          )}
          {run.left > 0 ? <Button label="Read on" onPress={() => setAsking('station')} /> : null}
          <Button label="Laser moved" onPress={() => setAsking('new')} />
        </ButtonRow>
      </View>
    );
  }

  const places = tapeFrom(room, planOf(room), current).map(
    (d) => `${formatReach(Math.round(d.distanceMm), units)} from ${say(d.name)}`,
  );
  const last = here
    ? `Read: ${formatRod(here.rodMm, units)} · key to replace it`
    : run.lastMm !== null && run.lastNumber !== null
      ? `${run.lastNumber} was ${formatRod(run.lastMm, units)} · set-up ${setup.name}`
      : `Set-up ${setup.name}${setup.openRodMm === null ? ', no benchmark' : ` on ${formatRod(setup.openRodMm, units)}`}`;
  return (
    <Keypad
      asked={`station-${current.key}`}
      units={units}
      title={`Read station ${current.number} of ${total}`}
      lines={[places.join(' · '), last]}
      lastMm={run.lastMm}
      range={ROD_MM}
      doubtMm={DOUBT_MM}
      take="Take"
      onTake={(mm) => {
        onKeyed();
        return run.take(mm);
      }}
      actions={[
        { label: 'Skip', onPress: run.skip, disabled: run.left <= (here ? 0 : 1) },
        { label: 'Benchmark', onPress: () => setAsking('close') },
      ]}
    />
  );
}

const styles = StyleSheet.create({ done: { padding: SPACE.edge, gap: SPACE.part } });
