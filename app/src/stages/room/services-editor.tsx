import { useState } from 'react';
import { View } from 'react-native';
import { figure, only } from '@maquette/core/fields';
import {
  alongFirstWall,
  FOUND_WORDS,
  onSheet,
  planOf,
  SERVICE,
  SERVICE_FOUND,
  SERVICE_KINDS,
  SERVICE_WORDS,
  serviceSideMm,
  type PointMm,
  type RoomFacts,
  type Service,
} from '@maquette/core/room';
import { formatGap, formatReach, unitLabel } from '@maquette/core/units';
import { newId } from '../../data/ids.ts';
import { fileFormats } from '../../files/formats.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import { useTextFile } from '../../files/use-text-file.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { refused, useFactForm } from '../../form/fact-form.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { capital } from '../../ui/capital.ts';
import { Choice } from '../../ui/choice.tsx';
import { counted } from '../../ui/counted.ts';
import { FileFindings } from '../../ui/file-findings.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { SPACE } from '../../theme/theme.tsx';
import type { RoomChange } from './room-change.ts';

/** A line that is being drawn: the points touched on the sheet so far. */
export interface Drawing {
  points: readonly PointMm[];
  onPoints: (points: readonly PointMm[] | null) => void;
}

interface Props {
  room: RoomFacts;
  change: RoomChange;
  drawing: Drawing;
  /** Whether the sheet is being drawn on. */
  on: boolean;
}

type Found =
  Awaited<ReturnType<typeof fileFormats>> extends { readServiceFile: (...asked: never[]) => infer F } ? F : never;

/** Pipes, drains, cables and tendons: drawn on the sheet, taped from the first corner, or from a file. All work is held against them. */
export function ServicesEditor({ room, change, drawing, on }: Props) {
  const say = useSay();
  const services = room.services ?? [];
  const plan = planOf(room);
  const put = (next: readonly Service[], words: string) => change(words, { services: [...next] });
  const add = (points: readonly PointMm[], words: string) =>
    put(
      [...services, { id: newId(), kind: 'other', points: [...points], found: 'supposed', depthMm: null, note: '' }],
      words,
    );
  const box = plan.corners.map((corner) => alongFirstWall(plan, corner));
  const acrossMm = Math.max(...box.map(({ yMm }) => yMm));
  const middleMm = Math.max(...box.map(({ xMm }) => xMm)) / 2;
  return (
    <View style={{ gap: SPACE.part }}>
      <Words size="small">
        Drilling, screws, grinding, saw cuts and samples keep clear of every line here. What nobody has located is held
        to lie up to twice as far off.
      </Words>
      {on ? (
        <>
          <Words bold role="status">
            {drawing.points.length === 0
              ? 'Touch the sheet where the line begins.'
              : `${counted(drawing.points.length, 'point')}: touch where it turns or ends.`}
          </Words>
          <ButtonRow>
            <Button
              kind="main"
              label="That is the line"
              off={drawing.points.length < 2 ? 'A line needs two points.' : null}
              onPress={() => {
                void add(drawing.points, 'Line in the floor drawn');
                drawing.onPoints(null);
              }}
            />
            <Button label="Leave it" onPress={() => drawing.onPoints(null)} />
          </ButtonRow>
        </>
      ) : (
        <ButtonRow>
          <Button label="Draw on the sheet" onPress={() => drawing.onPoints([])} />
          <Button
            label="Key a line"
            hint="It begins across the middle of the room; tape its ends"
            onPress={() =>
              void add(
                [onSheet(plan, { xMm: middleMm, yMm: 0 }), onSheet(plan, { xMm: middleMm, yMm: acrossMm })],
                'Line in the floor put in',
              )
            }
          />
        </ButtonRow>
      )}
      {services.map((service, i) => (
        <Fold
          key={service.id}
          title={`${i + 1} ${say(SERVICE_WORDS[service.kind])}`}
          aside={`${say(FOUND_WORDS[service.found])}, ${service.depthMm === null ? 'depth not known' : `${formatGap(service.depthMm, room.units)} ${unitLabel(room.units)} deep`}`}
          open={i === services.length - 1}
        >
          <ServiceFields
            service={service}
            room={room}
            onTaken={(next) =>
              put(
                services.map((s) => (s.id === next.id ? next : s)),
                `${say(SERVICE_WORDS[next.kind])} changed`,
              )
            }
            onRemove={() =>
              void put(
                services.filter((s) => s.id !== service.id),
                `${say(SERVICE_WORDS[service.kind])} taken out`,
              )
            }
          />
        </Fold>
      ))}
      <ServiceFiles room={room} services={services} put={put} />
    </View>
  );
}

const OWN = only(SERVICE, 'depthMm', 'note');
const TAPED = { alongMm: figure(-5000, 60_000, 'mm'), acrossMm: figure(-5000, 60_000, 'mm') };

function ServiceFields({
  service,
  room,
  onTaken,
  onRemove,
}: {
  service: Service;
  room: RoomFacts;
  onTaken: (service: Service) => unknown;
  onRemove: () => void;
}) {
  const say = useSay();
  const own = useFactForm(OWN, service, room.units, (part) => onTaken({ ...service, ...part }));
  const last = service.points.at(-1)!;
  return (
    <View style={{ gap: SPACE.gap }}>
      <Choice
        label="What it is"
        inline
        value={service.kind}
        options={SERVICE_KINDS.map((kind) => ({ value: kind, label: say(SERVICE_WORDS[kind]) }))}
        onChange={(kind) => void onTaken({ ...service, kind })}
      />
      <Choice
        label="How it is known"
        inline
        value={service.found}
        options={SERVICE_FOUND.map((found) => ({ value: found, label: capital(say(FOUND_WORDS[found])) }))}
        onChange={(found) => void onTaken({ ...service, found })}
      />
      <Words
        size="small"
        quiet
      >{`Work keeps ${formatReach(serviceSideMm(service), room.units)} to either side.`}</Words>
      <FactField form={own} name="depthMm" label="Its top under the surface of the base" />
      {service.points.map((point, i) => (
        <PointFields
          key={i}
          number={i + 1}
          point={point}
          room={room}
          onTaken={(next) => onTaken({ ...service, points: service.points.map((p, n) => (n === i ? next : p)) })}
        />
      ))}
      <FactField form={own} name="note" label="Note" />
      <ButtonRow>
        <Button
          label="One more point"
          off={service.points.length >= 40 ? 'A line takes 40 points.' : null}
          onPress={() => onTaken({ ...service, points: [...service.points, { ...last, yMm: last.yMm + 500 }] })}
        />
        {service.points.length > 2 ? (
          <Button label="One point less" onPress={() => onTaken({ ...service, points: service.points.slice(0, -1) })} />
        ) : null}
        <Button label="Take it out" onPress={onRemove} />
      </ButtonRow>
    </View>
  );
}

/** One point as it is taped: along the first wall from the first corner, and across it. */
function PointFields({
  number,
  point,
  room,
  onTaken,
}: {
  number: number;
  point: PointMm;
  room: RoomFacts;
  onTaken: (point: PointMm) => unknown;
}) {
  const plan = planOf(room);
  const at = alongFirstWall(plan, point);
  const tenth = (mm: number) => Math.round(mm * 10) / 10;
  const taped = { alongMm: tenth(at.xMm), acrossMm: tenth(at.yMm) };
  const form = useFactForm(TAPED, taped, room.units, (part) => {
    const { alongMm, acrossMm } = { ...taped, ...part };
    const next = onSheet(plan, { xMm: alongMm, yMm: acrossMm });
    if (!Number.isFinite(next.xMm)) return refused('This place is not on the sheet');
    return onTaken({ xMm: tenth(next.xMm), yMm: tenth(next.yMm) });
  });
  return (
    <View style={{ flexDirection: 'row', gap: SPACE.part, flexWrap: 'wrap' }}>
      <FactField form={form} name="alongMm" label={`Point ${number}, along W1`} />
      <FactField form={form} name="acrossMm" label={`Point ${number}, across from W1`} />
    </View>
  );
}

function ServiceFiles({
  room,
  services,
  put,
}: {
  room: RoomFacts;
  services: readonly Service[];
  put: (next: readonly Service[], words: string) => unknown;
}) {
  const [file, setFile] = useState<Found | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const textFile = useTextFile();
  const { save, failed } = useSaveFile();
  const choose = async () => {
    try {
      const chosen = await textFile.choose('.csv,.txt,text/*');
      setSaid(null);
      if (chosen) setFile((await fileFormats()).readServiceFile(chosen.text, planOf(room)));
    } catch (error) {
      setSaid(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <View style={{ gap: SPACE.gap }}>
      <ButtonRow>
        <Button label="Lines from a file" onPress={() => void choose()} />
        <Button
          label="Save lines (CSV)"
          off={services.length === 0 ? 'No line is drawn yet.' : null}
          onPress={() => save('services.csv', 'text/csv', ({ serviceCsv }) => serviceCsv(services, planOf(room)))}
        />
      </ButtonRow>
      {textFile.status}
      {(said ?? failed) ? <Words role="alert">{said ?? failed}</Words> : null}
      {file ? (
        <FileFindings
          found={counted(file.lines.length, 'line')}
          problems={file.problems}
          missing={file.missing}
          onTake={
            file.lines.length > 0
              ? () => {
                  void put(
                    [...services, ...file.lines.map(({ name, ...line }) => ({ ...line, id: newId(), note: name }))],
                    `${counted(file.lines.length, 'line')} from a file`,
                  );
                  setFile(null);
                }
              : null
          }
          onDrop={() => setFile(null)}
        />
      ) : null}
    </View>
  );
}
