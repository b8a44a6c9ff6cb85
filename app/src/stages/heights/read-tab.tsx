import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ROD_MM } from '@maquette/core/flat';
import { HEIGHT_RANGES, LEAF_KINDS, type LeafKind, type ReadBy } from '@maquette/core/heights';
import type { RoomFacts } from '@maquette/core/room';
import { formatRod, gapWords } from '@maquette/core/units';
import { Keypad } from '../../bench/keypad.tsx';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { aboutWords, alongWords, askWords, type HeightAsk } from './height-asks.ts';
import { LEAF_WORDS, newLeaf } from './leaf-words.ts';

/** A reading this far from the last by the same set-up is asked back, mm. */
const DOUBT_MM = 80;

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  ask: HeightAsk;
  left: number;
  onSkip: () => void;
  /** A place to go on with: what is seen is what is read. */
  onTaken: () => void;
}

/** What to read next about heights: one figure at a time, by staff, by tape or by eye. */
export function ReadTab({ shown, room, ask, left, onSkip, onTaken }: Props) {
  const say = useSay();
  const setups = useMemo(() => [...shown.setups].sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1)), [shown.setups]);
  const setup = setups.at(-1) ?? null;
  const [by, setBy] = useState<ReadBy>(setup ? 'staff' : 'tape');
  const [isBelow, setBelow] = useState(false);
  const [opening, setOpening] = useState(false);
  const { units } = room;

  if (ask.kind === 'leaf') return <LeafKinds room={room} openingId={ask.openingId} onTaken={onTaken} />;
  if (ask.kind === 'appliance')
    return (
      <Keypad
        asked={ask.key}
        units={units}
        title={`Height of the ${aboutWords(room, ask.fixtureId, say)}`}
        lines={['With its feet wound in, as it has to pass under.', `${left} left to read.`]}
        lastMm={null}
        range={HEIGHT_RANGES.applianceMm}
        take="Take"
        onTake={async (heightMm) => {
          const written = await write('Height of an appliance', [
            {
              kind: 'appliances',
              id: newId(),
              roomId: room.id,
              body: { fixtureId: ask.fixtureId, heightMm, airMm: 3, fixed: 'plug', note: '' },
            },
          ]);
          if (written.ok) onTaken();
          return written;
        }}
        actions={[{ label: 'Skip', onPress: onSkip }]}
      />
    );

  if (opening)
    return (
      <Keypad
        asked="heights-setup"
        units={units}
        title="Read the benchmark"
        lines={[
          'Stand the staff on the mark this room was read from.',
          'The instrument may stand anywhere that sees both.',
        ]}
        lastMm={null}
        range={ROD_MM}
        take="Take"
        onTake={async (openRodMm) => {
          const name = String.fromCharCode(65 + (setups.length % 26));
          const written = await write(`Set-up ${name}`, [
            {
              kind: 'setups',
              id: newId(),
              roomId: room.id,
              body: { name, openRodMm, closeRodMm: null, startedAt: nowUtc() },
            },
          ]);
          if (written.ok) {
            setOpening(false);
            setBy('staff');
          }
          return written;
        }}
        actions={[{ label: 'Back', onPress: () => setOpening(false) }]}
      />
    );

  const { place } = ask;
  const staff = by === 'staff' && setup !== null;
  const last = staff ? (shown.levels.findLast((one) => one.setupId === setup.id)?.rodMm ?? setup.openRodMm) : null;
  const take = async (mm: number) => {
    const overMm = isBelow ? -mm : mm;
    const datumMm = place.bareMm === null ? null : Math.round((place.bareMm + place.lyingMm + overMm) * 100) / 100;
    const body = {
      of: place.of,
      aboutId: place.aboutId,
      alongMm: place.alongMm,
      readBy: staff ? ('staff' as const) : by === 'staff' ? ('tape' as const) : by,
      setupId: staff ? setup.id : null,
      rodMm: staff ? mm : null,
      overMm: staff ? null : overMm,
      lyingMm: staff ? null : place.lyingMm,
      datumMm: staff ? null : datumMm,
      takenAt: nowUtc(),
      note: '',
    };
    const written = await write(`${askWords(room, place, say)} read`, [
      { kind: 'levels', id: newId(), roomId: room.id, body },
    ]);
    if (written.ok) {
      setBelow(false);
      onTaken();
    }
    return written;
  };
  const where = alongWords(room, place);
  return (
    <View style={styles.box}>
      <Keypad
        asked={`${ask.key}/${by}/${isBelow}/${ask.again}`}
        units={units}
        title={`${askWords(room, place, say)}`}
        lines={[
          `${where}${ask.again ? ', once more: a limit is near' : ''} · ${left} left`,
          staff
            ? `Staff, set-up ${setup.name}${last === null ? '' : ` · last ${formatRod(last, units)}`}`
            : `${by === 'eye' ? 'By eye' : 'Tape'}, ${isBelow ? 'below' : 'above'} the floor that lies here now`,
        ]}
        lastMm={last}
        range={staff ? ROD_MM : { min: 0, max: isBelow ? -HEIGHT_RANGES.overMm.min : HEIGHT_RANGES.overMm.max }}
        {...(staff ? { doubtMm: DOUBT_MM * (place.of === 'underside' || place.of === 'leaf' ? 20 : 1) } : {})}
        take="Take"
        onTake={take}
        actions={[
          { label: 'Skip', onPress: onSkip },
          staff
            ? { label: 'By tape', onPress: () => setBy('tape') }
            : { label: isBelow ? 'Above' : 'Below', onPress: () => setBelow(!isBelow) },
        ]}
      />
      <View style={styles.more}>
        <Words size="small" quiet>
          {`By staff is known to ${gapWords(0.5, units)}, by tape to ${gapWords(1, units)}, by eye to ${gapWords(2, units)}; a tape also carries what the floor under it is off by.`}
        </Words>
        <ButtonRow>
          {(['staff', 'tape', 'eye'] as const).map((one) => (
            <Button
              key={one}
              label={one === 'staff' ? 'By staff' : one === 'tape' ? 'By tape' : 'By eye'}
              selected={staff ? one === 'staff' : one === by}
              off={one === 'staff' && !setup ? 'No set-up yet: stand the instrument first.' : null}
              onPress={() => setBy(one)}
            />
          ))}
          <Button label="Stand the instrument" onPress={() => setOpening(true)} />
        </ButtonRow>
      </View>
    </View>
  );
}

/** What leaf hangs there: asked before its levels mean anything. */
function LeafKinds({ room, openingId, onTaken }: { room: RoomFacts; openingId: string; onTaken: () => void }) {
  const say = useSay();
  const take = (kind: LeafKind) =>
    void write(`Leaf: ${LEAF_WORDS[kind]}`, [
      { kind: 'leaves', id: newId(), roomId: room.id, body: newLeaf(openingId, { kind }) },
    ]).then(({ ok }) => ok && onTaken());
  return (
    <View style={styles.ask}>
      <Words bold size="large">{`What leaf hangs in the ${aboutWords(room, openingId, say)}?`}</Words>
      <Words size="small">
        The entrance of a flat, a door to a stair, a garage or a plant room counts as a fire door until it is shown not
        to be one.
      </Words>
      <ButtonRow>
        {LEAF_KINDS.filter((kind) => kind !== 'unknown').map((kind) => (
          <Button key={kind} label={LEAF_WORDS[kind]} onPress={() => take(kind)} />
        ))}
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  more: { paddingHorizontal: SPACE.edge, gap: SPACE.gap },
  ask: { padding: SPACE.edge, gap: SPACE.part },
});
