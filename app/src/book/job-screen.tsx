import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { rectangleWalls, WALL } from '@maquette/core/room';
import { newId } from '../data/ids.ts';
import { deviceZone } from '@maquette/words';
import { filled, only } from '@maquette/core/fields';
import { bodyOf, KINDS } from '@maquette/facts';
import { useUnits } from '../data/device-settings.ts';
import type { Shown } from '../data/lay.ts';
import { useBook, type ShownBook } from '../data/use-facts.ts';
import { placed } from '../data/placed.ts';
import { write, type Change } from '../data/write.ts';
import { FactField } from '../form/fact-field.tsx';
import { useDraftForm, useFactForm } from '../form/fact-form.ts';
import { Header } from '../room/header.tsx';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { fetched } from '../ui/fetched.tsx';
import { Fold } from '../ui/fold.tsx';
import { Words } from '../ui/text.tsx';
import { UndoBar } from '../room/undo-bar.tsx';
import { Tables } from './tables.tsx';
import { Arrange } from './arrange.tsx';
import { RoomRow, rowScale } from './room-row.tsx';
import { saveJob } from './job-files.ts';
import { newRoomBody } from './new-room-body.ts';
import { nextRank } from './next-rank.ts';
import { useVerdicts } from '../worker/use-verdicts.ts';

/** The pages of the job come with the first of them: the rooms stand without. */
const JobPages = fetched(() => import('../job/screens.ts').then((part) => part.JobPagesRow));

const DrawnRooms = fetched(() => import('./drawn-rooms.tsx').then((part) => part.DrawnRooms));

type Job = ShownBook['jobs'][number];

const roomChange = (room: Shown<'rooms'>): Change => ({ kind: 'rooms', id: room.id, body: bodyOf(room) });

/** One job: its rooms, in their order, and what can be done with the whole of it. */
export function JobScreen({ jobId }: { jobId: string }) {
  const palette = usePalette();
  const router = useRouter();
  const book = useBook();
  const job = book.jobs.find((one) => one.id === jobId);
  const units = useUnits()[0];
  const own = useMemo(() => ({ ...book, rooms: book.rooms.filter((room) => room.jobId === jobId) }), [book, jobId]);
  const { rooms } = own;
  const lines = useVerdicts(own);
  const scale = useMemo(() => rowScale(rooms), [rooms]);
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header
        title={job?.name ?? (book.loading ? 'Opening …' : 'No such job')}
        backLabel="Site book"
        onBack={() => router.replace('/')}
      />
      <ScrollView role="main" style={styles.grow} contentContainerStyle={styles.list}>
        <View>
          {rooms.map((room) => (
            <RoomRow key={room.id} room={room} line={lines.get(room.id) ?? null} zone={job?.zone ?? ''} scale={scale} />
          ))}
        </View>
        {job ? (
          <NewRoom job={job} rooms={rooms} units={units} onMade={(id) => router.push(`/rooms/${id}/room`)} />
        ) : null}
        {job && rooms.length > 0 ? (
          <View style={styles.pages}>
            <Button
              label="Doors and heights"
              hint="The door ledger and the storey"
              onPress={() => router.push(`/jobs/${jobId}/heights`)}
            />
          </View>
        ) : null}
        {job && rooms.length > 0 ? (
          <Fold title="Tables for a spreadsheet">
            <Tables name={job.name} rooms={rooms} />
          </Fold>
        ) : null}
        <Arrange
          title="Move or remove rooms"
          items={rooms}
          onPlace={(id, to) => {
            const room = rooms.find((one) => one.id === id)!;
            void write(`${room.name} moved`, placed(rooms, id, to).map(roomChange));
          }}
          onRemove={(id) => {
            const room = rooms.find((one) => one.id === id)!;
            if (!globalThis.confirm(`Remove ${room.name} with all that was read in it? Undo brings it back.`)) return;
            void write(`${room.name} removed`, [{ ...roomChange(room), deleted: true }]);
          }}
        />
        {job ? <WholeJob job={job} book={book} onGone={() => router.replace('/')} /> : null}
      </ScrollView>
      <UndoBar />
      {job && rooms.length > 0 ? <JobPages jobId={jobId} /> : null}
    </View>
  );
}

const NEW_ROOM = {
  name: filled(KINDS.rooms.fields.name),
  widthMm: WALL.lengthMm,
  depthMm: WALL.lengthMm,
};
const UNNAMED = { name: '' };

function NewRoom({
  job,
  rooms,
  units,
  onMade,
}: {
  job: Job;
  rooms: ShownBook['rooms'];
  units: 'metric' | 'imperial';
  onMade: (id: string) => void;
}) {
  const form = useDraftForm(NEW_ROOM, UNNAMED, units);
  const [fileOpen, setFileOpen] = useState(false);
  const make = () =>
    form.record(async ({ name, widthMm, depthMm }) => {
      const id = newId();
      const result = await write(`${name} added`, [
        {
          kind: 'rooms',
          id,
          body: newRoomBody({
            jobId: job.id,
            name,
            rank: nextRank(rooms, Date.now()),
            walls: rectangleWalls(widthMm, depthMm),
            units,
          }),
        },
      ]);
      if (result.ok) onMade(id);
      return result;
    });
  return (
    <Fold title="Add a room" open={rooms.length === 0}>
      <FactField form={form} name="name" label="What the room is called" />
      <View style={styles.pair}>
        <FactField form={form} name="widthMm" label="Along the door wall" />
        <FactField form={form} name="depthMm" label="Across it" />
      </View>
      <Words size="small" quiet>
        Two lengths make a rectangle. Alcoves, an L, other angles and the door’s place come next, on the sheet.
      </Words>
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <Button kind={fileOpen ? 'plain' : 'main'} label="Add the room" onPress={() => void make()} />
      <DrawnRooms jobId={job.id} rooms={rooms} units={units} onOpen={setFileOpen} />
    </Fold>
  );
}

const JOB_FIELDS = { ...only(KINDS.jobs.fields, 'about', 'currency', 'zone'), name: filled(KINDS.jobs.fields.name) };

function WholeJob({ job, book, onGone }: { job: Job; book: ShownBook; onGone: () => void }) {
  const [said, setSaid] = useState<string | null>(null);
  const form = useFactForm(JOB_FIELDS, job, 'metric', (part) =>
    write(
      part.zone !== undefined ? 'Time zone of the site' : part.currency !== undefined ? 'Currency' : 'Job renamed',
      [{ kind: 'jobs', id: job.id, body: { ...bodyOf(job), ...part } }],
    ),
  );
  return (
    <Fold title="The whole job">
      <FactField form={form} name="name" label="Name" />
      <FactField form={form} name="about" label="In a few words" />
      <FactField form={form} name="currency" label="Money in" />
      <FactField
        form={form}
        name="zone"
        label="Time zone of the site"
        hint={`Times are told by its clock. Empty takes this device’s: ${deviceZone()}.`}
      />
      <ButtonRow>
        <Button label="Save the job (JSON)" onPress={() => void saveJob(job.id, job.name).then(setSaid)} />
        <Button
          label="Remove the job"
          onPress={() => {
            if (!globalThis.confirm(`Remove ${job.name} and its rooms from the book? Undo brings it back.`)) return;
            void write(`${job.name} removed`, [{ kind: 'jobs', id: job.id, body: bodyOf(job), deleted: true }]);
            onGone();
          }}
        />
      </ButtonRow>
      {said ? <Words role="alert">{said}</Words> : null}
    </Fold>
  );
}

const styles = StyleSheet.create({
  pages: { paddingVertical: SPACE.gap },
  screen: { flex: 1 },
  grow: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.edge, width: '100%', maxWidth: 1000, alignSelf: 'center' },
  pair: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.part },
});
