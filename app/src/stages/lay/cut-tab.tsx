import { StyleSheet, View } from 'react-native';
import type { LayPlan, ShownPlank } from '@maquette/core';
import { laidRows } from '@maquette/core/setout/facts';
import type { RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import { OneField } from '../../form/one-field.tsx';
import { refused } from '../../form/fact-form.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { CutLists } from './cut-lists.tsx';
import { recordRow, rowOnRecord, takeRowBack } from './laid-row-change.ts';
import { sawn } from './lengths.ts';
import { PieceInHand } from './piece-in-hand.tsx';
import { StaveList } from './stave-list.tsx';
import type { LayPlanned } from './use-lay-plan.ts';

/** One piece after another in the order of laying, and rows recorded as they lie or as they were measured. */
export function CutTab({
  shown,
  room,
  planned,
  number,
  onNumber,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  planned: LayPlanned;
  number: number | null;
  onNumber: (number: number | null) => void;
}) {
  const { plan } = planned;
  if (!plan)
    return (
      <View style={styles.box}>
        <Words role="status">Setting the floor out …</Words>
      </View>
    );
  if (plan.herringbone) return <StaveList herringbone={plan.herringbone} units={room.units} />;
  const piece = plan.pieces.find((one) => one.number === number) ?? plan.pieces[0];
  if (!piece) return null;
  return (
    <View style={styles.box} testID="cut">
      <Short plan={plan} />
      <PieceInHand piece={piece} plan={plan} room={room} />
      <Steps shown={shown} room={room} plan={plan} piece={piece} onNumber={onNumber} />
      <CutLists plan={plan} units={room.units} />
    </View>
  );
}

/** Planks at hand against rows to lay, told while it can still be mended. */
function Short({ plan }: { plan: LayPlan }) {
  const { stock, pace } = plan;
  const paced = pace
    ? ` So far a row takes ${Math.round(pace.minutesARow)} min: about ${Math.max(0.5, Math.round(pace.hoursLeft * 2) / 2)} h are left.`
    : '';
  if (!stock) return paced ? <Words size="small">{paced.trim()}</Words> : null;
  const { left, needed, rowsLeft, rowsCovered } = stock;
  return left < needed ? (
    <Words bold role="alert" testID="short-batch">
      {`${counted(rowsLeft, 'row')} left, planks for ${rowsCovered}: ${counted(needed - left, 'plank')} short. Order the same batch now.`}
    </Words>
  ) : (
    <Words size="small">{`${counted(rowsLeft, 'row')} left; ${counted(left, 'plank')} at hand, ${needed} needed.${paced}`}</Words>
  );
}

function Steps({
  shown,
  room,
  plan,
  piece,
  onNumber,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  plan: LayPlan;
  piece: ShownPlank;
  onNumber: (number: number | null) => void;
}) {
  const { units } = room;
  const inRow = plan.pieces.filter(({ row, strip }) => row === piece.row && strip === piece.strip);
  const isLast = inRow.at(-1)!.number === piece.number;
  const held = rowOnRecord(shown, piece);
  const measured = inRow.at(-1)!;
  const most = plan.plankMm.lengthMm;
  const laid = () => {
    void recordRow(shown, plan, piece, { isLaid: true }, `Row ${piece.row} laid`);
    onNumber(null);
  };
  return (
    <>
      {piece.isLaid && held?.isLaid ? (
        <Words bold>{`Row ${piece.row} lies.`}</Words>
      ) : isLast ? (
        <Button kind="main" label={`Row ${piece.row} is laid`} onPress={laid} />
      ) : (
        <Button kind="main" label="Next piece" onPress={() => onNumber(piece.number + 1)} />
      )}
      <ButtonRow>
        <Button
          label="Back"
          off={piece.number === 1 ? 'This is the first piece.' : null}
          onPress={() => onNumber(piece.number - 1)}
        />
        {isLast || piece.isLaid ? (
          <Button
            label="Next"
            off={piece.number === plan.pieces.length ? 'This is the last piece.' : null}
            onPress={() => onNumber(piece.number + 1)}
          />
        ) : (
          <Button label={`Row ${piece.row} is laid`} onPress={laid} />
        )}
        {held ? <Button label={`Take row ${piece.row} back`} onPress={() => void takeRowBack(shown, held)} /> : null}
      </ButtonRow>
      {plan.mixed ? null : (
        <Fold title="It measures differently" memory={`lay-measure/${room.id}`}>
          <Words size="small">{`Measure from the last joint of row ${piece.row} to the wall, less its gap. The row is then as long as you found it, and all that is not laid is planned anew.`}</Words>
          <OneField
            of={laidRows.fields.endMm}
            value={measured.toMm - measured.fromMm}
            units={units}
            label={`Last piece of row ${piece.row}`}
            onTaken={(mm) => {
              if (mm > most || mm < 5)
                return refused(
                  `${sawn(mm, units)} is out of range: a piece of this plank is ${sawn(5, units)} to ${sawn(most, units)}.`,
                );
              const part = inRow.length === 1 ? { startMm: mm, wholes: 0, endMm: 0 } : { endMm: mm };
              return recordRow(shown, plan, piece, part, `Row ${piece.row} measured`);
            }}
          />
        </Fold>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
});
