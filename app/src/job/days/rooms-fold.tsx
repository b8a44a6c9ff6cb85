import { StyleSheet, View } from 'react-native';
import { bodyOf, KINDS, type BodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';

type Goes = BodyOf<'furnishings'>['goes'];

/** What stands in each room and where it goes meanwhile, and how each is come into. */
export function RoomsFold({ jobId, book, rooms }: { jobId: string; book: ShownBook; rooms: ShownBook['rooms'] }) {
  const palette = usePalette();
  return (
    <Fold title="Furniture and ways in">
      <Words size="small" quiet>
        A room in which furniture stands is not worked in meanwhile. A room without a way of its own is come into
        through the rooms it is joined to: while one of those is shut, nobody gets in.
      </Words>
      {rooms.map((room) => (
        <View key={room.id} style={[styles.room, { borderColor: palette.rule }]}>
          <Words bold>{room.name}</Words>
          <Furniture jobId={jobId} book={book} room={room} rooms={rooms} />
          <OwnWay jobId={jobId} book={book} room={room} rooms={rooms} />
        </View>
      ))}
    </Fold>
  );
}

interface OfRoom {
  jobId: string;
  book: ShownBook;
  room: ShownBook['rooms'][number];
  rooms: ShownBook['rooms'];
}

const HOURS = KINDS.furnishings.fields.hours;
const ELSEWHERE = 'elsewhere';
const NONE = 'none';

function Furniture({ jobId, book, room, rooms }: OfRoom) {
  const held = book.furnishings.findLast((one) => one.jobId === jobId && one.ofRoomId === room.id);
  const body: BodyOf<'furnishings'> = held
    ? bodyOf(held)
    : { jobId, ofRoomId: room.id, goes: 'none', toRoomId: null, hours: 1, note: '' };
  const put = (words: string, part: Partial<BodyOf<'furnishings'>>) =>
    write(words, [{ kind: 'furnishings', id: held?.id ?? newId(), body: { ...body, ...part } }]);
  const value = body.goes === 'room' ? (body.toRoomId ?? ELSEWHERE) : body.goes;
  const options = [
    { value: NONE, label: 'No furniture' },
    { value: ELSEWHERE, label: 'Out of the house' },
    ...rooms.filter(({ id }) => id !== room.id).map(({ id, name }) => ({ value: id, label: `Into: ${name}` })),
  ];
  const choose = (to: string) => {
    const goes: Goes = to === NONE || to === ELSEWHERE ? to : 'room';
    void put(`${room.name}: furniture`, { goes, toRoomId: goes === 'room' ? to : null });
  };
  return (
    <>
      <Choice label={`Furniture of ${room.name}`} value={value} options={options} onChange={choose} inline />
      {body.goes === 'none' ? null : (
        <OneField
          of={HOURS}
          value={body.hours}
          units="metric"
          label="Hours to clear it, all people together"
          onTaken={(hours) => put(`${room.name}: hours to clear it`, { hours })}
        />
      )}
    </>
  );
}

function OwnWay({ jobId, book, room, rooms }: OfRoom) {
  const shared = room.openings.filter(
    ({ sharedId }) =>
      sharedId &&
      rooms.some((other) => other.id !== room.id && other.openings.some((one) => one.sharedId === sharedId)),
  ).length;
  if (shared === 0) return null;
  const held = book.waysIn.findLast((one) => one.jobId === jobId && one.ofRoomId === room.id);
  const isOwn = held ? held.isOwn : room.openings.length > shared;
  return (
    <Choice
      label={`Way into ${room.name}`}
      value={isOwn ? 'own' : 'through'}
      inline
      options={[
        { value: 'own', label: 'A door of its own' },
        { value: 'through', label: 'Through other rooms' },
      ]}
      onChange={(next) =>
        void write(`${room.name}: way in`, [
          {
            kind: 'waysIn',
            id: held?.id ?? newId(),
            body: { jobId, ofRoomId: room.id, isOwn: next === 'own', note: '' },
          },
        ])
      }
    />
  );
}

const styles = StyleSheet.create({ room: { borderBottomWidth: 1, paddingVertical: SPACE.gap, gap: SPACE.gap } });
