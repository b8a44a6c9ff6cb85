import type { RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { changeSetOut, setOutOf } from './set-out-change.ts';

/** Dividing lines of the room at which the floor is parted by a bar; nothing where the room has none. */
export function BreaksFold({ shown, room }: { shown: ShownRoom; room: RoomFacts }) {
  const { breaks } = setOutOf(shown);
  if (room.lines.length === 0) return null;
  const isOn = (id: string) => breaks.some(({ lineId }) => lineId === id);
  const on = room.lines.filter(({ id }) => isOn(id)).length;
  return (
    <Fold title="Parted within the room" aside={on === 0 ? 'no' : String(on)} memory={`lay-breaks/${room.id}`}>
      {room.lines.map(({ id, name }) => (
        <ButtonRow key={id}>
          <Button
            label={`Part it at ${name}`}
            selected={isOn(id)}
            onPress={() =>
              void changeSetOut(shown, isOn(id) ? `In one over ${name}` : `Parted at ${name}`, {
                breaks: isOn(id) ? breaks.filter(({ lineId }) => lineId !== id) : [...breaks, { lineId: id }],
              })
            }
          />
        </ButtonRow>
      ))}
      <Words size="small">
        The planks stop at the track of a bar, with the card’s gap on either side of it: where a run is too long, or one
        side is heated and the other is not.
      </Words>
    </Fold>
  );
}
