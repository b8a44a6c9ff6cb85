import { StyleSheet, View } from 'react-native';
import type { RoomPicture } from '@maquette/core';
import { figuresOf } from '@maquette/core/figures';
import { COLD_C, driesCold, type LevellingPlan } from '@maquette/core/levelling';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, formatTemperature, unitLabel, type UnitSystem } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { fetched } from '../../ui/fetched.tsx';
import { Fold, FOLD_PX } from '../../ui/fold.tsx';
import { Mark } from '../../ui/mark.tsx';
import { Words } from '../../ui/text.tsx';
import type { Planned } from '../../worker/use-planned.ts';
import { costWords, hoursWords } from '../amounts.ts';
import { FiguresFold } from '../figures-fold.tsx';
import { GateAlert } from '../gate-alert.tsx';
import { levelFigures } from './level-figures.ts';
import { Proof } from './proof.tsx';
import { ThresholdFold } from './threshold-fold.tsx';
import { isSoFar, riseWords, type ShownWay } from './shown-ways.ts';
import { WAY_ORDER, type ChoiceId } from './way-words.ts';
import { counted } from '../../ui/counted.ts';
import { Touch } from '../../ui/touch.tsx';

const RulesFold = fetched(() => import('./rules-fold.tsx').then((part) => part.RulesFold), FOLD_PX);
const PlaneCurve = fetched(() => import('./plane-curve.tsx').then((part) => part.PlaneCurve));
const PlanksFold = fetched(() => import('./planks-fold.tsx').then((part) => part.PlanksFold), FOLD_PX);

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  planned: Planned & { plan: LevellingPlan };
  gates: RoomPicture['surfaceGates'];
  heights: RoomPicture['heights'];
  ways: readonly ShownWay[];
  way: ShownWay;
  onWay: (id: ChoiceId) => void;
  planeAt: number;
  onPlane: (index: number) => void;
  onMark: () => void;
}

/** The ways to make the floor keep its rule, side by side, and what the chosen one stands on. */
export function WaysTab({ shown, room, planned, gates, heights, ways, way, onWay, planeAt, onPlane, onMark }: Props) {
  const palette = usePalette();
  const { plan } = planned;
  const { units } = room;
  const currency = shown.job?.currency ?? '';
  const best = ways.find((w) => w.holds && !w.refused && w.cost !== null);
  const soFar = isSoFar(ways);
  return (
    <View style={styles.box} testID="plan">
      <View style={styles.line}>
        <Mark verdict="work" width={56} />
        <Words bold size="large" style={styles.grow}>
          {best
            ? `${soFar ? 'So far: ' : ''}${best.words}, ${best.bags === null ? '' : `${counted(best.bags, 'bag')}, `}${costWords(best.cost!, currency)}`
            : 'Working out the cheapest way …'}
        </Words>
      </View>
      {plan.provisional ? (
        <Words color={palette.verdict.work}>Provisional: the readings do not cover the floor yet.</Words>
      ) : null}
      {gates.grind.allowed && gates.prime.allowed ? null : (
        <GateAlert
          shown={shown}
          room={room}
          gate={gates.prime.allowed ? gates.grind : gates.prime}
          title={gates.prime.allowed ? 'No grinding here' : 'No grinding and no priming here'}
        />
      )}
      <View role="radiogroup" accessibilityLabel="Ways to level" style={styles.ways}>
        {WAY_ORDER.flatMap((id) => ways.filter((w) => w.id === id)).map((w) => (
          <WayRow
            key={w.id}
            way={w}
            first={w.id === best?.id}
            soFar={soFar}
            chosen={w.id === way.id}
            room={room}
            currency={currency}
            onPress={() => onWay(w.id)}
          />
        ))}
      </View>
      <HowFar planned={planned} units={units} />
      {way.id === 'plane' && plan.planes.length > 1 ? (
        <PlaneCurve curve={plan.planes} chosen={planeAt} onChoose={onPlane} units={units} />
      ) : null}
      <ColdNote shown={shown} room={room} />
      <Proof room={room} way={way} planned={planned} currency={currency} />
      <PlanksFold shown={shown} room={room} planned={planned} way={way} />
      <RulesFold room={room} planned={planned} currency={currency} />
      <ThresholdFold shown={shown} room={room} heights={heights} />
      <Fold title="Keep the grinder or compound off a place">
        <Words>
          Openings, flanges and registers are held back already. Mark anything else on the sheet under Sound: an area, a
          line or a spot.
        </Words>
        <Button label="Mark it under Sound" onPress={onMark} />
      </Fold>
      <FiguresFold shown={shown} figures={levelFigures(room)} />
    </View>
  );
}

/** How far the ways are worked out. Its line stays when they are: what is below is not pushed about. */
function HowFar({ planned, units }: { planned: Planned; units: UnitSystem }) {
  const { rounds, worstMm = 0 } = planned.progress ?? {};
  const isWorking = planned.working !== null && planned.working !== 'plan';
  const failed = planned.failed ? <Words role="alert">{planned.failed}</Words> : null;
  // Where one way failed the next is still worked out, and can be stopped.
  if (failed && !isWorking) return failed;
  return (
    <>
      {failed}
      <View style={[styles.line, styles.howFar]}>
        <Words role="status" style={styles.grow} figure quiet={!isWorking}>
          {!isWorking
            ? 'Every way is worked out.'
            : rounds === undefined
              ? 'Working it out …'
              : `Round ${rounds + 1}: ${worstMm < 0.1 ? 'all but settled' : `the worst edge is ${formatGap(worstMm, units)} ${unitLabel(units)} over`}`}
        </Words>
        {isWorking ? <Button label="Stop" onPress={planned.stop} style={styles.stop} /> : null}
      </View>
    </>
  );
}

/** Drying in the cold is told, and asked about where the air that was logged is colder than what is reckoned with. */
function ColdNote({ shown, room }: { shown: ShownRoom; room: RoomFacts }) {
  const figure = figuresOf(shown.plain.figures, room.units);
  const air = shown.plain.airReadings.reduce<(typeof shown.plain.airReadings)[number] | null>(
    (last, reading) => (last === null || reading.takenAt > last.takenAt ? reading : last),
    null,
  );
  const cold = formatTemperature(COLD_C, room.units, 0);
  if (driesCold(figure))
    return (
      <Words size="small">{`Reckoned as under ${cold} while it dries: primer and compound take twice as long.`}</Words>
    );
  if (!air || !driesCold(() => air.tempC)) return null;
  return (
    <Words size="small">
      {`The air was ${formatTemperature(air.tempC, room.units)} when it was last logged: under ${cold} primer and compound take twice as long. If it stays so, set it under Rates.`}
    </Words>
  );
}

function WayRow({
  way,
  first,
  soFar,
  chosen,
  room,
  currency,
  onPress,
}: {
  way: ShownWay;
  first: boolean;
  /** Others are still worked out, and may come out cheaper. */
  soFar: boolean;
  chosen: boolean;
  room: RoomFacts;
  currency: string;
  onPress: () => void;
}) {
  const palette = usePalette();
  const off = way.refused !== null;
  const ink = off ? palette.quiet : palette.ink;
  const notes = way.refused
    ? [`Not possible: ${way.refused}`]
    : way.cost === null
      ? [way.working ? 'being worked out …' : 'not worked out']
      : [
          [...(way.bags === null ? ['no compound'] : [counted(way.bags, 'bag')]), hoursWords(way.hours), way.dust],
          [
            way.dryH > 0 ? `cover after ${Math.round(way.dryH)} h` : 'nothing to dry',
            riseWords(way.riseMm, room.units),
          ],
        ].map((line) => line.join(', '));
  const note = notes.join('; ');
  const warning =
    !off && way.cost !== null && !way.holds
      ? way.id === 'panel'
        ? 'Flatness is not proven: read again after it'
        : way.working
          ? 'Leaves an edge rocking: a fuller fill is being worked out'
          : 'Does not keep the rule by itself'
      : null;
  return (
    <Touch
      role="radio"
      aria-checked={chosen}
      label={`${way.words}, ${way.cost === null || off ? '' : `${costWords(way.cost, currency)}, `}${note}`}
      onPress={onPress}
      style={[
        styles.way,
        {
          borderColor: chosen ? palette.chalk : palette.rule,
          borderWidth: chosen ? 2 : 1,
          backgroundColor: chosen ? palette.chalkWash : 'transparent',
        },
      ]}
    >
      <View style={styles.line}>
        <Words bold color={ink} style={styles.grow}>
          {way.words}
        </Words>
        {off || way.cost === null ? null : (
          <Words figure bold size="large" color={ink}>
            {costWords(way.cost, currency)}
          </Words>
        )}
      </View>
      {notes.map((line) => (
        <Words key={line} size="small" color={palette.quiet}>
          {line[0]!.toUpperCase() + line.slice(1)}
        </Words>
      ))}
      {warning ? (
        <Words size="small" bold color={palette.verdict.work}>
          {warning}
        </Words>
      ) : null}
      {off ? null : (
        <Words size="small" color={palette.quiet}>
          {`${first ? (way.id === 'ramp' ? 'Meets what is asked. ' : soFar ? 'Cheapest so far. ' : 'Cheapest that holds. ') : ''}${way.risk[0]!.toUpperCase()}${way.risk.slice(1)}.`}
        </Words>
      )}
    </Touch>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
  ways: { gap: 6 },
  howFar: { minHeight: 52 },
  way: { paddingHorizontal: SPACE.part, paddingVertical: SPACE.gap, gap: 2, minHeight: 120 },
  stop: { flexGrow: 0 },
});
