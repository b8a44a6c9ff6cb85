import { openingName, type RoomFacts } from '@maquette/core/room';
import { gapWords } from '@maquette/core/units';
import { capital } from '../../ui/capital.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { wallOf, placeKey, type Heights } from './height-asks.ts';

/** Guards, rails and low window sills: how high they still stand once the floor has come up. */
export function GuardsFold({
  room,
  heights,
  onReadAt,
}: {
  room: RoomFacts;
  heights: Heights;
  onReadAt: (key: string) => void;
}) {
  const say = useSay();
  const { units } = room;
  const nameOf = (aboutId: string) => {
    const opening = room.openings.find(({ id }) => id === aboutId);
    return opening ? say(openingName(room, opening)) : (wallOf(room, aboutId) ?? '');
  };
  const places = heights.places.filter(({ of }) => of === 'guard');
  const low = heights.guards.filter(({ overMm, leastMm }) => overMm < leastMm);
  return (
    <Fold
      title="Guards and low sills"
      aside={
        low.length > 0
          ? `${low.length} too low`
          : heights.guards.length === 0
            ? 'none read'
            : counted(heights.guards.length, 'guard')
      }
      memory={`guards/${room.id}`}
    >
      <Words>
        A floor that comes up leaves a guard, a stair rail or a low window sill so much lower. Read the top of each one
        somebody could fall over.
      </Words>
      {heights.guards.map(({ aboutId, overMm, leastMm }) => (
        <Words key={aboutId} bold={overMm < leastMm}>
          {`${capital(nameOf(aboutId))}: ${gapWords(overMm, units)} over the new floor, ${gapWords(leastMm, units)} asked.${overMm < leastMm ? ' Have it made higher first: the code of the place decides.' : ''}`}
        </Words>
      ))}
      <ButtonRow>
        {places.map((place) => (
          <Button
            key={placeKey(place)}
            label={`Read one at ${wallOf(room, place.aboutId) ?? `the ${nameOf(place.aboutId)}`}`}
            onPress={() => onReadAt(placeKey(place))}
          />
        ))}
      </ButtonRow>
    </Fold>
  );
}
