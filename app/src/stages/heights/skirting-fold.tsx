import { StyleSheet, View } from 'react-native';
import { figure } from '@maquette/core/fields';
import { cutFromStock, HEIGHT_RANGES } from '@maquette/core/heights';
import { wallName, type RoomFacts } from '@maquette/core/room';
import { formatReach, gapWords } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { Heights } from './height-asks.ts';

const BOARD = figure(HEIGHT_RANGES.boardMm.min, HEIGHT_RANGES.boardMm.max, 'mm');
/** Old wall that shows by less is nothing to see, mm. */
const SHOWS_MM = 0.5;
/** Beads are sold in lengths of so much, mm. */
const STOCK_MM = [2400];

/** Skirting wall by wall: put back, with a bead, or the planks scribed; the gap that is left beneath; beads to buy. */
export function SkirtingFold({ shown, room, heights }: { shown: ShownRoom; room: RoomFacts; heights: Heights }) {
  const { units } = room;
  const beads = heights.skirting.filter(({ verdict, lengthMm }) => verdict.what === 'bead' && lengthMm > 0);
  const plan =
    beads.length > 0
      ? cutFromStock(
          beads.map(({ lengthMm }) => lengthMm),
          STOCK_MM,
        )
      : null;
  const put = (wall: number, boardMm: number) => {
    const held = shown.skirtings.findLast((one) => one.wall === wall);
    return write(`Skirting of ${wallName(room.walls, wall)}`, [
      {
        kind: 'skirtings',
        id: held?.id ?? newId(),
        roomId: room.id,
        body: { ...(held ? bodyOf(held) : { wall, waver: [], note: '' }), boardMm },
      },
    ]);
  };
  return (
    <Fold
      title="Skirting"
      aside={beads.length === 0 ? 'no bead' : `bead on ${beads.length} ${beads.length === 1 ? 'wall' : 'walls'}`}
      memory={`skirting/${room.id}`}
    >
      {heights.skirting.map(({ wall, verdict, beneathMm, beneathMostMm, boardMm, assumed, lengthMm, riseMm }) => (
        <View key={wall} style={styles.wall}>
          <Words bold>{`${wallName(room.walls, wall)}, ${formatReach(Math.max(0, lengthMm), units)} of board`}</Words>
          <Words>
            {verdict.what === 'refit'
              ? `Put the board back: it covers the gap with ${gapWords(verdict.spareMm, units)} to spare.`
              : verdict.what === 'bead'
                ? `Put the board back with a bead of ${gapWords(verdict.beadMm, units)}, fixed to the board and never to the floor.`
                : `No board or bead covers the gap, ${gapWords(verdict.shortMm, units)} are missing: scribe the planks to the wall.`}
            {beneathMm === null
              ? ''
              : beneathMm > beneathMostMm
                ? ` ${gapWords(beneathMm, units)} would show beneath it: scribe the board, or take a bead.`
                : ` At most ${gapWords(beneathMm, units)} are left beneath it.`}
            {riseMm < -SHOWS_MM
              ? ` It comes down by ${gapWords(-riseMm, units)}: as much of the old wall shows over it, to be painted or covered.`
              : ''}
          </Words>
          <OneField
            of={BOARD}
            value={assumed ? null : boardMm}
            units={units}
            label={`Thickness of the board on ${wallName(room.walls, wall)}`}
            {...(assumed ? { hint: `Reckoned with ${gapWords(boardMm, units)} until it is measured.` } : {})}
            onTaken={(mm) => put(wall, mm)}
          />
        </View>
      ))}
      {plan ? (
        <Words bold>{`${plan.cuts.length} lengths of bead, ${formatReach(STOCK_MM[0]!, units)} each.`}</Words>
      ) : null}
      {heights.sealantMm > 0 ? (
        <Words>{`${formatReach(heights.sealantMm, units)} of sealant along sills and round the feet of frames that are scribed to.`}</Words>
      ) : null}
      <Words size="small" quiet>
        {`The gap is what the covering asks for at the wall, and ${gapWords(2, units)} that the floor may drift; the board covers ${gapWords(3, units)} more than that.`}
      </Words>
    </Fold>
  );
}

const styles = StyleSheet.create({ wall: { gap: SPACE.near } });
