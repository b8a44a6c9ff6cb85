import { StyleSheet, View } from 'react-native';
import { fixtureName, openingName, wallName, type Fixture, type Opening, type RoomFacts } from '@maquette/core/room';
import type { FixtureJudged } from '@maquette/core/heights';
import { formatReach, gapWords } from '@maquette/core/units';
import { HEIGHT_DONE } from '@maquette/core/heights';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Mark } from '../../ui/mark.tsx';
import { capital } from '../../ui/capital.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { GuardsFold } from './guards-fold.tsx';
import { placeKey, type Heights } from './height-asks.ts';
import { SkirtingFold } from './skirting-fold.tsx';
import { StairCard } from './stair-card.tsx';
import { toggleTick } from '../toggle-tick.ts';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  heights: Heights;
  onRead: () => void;
  /** Goes to reading a level that nothing waits for. */
  onReadAt: (key: string) => void;
}

/** Everything but doorways: flanges, bays and ways out, stairs, skirting, and where the covering is parted. */
export function RestTab({ shown, room, heights, onRead, onReadAt }: Props) {
  const stairs = room.openings.filter(({ kind }) => kind === 'stair');
  return (
    <View style={styles.box} testID="rest">
      {heights.judged.fixtures.map((one) => (
        <FixtureLine key={one.fixtureId} shown={shown} room={room} heights={heights} one={one} onRead={onRead} />
      ))}
      {room.fixtures
        .filter(({ kind }) => kind === 'cabinet')
        .map((cabinet) => (
          <CabinetLine key={cabinet.id} room={room} heights={heights} cabinet={cabinet} onReadAt={onReadAt} />
        ))}
      {room.fixtures.some(({ kind }) => kind === 'register') ? (
        <Words>
          Registers come up by what is laid: pull the box up to the new floor, and lay no plank over a vent.
        </Words>
      ) : null}
      {stairs.map((opening) => (
        <StairCard
          key={opening.id}
          shown={shown}
          room={room}
          opening={opening}
          stair={heights.stairs.find(({ openingId }) => openingId === opening.id) ?? null}
        />
      ))}
      {heights.judged.fixtures.length === 0 && stairs.length === 0 ? (
        <Words>No flange, no appliance and no stair is drawn in this room.</Words>
      ) : null}
      <GuardsFold room={room} heights={heights} onReadAt={onReadAt} />
      <SkirtingFold shown={shown} room={room} heights={heights} onReadAt={onReadAt} />
      <BreaksFold room={room} heights={heights} />
    </View>
  );
}

/** A cabinet that stays: its worktop over the new floor, and how much is cut off its plinth. */
function CabinetLine({
  room,
  heights,
  cabinet,
  onReadAt,
}: Pick<Props, 'room' | 'heights' | 'onReadAt'> & { cabinet: Fixture }) {
  const say = useSay();
  const { units } = room;
  const top = heights.worktops.find(({ fixtureId }) => fixtureId === cabinet.id);
  const place = heights.places.find(({ of, aboutId }) => of === 'worktop' && aboutId === cabinet.id);
  return (
    <View style={styles.part} testID="worktop">
      <Words bold>{say(fixtureName(cabinet))}</Words>
      <Words>
        {top
          ? `Its worktop stands ${gapWords(top.todayMm, units)} over the floor that lies there today, and ${gapWords(top.afterMm, units)} over the new one.`
          : `Its worktop comes to stand ${gapWords(heights.addsMm.new, units)} lower over the new floor.`}
        {` The plinth is cut by ${gapWords(heights.addsMm.new, units)}. Hatches, valves and low vents behind it stay within reach.`}
      </Words>
      {place ? (
        <ButtonRow>
          <Button
            label={top ? 'Read the worktop again' : 'Read the worktop'}
            onPress={() => onReadAt(placeKey(place))}
          />
        </ButtonRow>
      ) : null}
    </View>
  );
}

function FixtureLine({ shown, room, heights, one, onRead }: Omit<Props, 'onReadAt'> & { one: FixtureJudged }) {
  const say = useSay();
  const { units } = room;
  const fixture = room.fixtures.find(({ id }) => id === one.fixtureId);
  if (!fixture) return null;
  const way = heights.waysOut.find(({ fixtureId }) => fixtureId === one.fixtureId)?.way ?? null;
  const key = HEIGHT_DONE + one.fixtureId;
  const done = shown.ticks.some((tick) => tick.key === key);
  const open = one.toRead.length > 0;
  const { flange, bay } = one;
  const stop = flange?.what === 'plumber' || (bay !== null && bay.spareMm < 0);
  const exit = way?.found ? room.openings.find(({ id }) => id === way.exitId) : null;
  return (
    <View style={styles.part}>
      <View style={styles.line}>
        <Mark
          verdict={open ? 'measure' : stop ? 'stop' : flange?.what === 'rings' && !done ? 'work' : 'lay'}
          width={48}
        />
        <Words bold size="large" style={styles.grow}>
          {say(fixtureName(fixture))}
        </Words>
      </View>
      {flange ? (
        <Words>
          {`Its top comes to stand ${flange.overMm < 0 ? `${gapWords(-flange.overMm, units)} under` : `${gapWords(flange.overMm, units)} over`} the new floor about it. From level to ${gapWords(6, units)} over is right.`}
        </Words>
      ) : null}
      {flange?.what === 'rings' ? (
        <>
          <Words
            bold
          >{`Set ${flange.ringsMm.map((mm) => gapWords(mm, units)).join(' and ')} under it: then ${gapWords(flange.thenOverMm, units)} over.`}</Words>
          <ButtonRow>
            <Button
              label={done ? 'Not set after all' : 'The rings are set'}
              selected={done}
              onPress={() => void toggleTick(shown, key, 'Rings')}
            />
          </ButtonRow>
        </>
      ) : null}
      {flange?.what === 'plumber' ? <Words bold>That is for a plumber to decide.</Words> : null}
      {bay ? (
        <Words bold={bay.spareMm < 0}>
          {`${gapWords(bay.headroomMm, units)} are left over the new floor, ${gapWords(bay.wantedMm, units)} wanted: ${bay.spareMm < 0 ? `${gapWords(-bay.spareMm, units)} too little. Take it out before the floor is laid, lift the worktop, or lower the build-up. A bay left without floor does not help: the machine has to get over its edge` : `${gapWords(bay.spareMm, units)} to spare`}.`}
        </Words>
      ) : null}
      {way ? (
        <Words>
          {way.found
            ? `Once the floor lies it leaves by the ${exit ? say(openingName(room, exit)) : 'opening'}, ${formatReach(pathMm(way.path), units)} to go${way.turns > 0 ? `, turned ${way.turns === 1 ? 'once' : `${way.turns} times`}` : ''}.`
            : way.why === 'no-exit'
              ? `It passes through no opening: the widest leaves ${formatReach(way.widestMm, units)}. Lift a leaf off its hinges, or take it out first.`
              : 'What stands in the room leaves it no way out. Take that out first.'}
        </Words>
      ) : null}
      {fixture.kind === 'appliance' ? (
        <Words size="small" quiet>
          Gas and fixed wiring are for the trade. A cooker’s anti-tip bracket is set anew on the new floor.
        </Words>
      ) : null}
      {open ? <Button label="Read what is missing" onPress={onRead} /> : null}
    </View>
  );
}

const pathMm = (path: readonly { xMm: number; yMm: number }[]) =>
  path.reduce(
    (sum, at, k) => (k === 0 ? 0 : sum + Math.hypot(at.xMm - path[k - 1]!.xMm, at.yMm - path[k - 1]!.yMm)),
    0,
  );

/** Where one covering in several rooms is parted, and why. */
function BreaksFold({ room, heights }: Pick<Props, 'room' | 'heights'>) {
  const say = useSay();
  const { run, joined } = heights;
  const own = room.openings.filter(({ sharedId }) => sharedId !== null && run.joinedIds.includes(sharedId));
  const parted = (opening: Opening) => run.openingIds.includes(opening.sharedId!);
  const long = run.longRoomIds.includes(room.id);
  return (
    <Fold title="Breaks in the covering" aside={`${own.filter(parted).length} here`}>
      {long ? (
        <Words
          bold
        >{`This room by itself is longer than one run of the covering may be: part it along a line across ${wallName(room.walls, 0)}.`}</Words>
      ) : null}
      {own.map((opening) => (
        <Words key={opening.id}>
          {`${capital(say(openingName(room, opening)))}: ${parted(opening) ? 'parted here' : 'the floor may run through'}.`}
        </Words>
      ))}
      {joined.length === 0 || own.length === 0 ? (
        <Words>No opening leads from here into a room of this job with the same covering.</Words>
      ) : null}
      <Words size="small" quiet>
        Rooms that hang together are parted at the fewest openings that keep each run within the card; always where
        heating or the sort of base differ.
      </Words>
    </Fold>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.edge },
  part: { gap: SPACE.gap },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
});
