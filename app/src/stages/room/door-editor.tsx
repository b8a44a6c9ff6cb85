import { View } from 'react-native';
import { doorProblem, wallName, type Door, type RoomFacts } from '@maquette/core/room';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { Words } from '../../ui/text.tsx';
import { useState } from 'react';

/** The door the walk starts from: wall, place along it, width, hinge and swing. */
export function DoorEditor({
  room,
  onTaken,
}: {
  room: RoomFacts;
  onTaken: (door: Door | null, words: string) => void;
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const { door, walls, units } = room;
  const place = (next: Door, words = 'Door changed') => {
    const wrong = doorProblem(walls, next);
    setProblem(wrong);
    if (!wrong) onTaken(next, words);
  };
  if (!door) {
    const widthMm = Math.min(800, Math.max(300, walls[0]!.lengthMm - 200));
    return (
      <View style={{ gap: 8 }}>
        <Words>The walk starts at the door. Without one it starts at the first corner.</Words>
        <Button
          kind="main"
          label="Put a door in W1"
          onPress={() =>
            place(
              { wall: 0, fromMm: Math.min(100, walls[0]!.lengthMm - widthMm), widthMm, hinge: 'start', swing: 'in' },
              'Door put in',
            )
          }
        />
      </View>
    );
  }
  const change = (part: Partial<Door>) => place({ ...door, ...part });
  const toWall = (wall: number) => {
    // The door keeps its size where it fits; a shorter wall takes it at its start.
    const length = walls[wall]!.lengthMm;
    const widthMm = Math.min(door.widthMm, length);
    change({ wall, widthMm, fromMm: Math.min(door.fromMm, length - widthMm) });
  };
  return (
    <View style={{ gap: 12 }}>
      <Choice
        label="Wall"
        inline
        value={String(door.wall)}
        options={walls.map((_, i) => ({ value: String(i), label: wallName(walls, i) }))}
        onChange={(value) => toWall(Number(value))}
      />
      <LengthField
        label={`From the start of ${wallName(walls, door.wall)}`}
        mm={door.fromMm}
        units={units}
        range={{ min: 0, max: walls[door.wall]?.lengthMm ?? 60_000 }}
        onTaken={(fromMm) => change({ fromMm })}
        problem={problem}
      />
      <LengthField
        label="Width"
        mm={door.widthMm}
        units={units}
        range={{ min: 300, max: 6000 }}
        onTaken={(widthMm) => change({ widthMm })}
      />
      <Choice
        label="Hinge, seen along the wall"
        inline
        value={door.hinge}
        options={[
          { value: 'start', label: 'Near side' },
          { value: 'end', label: 'Far side' },
        ]}
        onChange={(hinge) => change({ hinge })}
      />
      <Choice
        label="Swings"
        inline
        value={door.swing}
        options={[
          { value: 'in', label: 'Into the room' },
          { value: 'out', label: 'Out of it' },
        ]}
        onChange={(swing) => change({ swing })}
      />
      <Button label="Take the door out" onPress={() => onTaken(null, 'Door taken out')} />
    </View>
  );
}
