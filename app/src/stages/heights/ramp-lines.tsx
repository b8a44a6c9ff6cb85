import type { RoomSet } from '@maquette/core';
import { HEIGHT_DONE, type MadeRamp } from '@maquette/core/heights';
import type { Opening, RoomFacts } from '@maquette/core/room';
import { formatReach, formatVolume } from '@maquette/core/units';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import type { Heights } from './height-asks.ts';
import { toggleTick } from '../toggle-tick.ts';

/** Where a height is asked for: the room, its own name for the opening, and what was asked there before. */
interface Rise {
  roomId: string;
  name: string;
  placeId: string;
  held: RoomSet['rises'][number] | undefined;
}

const riseOf = ({ id, name }: RoomFacts, placeId: string, rises: RoomSet['rises']): Rise => ({
  roomId: id,
  name,
  placeId,
  held: rises.findLast((one) => one.placeId === placeId),
});

export const isRampMade = (shown: ShownRoom, openingId: string): boolean =>
  shown.ticks.some(({ key }) => key === HEIGHT_DONE + openingId);

/** A ramp over a step that no bar takes: what it is, and where it goes into the levelling, here or in the next room of the job. */
export function RampLines({
  shown,
  room,
  opening,
  ramp,
  meanMm,
  isHere,
  joined,
  onPlan,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  opening: Opening;
  ramp: MadeRamp;
  /** The step from the floor beyond up to the one here, mm. */
  meanMm: number;
  isHere: boolean;
  joined: Heights['joined'][number] | null;
  onPlan: () => void;
}) {
  const { units } = room;
  const other = shown.set?.neighbours.find((one) => one.room.id === joined?.roomId) ?? null;
  const rise = isHere
    ? riseOf(room, opening.id, shown.rises)
    : other && joined
      ? riseOf(other.room, joined.farId, other.rises)
      : null;
  const put = async (of: Rise) => {
    const riseMm = Math.round(Math.abs(meanMm) * 10) / 10;
    const body = { placeId: of.placeId, riseMm, note: of.held?.note ?? '' };
    const written = await write(`Height asked for at an opening of ${of.name}`, [
      { kind: 'rises', id: of.held?.id ?? newId(), roomId: of.roomId, body },
    ]);
    if (written.ok && isHere) onPlan();
  };
  const isMade = isRampMade(shown, opening.id);
  const isAsked = Boolean(rise?.held?.riseMm);
  const where = isHere ? '' : ` The lower floor ${rise ? `is that of ${rise.name}` : 'lies beyond'}: it is made there.`;
  const into = isHere ? 'the levelling' : `the levelling of ${rise?.name}`;
  return (
    <>
      <Words>
        {`A made ramp on the lower side: ${formatReach(ramp.lengthMm, units)} long, ${ramp.shape === 'straight' ? 'straight' : 'hollow below and round above'}, ${formatVolume((ramp.litresPerM * opening.widthMm) / 1000, units)} of compound. It uses up all that the flatness rule allows.${where}`}
      </Words>
      <ButtonRow>
        {rise ? (
          <Button
            label={isAsked && !isHere ? `It is in ${into}` : `Put it into ${into}`}
            hint="The floor is then run up to it, and the rule certified"
            selected={isAsked && !isHere}
            onPress={() => void put(rise)}
          />
        ) : null}
        <Button
          label={isMade ? 'Not made after all' : 'The ramp is made'}
          selected={isMade}
          onPress={() => void toggleTick(shown, HEIGHT_DONE + opening.id, 'Ramp')}
        />
      </ButtonRow>
    </>
  );
}
