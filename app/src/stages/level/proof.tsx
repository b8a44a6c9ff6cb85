import { inWords } from '@maquette/words';
import { StyleSheet, View } from 'react-native';
import { ruleWords } from '@maquette/core/coverings';
import type { Certificate } from '@maquette/core/levelling';
import { planOf, type RoomFacts } from '@maquette/core/room';
import { formatGap, formatReach, roundTo, unitLabel } from '@maquette/core/units';
import { placeWords } from '@maquette/core/verdict';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { Planned } from '../../worker/use-planned.ts';
import { hoursWords, moneyWords } from '../amounts.ts';
import type { ShownWay } from './shown-ways.ts';
import { useSay } from '../../ui/shown-in.tsx';

interface Props {
  room: RoomFacts;
  way: ShownWay;
  planned: Planned;
  currency: string;
}

/** What stands behind the chosen way: certificate, cost line by line, rise at each opening, and how near it is to the cheapest. */
export function Proof({ room, way, planned, currency }: Props) {
  const say = useSay();
  const palette = usePalette();
  const { units } = room;
  const unit = unitLabel(units);
  const from = way.way ?? way.plane;
  const rocking = way.way?.rocking ?? null;
  if (!from) return null;
  return (
    <View style={styles.box}>
      {rocking ? (
        <View style={[styles.warn, { backgroundColor: palette.highWash }]} testID="rocking">
          <Words
            bold
          >{`Filling gaps is not the cure: an edge still rocks by ${formatGap(rocking.valueMm, units)} ${unit}`}</Words>
          <Words>{`At ${say(placeWords(room, planOf(room), rocking.at))}. Take that high down, or pour to one level.`}</Words>
        </View>
      ) : null}
      {from.certificates.map((certificate) => (
        <Words key={say(ruleWords(certificate.rule))} testID="certificate">
          {certificateWords(room, certificate)}
        </Words>
      ))}
      {way.programmed ? <Nearness room={room} way={way} planned={planned} currency={currency} /> : null}
      <Fold title="Cost and hours, line by line" aside={hoursWords(from.hours)}>
        {from.costLines.map((line) => (
          <View key={say(line.words)} style={styles.line}>
            <Words style={styles.grow}>{say(line.words)}</Words>
            <Words figure>{`${roundTo(line.amount, 0.01)} ${line.unit} × ${roundTo(line.rate, 0.01)}`}</Words>
            <Words figure bold style={styles.cost}>
              {moneyWords(line.cost, currency)}
            </Words>
          </View>
        ))}
        <Words size="small" quiet>
          Amounts come from the depth in every 5 cm cell; rates are this job’s, below. Bags are rounded up once for the
          room.
        </Words>
      </Fold>
      {from.rises.length > 0 ? (
        <Fold title="Rise at each opening">
          {from.rises.map((rise) => (
            <Words key={rise.id} figure>
              {`${say(rise.name)}: ${Math.abs(rise.mostMm) < 0.05 && Math.abs(rise.leastMm) < 0.05 ? 'none' : `${formatGap(rise.leastMm, units)} to ${formatGap(rise.mostMm, units)} ${unit}`}`}
            </Words>
          ))}
          <Words size="small" quiet>
            {`Measured ${formatReach(150, units)} into the room. The covering’s own build-up comes on top.`}
          </Words>
        </Fold>
      ) : null}
      <Fold title="How this is worked out">
        <Words>
          Every straightedge of the rule is laid at 36 directions on every 5 cm cell. Each that would leave more than
          the allowed gap, or rock by more, becomes one condition; the cheapest fill and grinding that meets them all is
          a linear programme. Its answer is then checked again from nothing, and mended along lines that lie between
          those until three fresh looks find nothing more. The bound on the price is for what is laid out on the nodes.
        </Words>
        <Words>
          Fill alone: raise every cell by what its gap is over the rule until no edge asks for more. Fill against gaps
          cannot take a high down, so rocking is checked apart.
        </Words>
        <Words>
          One level: the highest place after grinding, plus the product’s least depth. Volume: area × depth over all
          cells; 1 m² × 1 mm is 1 litre. Mass: litres × kg per m² and mm, and what stays in the bucket.
        </Words>
        <Words>
          Grinding concrete makes silica dust: shrouded tool, class M or H extractor, fitted mask; never over heating
          pipes or suspect residue. Local rules and the maker’s sheet come first.
        </Words>
      </Fold>
    </View>
  );
}

function certificateWords(room: RoomFacts, certificate: Certificate): string {
  const { units } = room;
  const { directions, cellMm, worstGap, worstGapMm, worstCrownMm, rule, holds } = certificate;
  const where =
    worstGap && worstGapMm > 0.05 ? ` at ${inWords(placeWords(room, planOf(room), worstGap.at), units)}` : '';
  return `Checked afterwards at ${directions} directions on ${formatReach(cellMm, units)}: worst gap left ${formatGap(worstGapMm, units)} ${unitLabel(units)}${where}; worst rocking ${formatGap(worstCrownMm, units)}. ${betweenWords(room, certificate)}Allowed ${inWords(ruleWords(rule), units)}. ${holds ? 'The rule holds.' : 'The rule does not hold yet.'}`;
}

/** What lines turned and shifted between those show, which the plan was not made on. */
function betweenWords({ units }: RoomFacts, { between, rule, holds }: Certificate): string {
  const { passes, worstGapMm, worstCrownMm } = between;
  if (passes === 0) return '';
  const worst = Math.max(worstGapMm, worstCrownMm);
  const seen =
    worst > rule.gapMm
      ? `the worst is ${formatGap(worst, units)} ${unitLabel(units)}${holds ? ', within a hair of what a straightedge can tell' : ''}`
      : 'none shows more than is allowed';
  return `Looked at again ${passes} times along lines turned and shifted between those, and across the corners: ${seen}. `;
}

/** How far the plan is from the cheapest that its programme allows, and the key to look closer. */
function Nearness({ room, way, planned, currency }: Props) {
  const { programmed } = way;
  if (!programmed?.way || programmed.boundCost <= 0) return null;
  const { linearCost, boundCost, nodesMm, rows, rounds, settled } = programmed;
  const over = linearCost / boundCost - 1;
  const least = `on nodes ${formatReach(nodesMm, room.units)} apart takes less than ${moneyWords(boundCost, currency)}`;
  return (
    <View style={styles.line}>
      <Words size="small" quiet style={styles.grow} testID="nearness">
        {`What is moved, priced by the litre: ${moneyWords(linearCost, currency)}. ${over > -0.0005 ? `Nothing laid out ${least}${over > 0.0005 ? `: this is ${roundTo(over * 100, 0.1)} % over it` : ''}.` : `Nothing laid out ${least}; this is laid out cell by cell.`} ${rows} edges in ${rounds} rounds${settled ? '' : ', not finished'}.`}
      </Words>
      {way.id === 'mixed' && !planned.tight && planned.working === null ? (
        <Button label="Make it tighter" onPress={planned.tighten} style={styles.key} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.part },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
  cost: { minWidth: 48, textAlign: 'right' },
  key: { flexGrow: 0 },
  warn: { padding: SPACE.part, gap: SPACE.near },
});
