import type { LayPlan, ShownPlank } from '@maquette/core';
import type { LaidRow } from '@maquette/core/setout/facts';
import { bodyOf } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { setOutOf } from './set-out-change.ts';

/** What is on record of the row a piece lies in; null where nothing is. */
export const rowOnRecord = (shown: ShownRoom, { row, strip }: Pick<ShownPlank, 'row' | 'strip'>) =>
  shown.laidRows.findLast((one) => one.row === row && one.strip === strip) ?? null;

/** How a row is divided as it is planned. */
const dividedAs = (plan: LayPlan, { row, strip }: Pick<ShownPlank, 'row' | 'strip'>) => {
  const line = plan.rows.filter((one) => one.row === row - 1)[strip - 1]!;
  return { startMm: line.startMm, wholes: line.wholes, endMm: line.endMm };
};

/** Records a row as it lies or was measured; what is on record of it is written over, and can be taken back. */
export function recordRow(shown: ShownRoom, plan: LayPlan, piece: ShownPlank, part: Partial<LaidRow>, words: string) {
  const held = rowOnRecord(shown, piece);
  const usual = {
    startWall: plan.startWall.wall,
    hand: setOutOf(shown).hand,
    firstMm: plan.firstMm,
    row: piece.row,
    strip: piece.strip,
    ...dividedAs(plan, piece),
    isLaid: false,
    laidAt: nowUtc(),
    batch: shown.plankBoxes.at(-1)?.batch ?? '',
    note: '',
  };
  return write(words, [
    {
      kind: 'laidRows',
      id: held?.id ?? newId(),
      roomId: shown.room!.id,
      body: { ...usual, ...(held ? bodyOf(held) : {}), ...part },
    },
  ]);
}

/** Takes a row off the record: it is planned again with the others. */
export const takeRowBack = (shown: ShownRoom, held: ShownRoom['laidRows'][number]) =>
  write(`Row ${held.row} taken back`, [
    { kind: 'laidRows', id: held.id, roomId: shown.room!.id, body: bodyOf(held), deleted: true },
  ]);
