import { capital } from '../../ui/capital.ts';
import type { RoomPicture } from '@maquette/core';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, formatSpan, roundTo, unitLabel } from '@maquette/core/units';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';

const EIGHTHS = [
  'along W1',
  'along W1 and in',
  'in from W1',
  'back and in',
  'back along W1',
  'back and out',
  'out to W1',
  'along W1 and out',
];

/** The way a floor falls, in words of the first wall. */
const fallWords = (deg: number) => EIGHTHS[(Math.round(deg / 45) + 8) % 8]!;

/** How level the floor is, which flatness leaves out: as a whole, at what asks for it, and the floor-flatness number of slabs. */
export function LevelFold({ room, level }: { room: RoomFacts; level: NonNullable<RoomPicture['level']> }) {
  const say = useSay();
  const { units } = room;
  const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
  const perLength = (mmPerM: number) =>
    units === 'metric' ? `${mm(mmPerM)} in 1 m` : `${mm(mmPerM * 0.3048)} in 1 ft`;
  const rangeMm = level.highestMm - level.lowestMm;
  return (
    <Fold title="Level, told apart from flat" aside={`${mm(rangeMm)} from high to low`}>
      <Words>
        {`The floor leans ${perLength(level.fallMmPerM)}${level.fallMmPerM >= 0.2 ? `, falling ${fallWords(level.fallsToDeg)}` : ''}. Flatness leaves that out: planks lie well on a slope. Its highest place is ${say(level.highestPlace)}; its lowest, ${mm(rangeMm)} lower, ${say(level.lowestPlace)}.`}
      </Words>
      {level.parts.map((part) => (
        <Words key={say(part.name)} figure>
          {`${capital(say(part.name))}: leans ${perLength(part.fallMmPerM)}, ${mm(part.rangeMm)} from high to low within ${formatSpan(part.reachMm, units)} ${unitLabel(units)}`}
        </Words>
      ))}
      {level.parts.length > 0 ? (
        <Words size="small" quiet>
          A threshold, a stair, a tray or an appliance may ask for level there. Set a height for an opening under Level,
          Meet a threshold.
        </Words>
      ) : null}
      {level.flatnessNumber ? (
        <>
          <Words testID="flatness-number">
            {`Floor-flatness number ${roundTo(level.flatnessNumber.number, 0.1)}, over ${level.flatnessNumber.lines} survey lines with ${level.flatnessNumber.differences} differences.`}
          </Words>
          <Words size="small" quiet>
            4.57 over three times the spread of second differences plus the size of their mean, in inches, stations a
            foot apart on the map. Readings farther apart than that flatter it.
          </Words>
        </>
      ) : null}
    </Fold>
  );
}
