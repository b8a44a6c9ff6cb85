import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { barsToBuy, changedRows, type LedgerRow } from '@maquette/core/heights';
import { figuresOf } from '@maquette/core/figures';
import { formatGap, formatReach, gapWords, type UnitSystem } from '@maquette/core/units';
import { useSaveFile } from '../files/use-save-file.ts';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { counted } from '../ui/counted.ts';
import { fetchPart } from '../ui/fetch-part.ts';
import { Fold } from '../ui/fold.tsx';
import { Mark } from '../ui/mark.tsx';
import { useSay } from '../ui/shown-in.tsx';
import { Words } from '../ui/text.tsx';
import { Touch } from '../ui/touch.tsx';
import { barWordsOf } from '../stages/heights/bar-words.ts';
import { keepSeen, seenLedger } from './seen-ledger.ts';
import { sectionsOf } from './sections-of.ts';
import type { ShownRow } from './ledger-rows.ts';

interface Props {
  jobId: string;
  name: string;
  rows: readonly ShownRow[];
  left: number;
  units: UnitSystem;
  /** Over the floors as their chosen levelling leaves them, or as they lie. */
  isLevelled: boolean;
  onLevelled: (isLevelled: boolean) => void;
}

/** Every opening of the job in one line: step, bar, packing, leaf and saw; what is bought, and what has changed since it was last seen. */
export function LedgerTab({ jobId, name, rows, left, units, isLevelled, onLevelled }: Props) {
  const say = useSay();
  const { save, failed } = useSaveFile();
  // What was seen over levelled floors is held against levelled floors.
  const seenAs = isLevelled ? `${jobId}/levelled` : jobId;
  const [seen, setSeen] = useState<readonly LedgerRow[] | null>(null);
  useEffect(() => {
    let gone = false;
    void seenLedger(seenAs).then((held) => !gone && setSeen(held));
    return () => {
      gone = true;
    };
  }, [seenAs]);
  const plain = useMemo(() => rows.map(({ row }) => row), [rows]);
  const changed = new Set(seen && left === 0 ? changedRows(seen, plain) : []);
  const figure = figuresOf(rows[0]?.set.figures ?? [], units);
  const bought = barsToBuy(plain, [figure('bar-stock-mm')]);
  const file = name.toLowerCase().replace(/\W+/g, '-');
  const isSeen = seen !== null && changed.size === 0;
  return (
    <View style={styles.box}>
      <Words size="small">
        {isLevelled
          ? 'Over each floor as the levelling chosen for it leaves it.'
          : 'Over each floor as it lies today. Levelling that is still to be done may change the steps.'}
      </Words>
      <ButtonRow>
        <Button
          label={isLevelled ? 'As the floors lie today' : 'With the planned levelling'}
          onPress={() => onLevelled(!isLevelled)}
        />
      </ButtonRow>
      {left > 0 ? <Words quiet>{`Working out ${counted(left, 'room')} …`}</Words> : null}
      {rows.length === 0 && left === 0 ? <Words>No opening is drawn in any room of this job yet.</Words> : null}
      {rows.map((shown) => (
        <Row key={shown.row.openingId} shown={shown} changed={changed.has(shown.row.openingId)} units={units} />
      ))}
      {bought.length > 0 ? (
        <Fold
          title="Bars to buy"
          aside={counted(
            bought.reduce((sum, { plan }) => sum + plan.cuts.length + plan.tooLongMm.length, 0),
            'length',
          )}
          open
        >
          {bought.map(({ bar, plan }) => (
            <Words key={bar}>
              {`${barWordsOf(bar, say)}: ${plan.cuts.map(({ stockMm, piecesMm }) => `${formatReach(stockMm, units)} for ${piecesMm.map((mm) => formatReach(mm, units)).join(' and ')}`).join('; ')}${plan.tooLongMm.length > 0 ? `${plan.cuts.length > 0 ? '; ' : ''}${plan.tooLongMm.map((mm) => formatReach(mm, units)).join(', ')} is longer than they are sold: join it or order it` : ''}.`}
            </Words>
          ))}
        </Fold>
      ) : null}
      {changed.size > 0 ? (
        <Words
          bold
          testID="changed"
        >{`${counted(changed.size, 'opening')} changed since the ledger was last taken as seen.`}</Words>
      ) : null}
      <ButtonRow>
        {left === 0 && rows.length > 0 && !isSeen ? (
          <Button
            label={seen ? 'Take the changes as seen' : 'Mark what changes from here on'}
            onPress={() => {
              setSeen(plain);
              void keepSeen(seenAs, plain);
            }}
          />
        ) : null}
        <Button
          label="Save as CSV"
          onPress={() => save(`${file}-openings.csv`, 'text/csv', ({ ledgerCsv }) => ledgerCsv(rows))}
        />
        <Button
          label="Sections as DXF"
          onPress={() =>
            save(`${file}-sections.dxf`, 'image/vnd.dxf', async () =>
              (await fetchPart(() => import('@maquette/core/formats/dxf'))).sectionsDxf(sectionsOf(rows, say)),
            )
          }
        />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
    </View>
  );
}

const verdictOf = ({ row: { bar, leaf, provisional }, stair }: ShownRow) =>
  leaf === 'stop' || (stair && !stair.best.after.holds)
    ? 'stop'
    : bar === 'make-good' || bar === 'made-ramp' || leaf === 'trim'
      ? 'work'
      : bar === 'measure' || provisional || leaf === 'measure' || (bar === 'nosing' && !stair)
        ? 'measure'
        : 'lay';

function Row({ shown, changed, units }: { shown: ShownRow; changed: boolean; units: UnitSystem }) {
  const say = useSay();
  const palette = usePalette();
  const router = useRouter();
  const { row, room, otherRoom, opening } = shown;
  const mm = (value: number) => formatGap(value, units);
  const step = row.stepMm
    ? mm(row.stepMm[0]) === mm(row.stepMm[1])
      ? gapWords(row.stepMm[0], units)
      : `${mm(row.stepMm[0])} to ${gapWords(row.stepMm[1], units)}`
    : row.bar === 'nosing'
      ? ''
      : 'not read';
  const more = [
    `${formatReach(row.widthMm, units)} wide`,
    ...row.packingMm.map(
      ([thin, thick], k) => `packing ${k === 0 ? 'at its start' : 'at its end'} ${mm(thin)} / ${mm(thick)}`,
    ),
    row.rampMm === null ? '' : `ramp of ${formatReach(row.rampMm, units)}`,
    row.cut
      ? `leaf cut ${gapWords(row.cut.hingeMm, units)}`
      : row.leaf === 'stop'
        ? 'leaf: do not cut'
        : row.leaf === 'measure'
          ? 'leaf to be read'
          : '',
    row.bar === 'nosing'
      ? shown.stair
        ? `risers differ by ${gapWords(shown.stair.after.rangeMm, units)}`
        : 'risers to be read'
      : '',
    row.sawMm.length > 0 ? `saw ${gapWords(Math.max(...row.sawMm), units)} over what lies there` : '',
  ].filter((words) => words !== '');
  const title = `${room}, ${opening}${otherRoom ? `, to ${otherRoom}` : ''}`;
  return (
    <Touch
      role="link"
      label={`${title}: ${barWordsOf(row.bar, say)}${step === '' ? '' : `, ${step}`}. ${more.join(', ')}${changed ? '. Changed' : ''}`}
      onPress={() => router.push(`/rooms/${shown.set.room.id}/heights`)}
      testID="ledger-row"
    >
      <View
        style={[
          styles.row,
          { borderColor: palette.rule, backgroundColor: changed ? palette.chalkWash : 'transparent' },
        ]}
      >
        <Mark verdict={verdictOf(shown)} width={40} />
        <View style={styles.grow}>
          <View style={styles.head}>
            <Words bold style={styles.grow}>
              {title}
            </Words>
            <Words figure bold>
              {step}
            </Words>
          </View>
          <Words>{`${barWordsOf(row.bar, say)}${changed ? ' · changed' : ''}`}</Words>
          <Words size="small" quiet>
            {more.join(' · ')}
          </Words>
        </View>
      </View>
    </Touch>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  row: {
    flexDirection: 'row',
    gap: SPACE.part,
    borderTopWidth: 1,
    paddingVertical: SPACE.gap,
    alignItems: 'center',
    minHeight: 56,
  },
  head: { flexDirection: 'row', gap: SPACE.gap, alignItems: 'baseline' },
  grow: { flex: 1 },
});
