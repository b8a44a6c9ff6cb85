import { inWords } from '@maquette/words';
import { StyleSheet, View } from 'react-native';
import Svg from 'react-native-svg';
import type { RoomPicture, ShownPlacement } from '@maquette/core';
import { ruleWords, type CoveringCard } from '@maquette/core/coverings';
import type { SchoolResult } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import { formatArea, formatGap, formatReach, formatRod, unitLabel, type UnitSystem } from '@maquette/core/units';
import { LegendSwatch } from '../../sheet/level-layer.tsx';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { fetched } from '../../ui/fetched.tsx';
import { Fold } from '../../ui/fold.tsx';
import { CriterionLine } from '../criteria-list.tsx';
import { Mark, VERDICT_WORDS } from '../../ui/mark.tsx';
import { Words } from '../../ui/text.tsx';
import { ProfileChart } from './profile-chart.tsx';
import { LevelFold } from './level-fold.tsx';
import { NextReading } from './next-reading.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { Touch } from '../../ui/touch.tsx';

const Schools = fetched(() => import('./schools.tsx').then((part) => part.Schools));

interface Props {
  room: RoomFacts;
  card: CoveringCard;
  picture: RoomPicture;
  schools: readonly SchoolResult[];
  shown: number;
  onShow: (index: number) => void;
  /** A station was set where the map stands on least. */
  onSet: (stationKey: string) => void;
}

/** What the readings say: word and margin first, then the place, the cut that shows it, the rule, and what to do. */
export function Findings({ room, card, picture, schools, shown, onShow, onSet }: Props) {
  const say = useSay();
  const palette = usePalette();
  const { units } = room;
  const unit = unitLabel(units);
  const first = picture.criteria.find((c) => c.id === 'flat') ?? picture.criteria[0]!;
  const rule = picture.rules[0];
  const over = rule ? rule.overMm > 0 : false;
  const placement: ShownPlacement | undefined = rule?.placements[shown] ?? rule?.placements[0];
  const others = picture.criteria.filter((c) => c !== first);
  return (
    <View style={styles.box} testID="findings">
      <View style={styles.line}>
        <Mark verdict={first.verdict} width={56} />
        <Words bold size="title" color={palette.verdict[first.verdict]} style={styles.grow} testID="verdict">
          {VERDICT_WORDS[first.verdict]}
        </Words>
        {rule ? (
          <Words figure bold size="title" testID="margin">
            {over ? `${formatGap(rule.overMm, units)} over` : `${formatGap(-rule.overMm, units)} inside`}
          </Words>
        ) : null}
      </View>
      <Words>{say(first.margin)}</Words>
      <Words bold>{say(first.next)}</Words>
      {others.map((c) => (
        <CriterionLine key={c.id} criterion={c} />
      ))}
      {placement && rule ? (
        <>
          <ProfileChart profile={placement.profile} edgeMm={rule.rule.edgeMm} units={units} over={over} />
          {rule.placements.length > 1 ? (
            <View role="radiogroup" accessibilityLabel="Worst places" style={styles.places}>
              {rule.placements.map((p, index) => (
                <Touch
                  key={index}
                  role="radio"
                  aria-checked={index === shown}
                  label={`${formatGap(p.placement.valueMm, units)} ${unit} at ${say(p.place)}`}
                  onPress={() => onShow(index)}
                  style={[
                    styles.place,
                    {
                      borderColor: index === shown ? palette.chalk : palette.rule,
                      borderWidth: index === shown ? 2 : 1,
                    },
                  ]}
                >
                  <Words figure bold>
                    {formatGap(p.placement.valueMm, units)}
                  </Words>
                </Touch>
              ))}
            </View>
          ) : null}
        </>
      ) : null}
      {picture.map ? (
        <View style={styles.legend}>
          {(['high', 'low'] as const).map((kind) => (
            <View key={kind} style={styles.line}>
              <Svg width={28} height={14} aria-hidden>
                <LegendSwatch kind={kind} />
              </Svg>
              <Words size="small" quiet>{`${kind}, from ${formatGap(2 * picture.map!.stepMm, units)} ${unit}`}</Words>
            </View>
          ))}
          <Words
            size="small"
            quiet
          >{`lines each ${formatGap(picture.map.stepMm, units)} ${unit}, tilt taken out`}</Words>
          {picture.failure && picture.failure.unsure.length > 0 ? (
            <Words size="small" quiet>
              ringed with dots: not sure, read more there
            </Words>
          ) : null}
        </View>
      ) : null}
      {rule && rule.extremes.length > 0 ? (
        <Fold
          title="Highs and lows"
          aside={`${rule.extremes.filter((e) => e.kind === 'high').length} high · ${rule.extremes.filter((e) => e.kind === 'low').length} low`}
          open
        >
          {rule.extremes.map((e) => (
            <View key={e.label} style={styles.line}>
              <View style={[styles.letter, { backgroundColor: e.kind === 'high' ? palette.high : palette.low }]}>
                <Words figure bold size="small" color={palette.onChalk}>
                  {e.label}
                </Words>
              </View>
              <View style={styles.grow}>
                <Words>
                  {e.kind === 'high'
                    ? `High: holds an edge up by ${formatGap(e.worstMm, units)} ${unit}`
                    : `Low: leaves ${formatGap(e.worstMm, units)} ${unit} under an edge`}
                </Words>
                <Words size="small" quiet>{`${formatArea(e.areaM2, units)}, ${say(e.place)}`}</Words>
              </View>
            </View>
          ))}
        </Fold>
      ) : null}
      <NextReading room={room} picture={picture} onSet={onSet} />
      {picture.level ? <LevelFold room={room} level={picture.level} /> : null}
      {schools.length > 0 ? <Schools schools={schools} units={units} /> : null}
      <Fold title={rule ? `Why ${formatGap(rule.worstMm, units)}?` : 'How this is judged'}>
        {rule ? (
          <>
            <Words>{`Rule: ${say(ruleWords(rule.rule))}, from the card “${card.name}”. ${card.source}`}</Words>
            <Words>{`Readings: ${counted(picture.levels.length, 'station')} in ${picture.setups.length} set-up${picture.setups.length === 1 ? '' : 's'}; height = line of sight − rod, on one benchmark.`}</Words>
            <Words>
              Surface: drawn through the readings by universal kriging
              {picture.noise
                ? ` (range ${formatReach(picture.noise.rangeMm, units)}, reading noise ${formatGap(picture.noise.nuggetMm, units)} ${unit})`
                : ''}
              , on cells of 5 cm.
            </Words>
            <Words>
              Gap at s between contacts i and j: the straight line from i to j, less the height at s. The largest over
              every placement in 16 directions.
            </Words>
            {!room.contactsOnly ? (
              <Words>Rocking: height at the middle less the mean of the two ends, the edge balanced there.</Words>
            ) : (
              <Words>Rocking is left out by this room’s setting.</Words>
            )}
          </>
        ) : null}
        {picture.blindMm !== null && picture.blindAt ? (
          <Words
            bold
          >{`What the stations cannot see: the widest circle without a reading is ${formatReach(picture.blindMm, units)} across. A hump or hollow narrower than that can lie between stations.`}</Words>
        ) : null}
        <Words testID="failure">{failureWords(picture, units)}</Words>
        {picture.breaks.length > 0 ? (
          <Words>{`Broken at ${picture.breaks.length} line${picture.breaks.length === 1 ? '' : 's'}: a step or a joint between bases. What is read on one side says nothing of the other; a straightedge lies across both.`}</Words>
        ) : null}
        <Words>
          Judged here: flatness only. Damp, soundness and heights are for you to judge before anything is laid.
        </Words>
      </Fold>
      {picture.setups.length > 0 ? (
        <Fold title="Set-ups" aside={picture.setups.some((s) => s.suspect) ? 'one is suspect' : 'closing errors'}>
          {picture.setups.map((s) => (
            <Words key={s.setup.id} figure color={s.suspect ? palette.verdict.work : undefined}>
              {`${s.setup.name} · ${counted(s.readings, 'reading')} · ${
                s.setup.openRodMm === null
                  ? s.tiedBy === 'untied'
                    ? 'not tied: read a station it shares'
                    : 'tied by shared stations'
                  : `benchmark ${formatRod(s.setup.openRodMm, units)}`
              } · ${s.closingMm === null ? 'not closed' : `closes ${s.closingMm >= 0 ? '+' : ''}${formatGap(s.closingMm, units)} ${unit}${s.suspect ? ', suspect' : ''}`}`}
            </Words>
          ))}
        </Fold>
      ) : null}
    </View>
  );
}

/** How sure the map is, and what it cannot see. */
function failureWords({ failure, smallestMm }: RoomPicture, units: UnitSystem): string {
  const unseen =
    smallestMm === null
      ? ''
      : ` A hump or hollow narrower than about ${formatReach(smallestMm, units)} may lie unseen between readings.`;
  if (!failure) return `How often a floor with these readings fails is being worked out.${unseen}`;
  const { draws, worstShare, place } = failure;
  return `${draws} floors were drawn that fit the readings: ${worstShare === 0 ? 'none of them is over the rule anywhere.' : `at the least sure place, ${inWords(place, units)}, ${Math.round(worstShare * draws)} of them are over the rule; up to a fifth is taken, and where it is more the sheet is ringed with dots.`}${unseen}`;
}

const styles = StyleSheet.create({
  legend: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 4, alignItems: 'center' },
  box: { padding: SPACE.edge, gap: SPACE.part },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
  places: { flexDirection: 'row', gap: SPACE.gap },
  place: { minWidth: 56, minHeight: 48, alignItems: 'center', justifyContent: 'center', flexGrow: 1 },
  letter: { width: 32, height: 32, borderRadius: 2, alignItems: 'center', justifyContent: 'center' },
});
