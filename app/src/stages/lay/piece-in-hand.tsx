import { StyleSheet, View } from 'react-native';
import type { LayPlan, ShownPlank } from '@maquette/core';
import type { RoomFacts } from '@maquette/core/room';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { sawn, tapering } from './lengths.ts';

const SLOTS = {
  'start-side': 'its edge by the start wall',
  'far-side': 'its far edge',
  'left-end': 'its left end',
  'right-end': 'its right end',
} as const;
const WAYS = {
  angled: null,
  along: 'slide it in along its row and tap its end home',
  tapped: 'lay it down flat and tap it in',
  shaved: 'shave the lip off its lock, lay it flat and glue the joint',
} as const;

/** The piece in hand: how long, from which plank, which end is kept, what is cut out, where its rest goes. */
export function PieceInHand({ piece, plan, room }: { piece: ShownPlank; plan: LayPlan; room: RoomFacts }) {
  const say = useSay();
  const palette = usePalette();
  const { units } = room;
  const rows = Math.max(...plan.pieces.map(({ row }) => row));
  const isLastRow = piece.row === rows;
  return (
    <View style={styles.part} testID="piece">
      <View style={styles.line}>
        <Words bold size="large" style={styles.grow}>{`Piece ${piece.number}, row ${piece.row} of ${rows}`}</Words>
        <Words figure>{`plank ${piece.plank}`}</Words>
      </View>
      <Words figure bold size="entry" color={palette.chalk}>
        {piece.kind === 'whole' ? 'Whole' : sawn(piece.cutMm, units)}
      </Words>
      <Words bold>{howCut(piece, plan)}</Words>
      {piece.ripMm ? (
        <Words bold>{`Rip it to ${tapering(piece.ripMm, units)}; the sawn edge goes to the wall.`}</Words>
      ) : null}
      {piece.notches.map((notch, k) => (
        <Words
          key={k}
        >{`Cut out for ${say(notch.name)}: ${sawn(notch.longMm, units)} by ${sawn(notch.wideMm, units)}, beginning ${sawn(notch.fromEndMm, units)} from its left end and ${sawn(notch.fromEdgeMm, units)} from its edge by the start wall, face up.`}</Words>
      ))}
      {piece.holes.map((hole, k) => (
        <Words
          key={k}
        >{`Drill for ${say(hole.name)}: ${sawn(hole.diameterMm, units)} across, its middle ${sawn(hole.fromEndMm, units)} from the left end and ${sawn(hole.fromEdgeMm, units)} from the edge by the start wall, face up. Slot it to ${SLOTS[hole.slotTo]} and glue the plug back behind the pipe.`}</Words>
      ))}
      {piece.wayIn && WAYS[piece.wayIn] ? (
        <Words>{`${piece.under ? `Under ${say(piece.under)} it cannot be tilted` : 'It is not tilted in'}: ${WAYS[piece.wayIn]}.`}</Words>
      ) : null}
      {piece.print === null ? null : <Words size="small">{`Take one with figure ${piece.print} of the print.`}</Words>}
      {isLastRow ? <Words size="small">Scribe the last row off the wall itself before you rip it.</Words> : null}
    </View>
  );
}

/** Which end is kept and where the rest goes. */
function howCut({ kind, plank, rippedFrom, restTo, restMm, number }: ShownPlank, plan: LayPlan): string {
  const isClick = plan.glue === null;
  const isFirst = plan.pieces.find((one) => one.plank === plank)?.number === number;
  const from =
    rippedFrom !== null
      ? `From what was ripped off piece ${rippedFrom}`
      : isFirst
        ? `From a new plank, number ${plank}`
        : `From the rest of plank ${plank}`;
  const end =
    kind === 'whole' || !isClick
      ? ''
      : kind === 'start'
        ? '. Keep the end that locks into the next piece; the sawn end goes to the wall'
        : kind === 'end'
          ? '. Keep the end that locks into the piece before; the sawn end goes to the wall'
          : '. Both ends stand at a wall: either may be sawn';
  const rest =
    restTo !== null
      ? `. Put the rest by for piece ${restTo}`
      : restMm > 1 && kind !== 'whole'
        ? '. The rest is waste'
        : '';
  return `${from}${end}${rest}.`;
}

const styles = StyleSheet.create({
  part: { gap: SPACE.near },
  line: { flexDirection: 'row', gap: SPACE.part, alignItems: 'baseline' },
  grow: { flex: 1 },
});
