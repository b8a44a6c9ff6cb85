import { useState } from 'react';
import { View } from 'react-native';
import {
  BEYOND_KINDS,
  BEYOND_WORDS,
  newOpening,
  OPENING,
  OPENING_KINDS,
  OPENING_MM,
  OPENING_WORDS,
  openingName,
  openingProblem,
  overlapProblem,
  wallName,
  type Opening,
  type RoomFacts,
} from '@maquette/core/room';
import { only } from '@maquette/core/fields';
import type { Written } from '../../data/history.ts';
import { newId } from '../../data/ids.ts';
import { useBook } from '../../data/use-facts.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { refused, useFactForm } from '../../form/fact-form.ts';
import { Words } from '../../ui/text.tsx';
import { isFarSide, type RoomChange } from './room-change.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

interface Props {
  room: RoomFacts;
  change: RoomChange;
  chosen: string | null;
  onChoose: (id: string | null) => void;
}

const USUAL_MM = 800;

/** A free stretch of wall for a new opening, from wall `first` on. */
function freePlace(room: RoomFacts, first: number): { wall: number; fromMm: number; widthMm: number } | null {
  for (let k = 0; k < room.walls.length; k++) {
    const wall = (first + k) % room.walls.length;
    const length = room.walls[wall]!.lengthMm;
    const widthMm = Math.min(USUAL_MM, Math.max(OPENING_MM.width.min, length - 200));
    for (let fromMm = Math.min(100, Math.max(0, length - widthMm)); fromMm + widthMm <= length; fromMm += 100) {
      const at = { ...newOpening('try', wall, fromMm, widthMm) };
      if (!overlapProblem({ ...room, openings: [...room.openings, at] })) return { wall, fromMm, widthMm };
    }
  }
  return null;
}

/** Openings: kind, wall, place, what lies beyond. The first door is where the walk begins. */
export function OpeningsEditor({ room, change, chosen, onChoose }: Props) {
  const say = useSay();
  const [problem, setProblem] = useState<string | null>(null);
  const { openings, walls } = room;
  const opening = openings.find((o) => o.id === chosen) ?? openings[0] ?? null;
  const put = async (next: Opening[], words: string): Promise<Written | boolean> => {
    const wrong = next.map((o) => openingProblem(walls, o)).find(Boolean) ?? overlapProblem({ walls, openings: next });
    return wrong ? refused(say(wrong)) : change(words, { openings: next });
  };
  /** Where a choice and no field asked for it, what is wrong stands over the openings. */
  const choose = (asked: Promise<Written | boolean>) =>
    void asked.then((written) =>
      setProblem(typeof written === 'object' && !written.ok ? written.problems[0]!.message : null),
    );
  const add = (kind: Opening['kind']) => {
    const place = freePlace(room, opening ? (opening.wall + 1) % walls.length : 0);
    if (!place) return setProblem('No wall has room for another opening');
    const made: Opening = {
      ...newOpening(newId(), place.wall, place.fromMm, place.widthMm),
      kind,
      beyond: kind === 'stair' ? 'stair' : 'unknown',
    };
    onChoose(made.id);
    return choose(put([...openings, made], `${say(OPENING_WORDS[kind])} put in`));
  };
  const changed = (part: Partial<Opening>) =>
    put(
      openings.map((o) => (o.id === opening!.id ? { ...o, ...part } : o)),
      'Opening changed',
    );
  const edit = (part: Partial<Opening>) => choose(changed(part));
  const toWall = (wall: number) => {
    // The opening keeps its size where it fits; a shorter wall takes it at its start.
    const length = walls[wall]!.lengthMm;
    const widthMm = Math.min(opening!.widthMm, length);
    edit({ wall, widthMm, fromMm: Math.min(opening!.fromMm, length - widthMm) });
  };
  return (
    <View style={{ gap: SPACE.part }}>
      {openings.length === 0 ? (
        <Words>The walk starts at the door. Without one it starts at the first corner.</Words>
      ) : null}
      {problem ? <Words role="alert">{problem}</Words> : null}
      {openings.length > 1 ? (
        <Choice
          label="Opening to change"
          inline
          value={opening?.id ?? ''}
          options={openings.map((o) => ({ value: o.id, label: say(openingName(room, o)) }))}
          onChange={onChoose}
        />
      ) : null}
      {opening ? (
        <>
          <Choice
            label="Kind"
            inline
            value={opening.kind}
            options={OPENING_KINDS.map((kind) => ({ value: kind, label: say(OPENING_WORDS[kind]) }))}
            onChange={(kind) => edit({ kind })}
          />
          <Choice
            label="Wall"
            inline
            value={String(opening.wall)}
            options={walls.map((_, i) => ({ value: String(i), label: wallName(walls, i) }))}
            onChange={(value) => toWall(Number(value))}
          />
          <Sizes key={opening.id} opening={opening} room={room} onTaken={changed} />
          {opening.kind === 'door' ? (
            <>
              <Choice
                label="Hinge, seen along the wall"
                inline
                value={opening.hinge}
                options={[
                  { value: 'start', label: 'Near side' },
                  { value: 'end', label: 'Far side' },
                ]}
                onChange={(hinge) => edit({ hinge })}
              />
              <Choice
                label="Opens"
                inline
                value={opening.swing}
                options={[
                  { value: 'in', label: 'Into the room' },
                  { value: 'out', label: 'Out of it' },
                ]}
                onChange={(swing) => edit({ swing })}
              />
            </>
          ) : null}
          <Choice
            label="What lies beyond"
            inline
            value={opening.beyond}
            options={BEYOND_KINDS.map((kind) => ({ value: kind, label: say(BEYOND_WORDS[kind]) }))}
            onChange={(beyond) => edit({ beyond })}
          />
          <Words size="small" quiet>
            How high the floor beyond lies is read on Heights.
          </Words>
          <SharedWith room={room} opening={opening} onShare={(sharedId) => edit({ sharedId })} />
          <ButtonRow>
            <Button
              label="Take this opening out"
              onPress={() =>
                choose(
                  put(
                    openings.filter((o) => o.id !== opening.id),
                    'Opening taken out',
                  ),
                )
              }
            />
          </ButtonRow>
        </>
      ) : null}
      <ButtonRow>
        {OPENING_KINDS.map((kind) => (
          <Button
            key={kind}
            label={
              openings.length === 0 && kind === 'door'
                ? 'Put a door in W1'
                : `Add ${say(OPENING_WORDS[kind]).toLowerCase()}`
            }
            {...(openings.length === 0 && kind === 'door' ? { kind: 'main' as const } : {})}
            onPress={() => add(kind)}
          />
        ))}
      </ButtonRow>
    </View>
  );
}

const SIZES = only(OPENING, 'fromMm', 'widthMm');

function Sizes({
  opening,
  room,
  onTaken,
}: {
  opening: Opening;
  room: RoomFacts;
  onTaken: (part: Partial<Opening>) => unknown;
}) {
  const form = useFactForm(SIZES, opening, room.units, onTaken);
  return (
    <>
      <FactField form={form} name="fromMm" label={`From the start of ${wallName(room.walls, opening.wall)}`} />
      <FactField form={form} name="widthMm" label="Width" />
    </>
  );
}

/** The same opening in another room of the job: what is changed on one side changes on the other. */
function SharedWith({
  room,
  opening,
  onShare,
}: {
  room: RoomFacts;
  opening: Opening;
  onShare: (sharedId: string | null) => void;
}) {
  const say = useSay();
  const book = useBook();
  const others = book.rooms.filter((r) => r.id !== room.id && r.jobId === room.jobId);
  const partner = others
    .flatMap((other) => (other.openings as Opening[]).map((o) => ({ other, o })))
    .find(({ o }) => isFarSide(o, opening.sharedId));
  if (partner) {
    return (
      <>
        <Words size="small">{`Shared with ${partner.other.name}, ${say(openingName(partner.other, partner.o))}: kind, width and swing go together.`}</Words>
        <Button label="No longer shared" onPress={() => onShare(null)} />
      </>
    );
  }
  const free = others.flatMap((other) =>
    (other.openings as Opening[]).map((o) => ({
      value: o.sharedId ?? o.id,
      label: `${other.name}: ${say(openingName(other, o))}`,
    })),
  );
  if (free.length === 0) return null;
  return (
    <Choice
      label="Leads to another room of the job, by its"
      value=""
      options={free}
      onChange={(value) => onShare(value)}
    />
  );
}
