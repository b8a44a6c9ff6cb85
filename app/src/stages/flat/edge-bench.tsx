import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { within } from '@maquette/core/fields';
import { EDGE_RANGES, edgeLengthMm, worstUnder, type EdgeWalk } from '@maquette/core/flat';
import { planOf, tapeFrom, type RoomFacts } from '@maquette/core/room';
import { formatGap, formatReach, unitLabel } from '@maquette/core/units';
import { Keypad } from '../../bench/keypad.tsx';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { TapePlace } from '../../room/tape-place.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { OneField } from '../../form/one-field.tsx';
import { Words } from '../../ui/text.tsx';
import type { Edges } from './use-edges.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

const EDGE_LENGTH = within(EDGE_RANGES.lengthMm, 'mm');

/** What is asked of a placement: how large the gap is, or how far it rocks; then where. */
type Asked = { what: 'gap' } | { what: 'rocks' } | { what: 'where'; gapMm: number; rocks: boolean };

/** The bench with the straightedge: lay it, key the largest gap, say where; or that it rocks, or that nothing shows. */
export function EdgeBench({ shown, room, edges }: { shown: ShownRoom; room: RoomFacts; edges: Edges }) {
  const say = useSay();
  const [asked, setAsked] = useState<Asked>({ what: 'gap' });
  const { units } = room;
  const { current } = edges;
  if (!current)
    return (
      <View style={styles.box}>
        <Words bold size="large">
          {edges.breaking ? 'Working out where it would best break' : 'Every proposed place is laid'}
        </Words>
        <Words>Touch the sheet twice to lay the edge anywhere else, or see the verdict.</Words>
        <EdgesFold shown={shown} room={room} edges={edges} />
      </View>
    );
  const length = edgeLengthMm(current);
  const save = (read: Parameters<Edges['save']>[0]) => {
    edges.save(read);
    setAsked({ what: 'gap' });
  };
  const place = (xMm: number, yMm: number) =>
    tapeFrom(room, planOf(room), { xMm, yMm })
      .map((d) => `${formatReach(Math.round(d.distanceMm / 10) * 10, units)} from ${say(d.name)}`)
      .join(', ');
  const lines = [
    `From ${place(current.fromXMm, current.fromYMm)}`,
    edges.started
      ? 'Touch where it points to.'
      : `to ${place(current.toXMm, current.toYMm)} · ${edges.breaking ? 'it would best break the verdict' : `${edges.left} to lay`}`,
  ];
  const ask = asked.what;
  return (
    <>
      <Keypad
        asked={`${current.key}-${ask}-${edges.laid.length}`}
        units={units}
        title={
          ask === 'gap'
            ? `Largest gap under ${formatReach(length, units)}`
            : ask === 'rocks'
              ? 'Rocks: gap under each end'
              : asked.what === 'where' && asked.rocks
                ? 'Where does it rock?'
                : 'Where is that gap?'
        }
        lines={ask === 'where' ? ['Along the edge, from its first end.'] : lines}
        lastMm={ask === 'where' ? Math.round(length / 2) : null}
        lastWords="the middle"
        range={ask === 'where' ? { min: 0, max: Math.round(length) } : EDGE_RANGES.gapMm}
        take="Take"
        onTake={(mm) => {
          if (asked.what !== 'where') return setAsked({ what: 'where', gapMm: mm, rocks: asked.what === 'rocks' });
          return save(
            asked.rocks
              ? { contactsMm: [mm], gaps: [], rocksMm: asked.gapMm }
              : { contactsMm: [0, length], gaps: [{ atMm: mm, gapMm: asked.gapMm }], rocksMm: null },
          );
        }}
        actions={
          asked.what === 'where'
            ? [
                {
                  label: 'Middle',
                  onPress: () =>
                    save(
                      asked.rocks
                        ? { contactsMm: [length / 2], gaps: [], rocksMm: asked.gapMm }
                        : { contactsMm: [0, length], gaps: [{ atMm: length / 2, gapMm: asked.gapMm }], rocksMm: null },
                    ),
                },
                { label: 'Back', onPress: () => setAsked({ what: 'gap' }) },
              ]
            : [
                {
                  label: 'No gap',
                  onPress: () =>
                    save({
                      contactsMm: [0, length],
                      gaps: [0.25, 0.5, 0.75].map((share) => ({ atMm: length * share, gapMm: 0 })),
                      rocksMm: null,
                    }),
                },
                ask === 'gap'
                  ? { label: 'Rocks', onPress: () => setAsked({ what: 'rocks' }) }
                  : { label: 'Back', onPress: () => setAsked({ what: 'gap' }) },
              ]
        }
      />
      <View style={styles.box}>
        <Button label="Skip this place" onPress={edges.skip} />
        <EdgesFold shown={shown} room={room} edges={edges} />
      </View>
    </>
  );
}

/** The tool in hand, and what has been laid. */
function EdgesFold({ shown, room, edges }: { shown: ShownRoom; room: RoomFacts; edges: Edges }) {
  const { units } = room;
  const newest = [...edges.laid].sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1));
  const remove = (walk: EdgeWalk) => {
    const stored = shown.edgeWalks.find((w) => w.id === walk.id);
    if (stored)
      void write('Edge taken out', [
        { kind: 'edgeWalks', id: stored.id, roomId: room.id, body: bodyOf(stored), deleted: true },
      ]);
  };
  return (
    <>
      <Fold title="What is laid" aside={formatReach(edges.edgeMm, units)}>
        <Choice
          label="Edge"
          inline
          value={edges.tool}
          options={[
            { value: 'straightedge', label: 'Straightedge' },
            { value: 'plank', label: 'Spare plank' },
          ]}
          onChange={edges.setTool}
        />
        {edges.tool === 'plank' ? (
          <Words size="small">A plank may be bowed: it is the poorer witness, and no try at a verdict.</Words>
        ) : null}
        <OneField
          of={EDGE_LENGTH}
          value={edges.edgeMm}
          units={units}
          label="Its length"
          onTaken={edges.setEdgeMm}
          hint="The length of the rule judges a place by itself; shorter ones fill in the map."
        />
        <Words size="small">
          A quick pass lays it both ways, every second line first: it sees what lies between stations, but not how level
          the floor is. Then three edges try to break what it says.
        </Words>
        <Words size="small">Touch the sheet twice to lay it anywhere: where it starts, and where it points to.</Words>
        <TapePlace room={room} what={edges.started ? 'where it points to' : 'its start'} onPlace={edges.point} />
      </Fold>
      <Fold title="Edges laid" aside={`${newest.length}`}>
        {newest.map((walk) => {
          const worst = worstUnder(walk);
          return (
            <View key={walk.id} style={styles.line}>
              <Words figure style={styles.grow}>
                {`${formatReach(edgeLengthMm(walk), units)}${walk.tool === 'plank' ? ' plank' : ''}: ${worst.rocks ? 'rocks by' : 'gap'} ${formatGap(worst.gapMm, units)} ${unitLabel(units)}`}
              </Words>
              <Button kind="quiet" label="Take out" onPress={() => remove(walk)} style={styles.key} />
            </View>
          );
        })}
      </Fold>
    </>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.gap },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  grow: { flex: 1 },
  key: { flexGrow: 0 },
});
