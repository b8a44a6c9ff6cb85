import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CLOSING_LIMIT_MM, EDGE_SECONDS, ROD_MM, STAFF_SECONDS } from '@maquette/core/flat';
import { tapeFrom, planOf, type RoomFacts } from '@maquette/core/room';
import { formatReach, formatRod } from '@maquette/core/units';
import { spokenPlace, useSpoken } from '../../bench/speak.ts';
import { Keypad } from '../../bench/keypad.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import type { Run } from './use-run.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { SPACE } from '../../theme/theme.tsx';

/** A reading this far from the last is asked back, mm: a digit slipped more often than a floor drops by this. */
const DOUBT_MM = 60;

/** Minutes a piece of work takes, to be told beforehand. */
const minutes = (seconds: number) => Math.max(1, Math.round(seconds / 60));

type Asking = 'how' | 'station' | 'close' | 'new' | 'closed';

/** The bench while reading: one number at a time. */
export function ReadBench({
  room,
  run,
  total,
  edges,
  onQuick,
  onScan,
  begun,
  onKeyed,
  onFindings,
}: {
  room: RoomFacts;
  run: Run;
  total: number;
  /** Edges that a quick pass would lay instead. */
  edges: number;
  onQuick: () => void;
  onScan: () => void;
  /** Something of this floor has been read already: how is not asked again. */
  begun: boolean;
  /** A number was taken: the bench stays, whatever it completes. */
  onKeyed: () => void;
  onFindings: () => void;
}) {
  const say = useSay();
  const [asking, setAsking] = useState<Asking>(begun ? 'station' : 'how');
  const { units } = room;
  const { setup, current, here } = run;
  // Worked out when another station is next: each is said once.
  const spoken = useMemo(
    () =>
      setup && current && asking === 'station'
        ? spokenPlace(
            `Station ${current.number}`,
            tapeFrom(room, planOf(room), current).map(({ distanceMm, name }) => ({ distanceMm, name: say(name) })),
            room.units,
          )
        : null,
    [setup, current, asking, room, say],
  );
  useSpoken(spoken);

  if (!setup && asking === 'how')
    return (
      <HowToRead total={total} edges={edges} onQuick={onQuick} onStaff={() => setAsking('station')} onScan={onScan} />
    );

  if (!setup || asking === 'new') {
    return (
      <Keypad
        asked={`open-${setup?.id ?? 'first'}`}
        units={units}
        title={setup ? 'Laser moved: read the benchmark' : 'Read the benchmark'}
        lines={[
          'Stand the staff on a mark that will not move.',
          setup
            ? 'The door threshold will do.'
            : `${counted(total, 'station')}, about ${minutes(total * STAFF_SECONDS)} min.`,
        ]}
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
          setup ? { label: 'Back', onPress: () => setAsking('station') } : { label: 'Quick pass', onPress: onQuick },
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
        lastMm={null}
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
      lastWords={here ? 'as it is' : run.lastNumber === null ? null : `as station ${run.lastNumber}`}
      range={ROD_MM}
      doubtMm={DOUBT_MM}
      take="Take"
      onTake={(mm) => {
        onKeyed();
        return run.take(mm);
      }}
      actions={[
        { label: 'Skip', onPress: run.skip, off: run.left <= (here ? 0 : 1) ? 'This is the last one to read.' : null },
        { label: 'Benchmark', onPress: () => setAsking('close') },
      ]}
    />
  );
}

/** Edges that try to break a verdict before it stands, as a rule. */
const TRIES = 3;

/** Before the first reading: the ways of reading this floor, each with what it tells and the minutes it takes here. */
function HowToRead({
  total,
  edges,
  onQuick,
  onStaff,
  onScan,
}: {
  total: number;
  edges: number;
  onQuick: () => void;
  onStaff: () => void;
  onScan: () => void;
}) {
  const tries = TRIES * EDGE_SECONDS;
  return (
    <View style={styles.done} testID="how-to-read">
      <Words bold size="large">
        How will you read this floor?
      </Words>
      <Words size="small">
        {`A straightedge laid both ways, ${counted(edges, 'edge')}, then ${TRIES} where it would best break the verdict: about ${minutes(edges * EDGE_SECONDS + tries)} min. It tells whether the floor is flat, not whether it is level.`}
      </Words>
      <Button kind="main" label="Quick pass" hint="With the straightedge" onPress={onQuick} />
      <Words size="small">
        {`A staff on ${counted(total, 'station')} from one benchmark, then ${TRIES} edges that try to break the verdict: about ${minutes(total * STAFF_SECONDS + tries)} min. It tells how level the floor is as well.`}
      </Words>
      <Button label="Staff and laser" onPress={onStaff} />
      <Words size="small">A scan from a phone shows all of it at once; a few staffs tie it down.</Words>
      <Button label="Scan" hint="Bring one in" onPress={onScan} />
      <Words size="small" quiet>
        They may be mixed. The verdict says when enough is known, and if not, what is missing and where.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({ done: { padding: SPACE.edge, gap: SPACE.part } });
