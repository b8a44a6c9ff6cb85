import { StyleSheet, View } from 'react-native';
import type { JobCourse } from '@maquette/core/planning';
import { formatArea, formatBulk, formatMass, type UnitSystem } from '@maquette/core/units';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords } from '../day-words.ts';

interface Props {
  course: JobCourse;
  units: UnitSystem;
}

/** More than this is for two people. */
const CARRIED_KG = 25;

/** What is fetched next, and when. */
export function NextRun({ course: { bill, days }, units }: Props) {
  const say = useSay();
  const next = bill.runs[0];
  if (!next)
    return (
      <View style={styles.next}>
        <Words bold size="large">
          Nothing is left to buy
        </Words>
      </View>
    );
  return (
    <View style={styles.next} testID="next-run">
      <Words size="small" quiet>
        Fetch next
      </Words>
      <Words bold size="title">
        {`Before ${dayWords(next.byDay, days.today)}`}
      </Words>
      <Words figure>{`${next.supplier || 'Any merchant'} · ${formatMass(next.kg, units)}`}</Words>
      {next.load.map(({ what, packs }, k) => (
        <Words key={k} figure>{`${packs} × ${say(what)}`}</Words>
      ))}
    </View>
  );
}

/** Every trip with what is loaded, how few there could be, and what is carried in. */
export function Trips({ course: { bill, days }, units }: Props) {
  const say = useSay();
  const palette = usePalette();
  return (
    <Fold title="Trips and carrying" aside={counted(bill.runs.length, 'trip')}>
      {bill.runs.map((run, k) => (
        <View key={k} style={[styles.run, { borderColor: palette.rule }]}>
          <Words
            bold
          >{`Trip ${k + 1}, before ${dayWords(run.byDay, days.today)}: ${run.supplier || 'any merchant'}`}</Words>
          <Words size="small" figure>
            {`${formatMass(run.kg, units)}, ${formatBulk(run.litres / 1000, units)} in the van: ${run.load.map(({ what, packs }) => `${packs} × ${say(what)}`).join(', ')}`}
          </Words>
        </View>
      ))}
      {bill.least.map(({ supplier, trips, isMet }) => (
        <Words key={supplier} size="small" quiet>
          {`${supplier || 'Any merchant'}: ${isMet ? `by weight and room in the van it cannot be fewer than ${counted(trips, 'trip')}.` : `by weight and room alone ${counted(trips, 'trip')} would do; packs are not parted, and nothing is fetched long before it is needed.`}`}
        </Words>
      ))}
      <Words>
        {`To carry: ${formatMass(bill.carry.kg, units)} in all${bill.carry.heaviest ? `, the heaviest piece ${formatMass(bill.carry.heaviest.kg, units)} (${say(bill.carry.heaviest.what)})` : ''}. Spread over ${formatArea(bill.carry.stackM2, units)} at least, so that no floor bears more than its stacks may weigh.`}
      </Words>
      {bill.carry.heaviest && bill.carry.heaviest.kg > CARRIED_KG ? (
        <Words>
          Two people carry what weighs more than one may: bend the knees, keep it close, clear the way first.
        </Words>
      ) : null}
    </Fold>
  );
}
/** Machines and tools by the day they are needed. */
export function Tools({ course: { bill, days } }: { course: JobCourse }) {
  const say = useSay();
  const palette = usePalette();
  return (
    <>
      {bill.tools.map(({ day, machines, tools }) => (
        <View key={day} style={[styles.run, { borderColor: palette.rule }]}>
          <Words bold>{dayWords(day, days.today)}</Words>
          {machines.length > 0 ? <Words>{`Hired: ${machines.join(', ')}`}</Words> : null}
          {tools.map((one, k) => (
            <Words key={k} size="small">
              {say(one)}
            </Words>
          ))}
        </View>
      ))}
    </>
  );
}

const styles = StyleSheet.create({
  next: { paddingHorizontal: SPACE.edge, gap: 2 },
  run: { borderBottomWidth: 1, paddingVertical: SPACE.gap, gap: 2 },
});
