import type { RoomFacts } from '@maquette/core/room';
import { gapWords } from '@maquette/core/units';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { Heights } from './height-asks.ts';

/** Where the saw is set at each foot of a frame, over the base and over what lies there today. */
export function UndercutFold({ room, cuts }: { room: RoomFacts; cuts: Heights['undercuts'] }) {
  const { units } = room;
  const treatment = cuts[0]?.treatment ?? 'measure';
  return (
    <Fold
      title="Feet of the frame"
      aside={treatment === 'saw' ? 'sawn' : treatment === 'scribe' ? 'scribed to' : 'say what it is of'}
    >
      {treatment === 'scribe' ? (
        <Words>Metal, stone and fire frames are never sawn: cut the planks to them.</Words>
      ) : null}
      {treatment === 'measure' ? (
        <Words>Say under the leaf what the frame is of: wood is sawn, anything else is scribed to.</Words>
      ) : null}
      {cuts
        .filter(({ cut, treatment: how }) => cut !== null && how === 'saw')
        .map(({ end, side, cut }) => (
          <Words key={`${end}${side}`}>
            {`At the ${end}, ${side === 'here' ? 'jamb and architrave on this side' : 'architrave beyond'}: saw ${gapWords(cut!.overBaseMm, units)} over the bare base${Math.abs(cut!.overLyingMm - cut!.overBaseMm) < 0.05 ? '' : `, ${gapWords(cut!.overLyingMm, units)} over what lies there now`}.`}
          </Words>
        ))}
      {treatment === 'saw' ? (
        <Words size="small" quiet>
          {`Level with the highest new floor under the foot, and ${gapWords(0.5, units)} of air. Look for cables and pipes behind the frame first, and saw with extraction: old paint may hold lead.`}
        </Words>
      ) : null}
    </Fold>
  );
}
