import { cutFromStock, joinedFromStock, wallAbout } from '@maquette/core/heights';
import { figuresOf } from '@maquette/core/figures';
import type { RoomFacts } from '@maquette/core/room';
import { formatReach, gapWords } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { placeKey, type Heights } from './height-asks.ts';
import { SkirtingWall } from './skirting-wall.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  heights: Heights;
  /** Goes to reading a level that nothing waits for. */
  onReadAt: (key: string) => void;
}

/** Skirting wall by wall, and the boards and beads to buy. */
export function SkirtingFold({ shown, room, heights, onReadAt }: Props) {
  const { units } = room;
  const figure = figuresOf(shown.plain.figures, units);
  const beads = heights.skirting.filter(
    ({ verdict, left, fit }) => verdict.what === 'bead' && (fit !== 'stays' || left?.why === 'too-thin'),
  );
  const boards = heights.skirting.filter(({ fit }) => fit === 'new');
  const toBuy = (of: Heights['skirting'], stockMm: number) =>
    cutFromStock(
      joinedFromStock(
        of.flatMap(({ piecesMm }) => piecesMm),
        [stockMm],
      ),
      [stockMm],
    ).cuts.length;
  const bought = [
    { of: boards, words: 'skirting board', stockMm: figure('board-stock-mm') },
    { of: beads, words: 'bead', stockMm: figure('bead-stock-mm') },
  ].filter(({ of }) => of.length > 0);
  return (
    <Fold
      title="Skirting"
      aside={beads.length === 0 ? 'no bead' : `bead on ${beads.length} ${beads.length === 1 ? 'wall' : 'walls'}`}
      memory={`skirting/${room.id}`}
    >
      {heights.skirting.map((one) => (
        <SkirtingWall
          key={one.wall}
          shown={shown}
          room={room}
          of={one}
          onRead={() => {
            const place = heights.places.find(
              ({ of, aboutId }) => of === 'skirting' && aboutId === wallAbout(one.wall),
            );
            if (place) onReadAt(placeKey(place));
          }}
        />
      ))}
      {bought.map(({ of, words, stockMm }) => (
        <Words key={words} bold>
          {`${toBuy(of, stockMm)} lengths of ${words}, ${formatReach(stockMm, units)} each.`}
        </Words>
      ))}
      {heights.sealantMm > 0 ? (
        <Words>{`${formatReach(heights.sealantMm, units)} of sealant along sills and round the feet of frames that are scribed to.`}</Words>
      ) : null}
      <Words size="small" quiet>
        {`The gap is what the covering asks for at the wall, and ${gapWords(2, units)} that the floor may drift; the board covers ${gapWords(3, units)} more than that. Boards longer than they are sold are joined.`}
      </Words>
    </Fold>
  );
}
