import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { DrawnUnit, OfferedRooms } from '@maquette/core/formats/outlines';
import type { UnitSystem } from '@maquette/core/units';
import { pickFiles } from '../data/save-text.ts';
import { newId } from '../data/ids.ts';
import { write, type Change } from '../data/write.ts';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { counted } from '../ui/counted.ts';
import { ShownIn, useSay } from '../ui/shown-in.tsx';
import { Words } from '../ui/text.tsx';
import { useDesk } from '../worker/use-judged.ts';
import { DrawnSheet } from './drawn-sheet.tsx';
import { newRoomBody } from './new-room-body.ts';
import { nextRank } from './next-rank.ts';
import { OfferedRow } from './offered-row.tsx';

const ACCEPT = '.dxf,.json,.geojson,.csv,.txt,.tsv,application/geo+json,application/json,text/csv,text/plain';
const UNITS: readonly DrawnUnit[] = ['mm', 'cm', 'm', 'in', 'ft'];
/** Told at once, of as many problems as there are. */
const SHOWN = 8;

interface Props {
  jobId: string;
  rooms: readonly { name: string; rank: number }[];
  units: UnitSystem;
  /** Whether a file lies open to be taken or left: its key is then the one to press. */
  onOpen: (open: boolean) => void;
}

interface Read {
  file: File;
  offered: OfferedRooms;
  /** Which of the rooms are taken, and what each is called. */
  taken: boolean[];
  names: string[];
}

/** Rooms from a drawing or a table of walls: what stands in it is shown to scale, and what is ticked becomes rooms, as one step. */
export function DrawnRooms(props: Props) {
  return (
    <ShownIn units={props.units}>
      <FromFile {...props} />
    </ShownIn>
  );
}

const bare = (name: string) => name.replace(/\.[^.]*$/, '');

/** What each room is called: its name on the drawing, or the file's with a number. */
const namesOf = (file: File, { rooms }: OfferedRooms): string[] =>
  rooms.map(
    ({ name }, i) => name ?? (rooms.length === 1 ? bare(file.name) : `${bare(file.name)} ${i + 1}`).slice(0, 80),
  );

function FromFile({ jobId, rooms, units, onOpen }: Props) {
  const say = useSay();
  const palette = usePalette();
  const desk = useDesk();
  const [going, setGoing] = useState<{ name: string; share: number } | null>(null);
  const [read, setRead] = useState<Read | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const ask = (file: File, unit: DrawnUnit | null) => {
    setGoing({ name: file.name, share: 0 });
    setSaid(null);
    desk.ask(
      { kind: 'outlines', outlines: { file, unit, units } },
      (offered, reason) => {
        setGoing(null);
        if (!offered) return setSaid(`${file.name} was not taken. ${reason ?? 'It cannot be read'}.`);
        const names = namesOf(file, offered);
        const held = new Set(rooms.map(({ name }) => name));
        onOpen(true);
        setRead({ file, offered, names, taken: offered.rooms.map(({ ticked }, i) => ticked && !held.has(names[i]!)) });
      },
      'now',
      ({ share }) => setGoing({ name: file.name, share }),
    );
  };
  const choose = async () => {
    const [file] = await pickFiles(ACCEPT, false);
    if (file) ask(file, null);
  };
  const stop = () => {
    desk.stop();
    setGoing(null);
  };
  const close = () => {
    onOpen(false);
    setRead(null);
  };
  const take = async ({ file, offered, names, taken }: Read) => {
    const result = await write(`${file.name} brought in`, changesOf(jobId, rooms, units, offered, names, taken));
    if (result.ok) close();
    setSaid(
      result.ok
        ? `${counted(taken.filter(Boolean).length, 'room')} taken from ${file.name}. Undo takes them back. Doors come next, on each sheet.`
        : result.problems.map((p) => `${p.field} ${p.message}`).join('; '),
    );
  };
  return (
    <View style={styles.box}>
      <ButtonRow>
        <Button
          label="From a drawing or table"
          hint="DXF, GeoJSON, or a table of walls or corners"
          onPress={() => void choose()}
        />
      </ButtonRow>
      {going ? (
        <View role="status" style={styles.box}>
          <Words figure>{`Reading ${going.name}, ${Math.round(going.share * 100)} % …`}</Words>
          <ButtonRow>
            <Button label="Stop" hint="reading the file" onPress={stop} />
          </ButtonRow>
        </View>
      ) : null}
      {read ? (
        <View style={[styles.found, { borderColor: palette.chalk }]} testID="drawn-rooms">
          <Words bold>
            {read.offered.missing.length > 0
              ? `${read.file.name} cannot be read: no ${read.offered.missing.map(say).join(', no ')}`
              : `${read.file.name}: ${counted(read.offered.rooms.length, 'outline')} found`}
          </Words>
          {read.offered.drawn ? (
            <>
              <Choice
                label={
                  read.offered.unitNamed
                    ? 'The drawing names its unit. Choose another if the sizes are wrong.'
                    : 'The drawing names no unit. Choose the one that makes the sizes right.'
                }
                inline
                value={read.offered.unit}
                options={UNITS.map((value) => ({ value, label: value }))}
                onChange={(unit) => ask(read.file, unit)}
              />
              <DrawnSheet rooms={read.offered.rooms} taken={read.taken} names={read.names} units={units} />
            </>
          ) : null}
          {read.offered.rooms.map((room, i) => (
            <OfferedRow
              key={i}
              number={i + 1}
              room={room}
              name={read.names[i]!}
              held={rooms.some(({ name }) => name === read.names[i])}
              taken={read.taken[i]!}
              units={units}
              onTurn={() => setRead({ ...read, taken: read.taken.map((one, k) => (k === i ? !one : one)) })}
            />
          ))}
          {read.offered.remarks.map((remark, i) => (
            <Words key={i} size="small" quiet>
              {say(remark)}
            </Words>
          ))}
          {read.offered.problems.slice(0, SHOWN).map(({ line, reason }, i) => (
            <Words key={i} size="small" color={palette.verdict.work}>
              {line > 0 ? `Line ${line} is not taken: ${say(reason)}.` : `${say(reason)}.`}
            </Words>
          ))}
          {read.offered.problems.length > SHOWN ? (
            <Words size="small">{`And ${counted(read.offered.problems.length - SHOWN, 'more is', 'more are')} not taken.`}</Words>
          ) : null}
          <ButtonRow>
            <Button
              kind="main"
              label={`Take ${counted(read.taken.filter(Boolean).length, 'room')}`}
              off={read.taken.some(Boolean) ? null : 'No room is ticked.'}
              onPress={() => void take(read)}
            />
            <Button label="Leave the file" onPress={close} />
          </ButtonRow>
        </View>
      ) : null}
      {said ? <Words role="status">{said}</Words> : null}
    </View>
  );
}

/** Facts of the rooms that are taken, in the order of the file; several of one drawing keep their places on the storey. */
function changesOf(
  jobId: string,
  held: Props['rooms'],
  units: UnitSystem,
  offered: OfferedRooms,
  names: readonly string[],
  taken: readonly boolean[],
): Change[] {
  const chosen = offered.rooms.flatMap((room, i) => (taken[i] ? [{ room, name: names[i]! }] : []));
  const ranked = [...held];
  return chosen.flatMap(({ room, name }): Change[] => {
    const rank = nextRank(ranked, Date.now());
    ranked.push({ name, rank });
    const id = newId();
    const { walls, start, at } = room;
    return [
      { kind: 'rooms', id, body: newRoomBody({ jobId, name, rank, walls, start, units }) },
      ...(at && chosen.length > 1
        ? [
            {
              kind: 'poses' as const,
              id: newId(),
              roomId: id,
              body: { xMm: Math.round(at.xMm), yMm: Math.round(at.yMm), turnDeg: 0, own: true },
            },
          ]
        : []),
    ];
  });
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  found: { borderWidth: 1, padding: SPACE.part, gap: SPACE.gap },
});
