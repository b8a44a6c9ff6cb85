import { setOuts } from '@maquette/core/setout/facts';
import { wallName, type RoomFacts } from '@maquette/core/room';
import { gapWords } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { OneField } from '../../form/one-field.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { changeSetOut, setOutOf } from './set-out-change.ts';

const spec = setOuts.fields.gaps.spec;
const gapField = (spec.type === 'list' && spec.of.spec.type === 'group' ? spec.of.spec.fields['gapMm'] : null)!;

/** A gap of its own at any wall: where a bead covers more, or a cork strip takes less. */
export function GapsFold({ shown, room }: { shown: ShownRoom; room: RoomFacts }) {
  const { gaps } = setOutOf(shown);
  const usualMm = shown.card?.perimeterGapMm ?? 0;
  return (
    <Fold title="Gaps at the walls" aside={gapWords(usualMm, room.units)} memory={`lay-gaps/${room.id}`}>
      <Words size="small">{`The card asks for ${gapWords(usualMm, room.units)} all round. Give a wall a gap of its own where its skirting or bead covers it.`}</Words>
      {room.walls.map((_, wall) => {
        const held = gaps.find((own) => own.wall === wall)?.gapMm ?? usualMm;
        return (
          <OneField
            key={wall}
            of={gapField}
            value={held}
            units={room.units}
            label={`Gap at ${wallName(room.walls, wall)}`}
            onTaken={(taken) =>
              changeSetOut(shown, `Gap at ${wallName(room.walls, wall)}`, {
                gaps: [...gaps.filter((own) => own.wall !== wall), { wall, gapMm: taken as number }],
              })
            }
          />
        );
      })}
    </Fold>
  );
}
