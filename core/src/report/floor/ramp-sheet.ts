import type { HeightsOfRoom } from '../../assess/heights-of.ts';
import { rampAtMm } from '../../heights/index.ts';
import type { Block, Paper } from '../../paper/index.ts';
import { openingName, type RoomFacts } from '../../room/index.ts';
import { decimals, gap, say, type Sayable } from '../../said/index.ts';
import { floorPaper, type FloorPaperOf } from './sheet-of.ts';

/** Places along a ramp at which its height is given. */
const STEPS = 8;

const mm = (value: number): Sayable => say('said.asItIs', { what: gap(value) });

/** Ramps of the rooms: how high the compound stands at which distance from the step, to set battens by. */
export function rampSheet(
  of: FloorPaperOf,
  rooms: readonly { room: RoomFacts; heights: HeightsOfRoom | null }[],
): Paper {
  const blocks = rooms.flatMap(({ room, heights }) =>
    (heights?.judged.openings ?? []).flatMap(({ openingId, ramp }): Block[] => {
      const opening = room.openings.find(({ id }) => id === openingId);
      if (!ramp || ramp.shape === 'none' || !opening) return [];
      return [
        { is: 'heading', text: say('report.rampAt', { room: room.name, opening: openingName(room, opening) }) },
        {
          is: 'text',
          text: say('report.rampOf', {
            step: gap(ramp.stepMm),
            length: gap(Math.round(ramp.lengthMm)),
            litres: decimals((ramp.litresPerM * opening.widthMm) / 1000, 1),
          }),
        },
        {
          is: 'table',
          columns: [
            { title: say('report.fromStep'), share: 3, isFigure: true },
            { title: say('report.rampHeight'), share: 3, isFigure: true },
            { title: '', share: 6 },
          ],
          rows: Array.from({ length: STEPS + 1 }, (_, k): Sayable[] => {
            const at = (ramp.lengthMm * k) / STEPS;
            return [mm(Math.round(at)), mm(rampAtMm(ramp, at)), ''];
          }),
        },
      ];
    }),
  );
  return floorPaper(
    of,
    say('report.rampSheet'),
    blocks.length > 0 ? blocks : [{ is: 'text', text: say('report.noRamps') }],
  );
}
