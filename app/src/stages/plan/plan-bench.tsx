import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { RoomPicture } from '@maquette/core';
import { ruleWords } from '@maquette/core/coverings';
import type { LevellingPlan } from '@maquette/core/levelling';
import { planOf, type RoomFacts } from '@maquette/core/room';
import { formatArea, formatGap, formatVolume, unitLabel } from '@maquette/core/units';
import { placeWords } from '@maquette/core/verdict';
import { usePalette } from '../../theme/theme.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Mark } from '../../ui/mark.tsx';
import { Words } from '../../ui/text.tsx';
import { Needs } from './needs.tsx';
import { PlaneCurve } from './plane-curve.tsx';

export type Way = 'fill' | 'plane';

interface Props {
  room: RoomFacts;
  plan: LevellingPlan;
  gates: RoomPicture['surfaceGates'];
  way: Way;
  onWay: (way: Way) => void;
  chosen: string | null;
  onChoose: (label: string | null) => void;
}

/** Two ways to make the floor keep its rule, what each takes, and the proof that it does. */
export function PlanBench({ room, plan, gates, way, onWay, chosen, onChoose }: Props) {
  const palette = usePalette();
  const [k, setK] = useState(0);
  const { units } = room;
  const unit = unitLabel(units);
  if (plan.nothingToDo) {
    return (
      <View style={styles.box}>
        <View style={styles.line}>
          <Mark verdict={plan.provisional ? 'measure' : 'lay'} width={56} />
          <Words bold size="large" style={styles.grow}>
            Nothing to level
          </Words>
        </View>
        <Words>
          {plan.provisional
            ? 'So far. The readings do not cover the floor yet.'
            : 'What has been read keeps the rule as it is.'}
        </Words>
      </View>
    );
  }
  const { fill, plane } = plan;
  const curve = gates.grind.allowed ? plane.curve : plane.curve.slice(0, 1);
  const pour = curve[k] ?? plane.pour;
  const certificate = fill.certificates[0];
  const rocking = fill.rocking;
  return (
    <View style={styles.box} testID="plan">
      <View style={styles.line}>
        <Mark verdict="work" width={56} />
        <Words bold size="large" style={styles.grow}>
          {fill.patches.length === 0
            ? 'No gap to fill'
            : `${fill.patches.length} place${fill.patches.length === 1 ? '' : 's'} to fill`}
        </Words>
      </View>
      {plan.provisional ? (
        <Words color={palette.verdict.work}>Provisional: the readings do not cover the floor yet.</Words>
      ) : null}
      {gates.prime.stops.concat(gates.prime.allowed ? gates.grind.stops : []).map((stop) => (
        <View key={stop.words} role="alert" style={[styles.warn, { backgroundColor: palette.highWash }]} testID="shut">
          <Words bold>{gates.prime.allowed ? 'No grinding here' : 'No grinding and no priming here'}</Words>
          <Words size="small">{`${stop.words}. Who decides: ${stop.decides}.`}</Words>
        </View>
      ))}
      {rocking ? (
        <View style={[styles.warn, { backgroundColor: palette.highWash }]} testID="rocking">
          <Words
            bold
          >{`Filling alone is not the cure: an edge still rocks by ${formatGap(rocking.valueMm, units)} ${unit}`}</Words>
          <Words>{`At ${placeWords(room, planOf(room), rocking.at)}. Take that high down, or pour to a plane. Gaps below are still the smallest fill.`}</Words>
        </View>
      ) : null}
      <Choice
        label="Two ways to compare"
        value={way}
        options={[
          {
            value: 'fill',
            label: `Smallest fill · ${formatVolume(fill.volumeL, units)}`,
            note: `${formatArea(fill.areaM2, units)} to touch, deepest ${formatGap(fill.deepestMm, units)} ${unit}${fill.holds ? '' : ', does not cure the rocking'}`,
          },
          {
            value: 'plane',
            label: `Pour to a plane · ${formatVolume(plane.pour.volumeL, units)}`,
            note: `whole floor level, deepest ${formatGap(plane.pour.deepestMm, units)} ${unit}, least ${formatGap(3, units)}`,
          },
        ]}
        onChange={onWay}
      />
      {way === 'fill' ? (
        <>
          {fill.patches.map((patch) => (
            <Pressable
              key={patch.label}
              role="button"
              aria-pressed={chosen === patch.label}
              accessibilityLabel={`Patch ${patch.label}`}
              onPress={() => onChoose(chosen === patch.label ? null : patch.label)}
              style={[
                styles.line,
                styles.patch,
                { borderColor: chosen === patch.label ? palette.chalk : palette.rule },
              ]}
            >
              <View style={[styles.letter, { backgroundColor: palette.low }]}>
                <Words figure bold color={palette.onChalk}>
                  {patch.label}
                </Words>
              </View>
              <View style={styles.grow}>
                <Words
                  bold
                >{`Fill up to ${formatGap(patch.deepestMm, units)} ${unit}, mean ${formatGap(patch.meanMm, units)}`}</Words>
                <Words
                  size="small"
                  quiet
                  figure
                >{`${formatArea(patch.areaM2, units)} · ${formatVolume(patch.volumeL, units)} · deepest ${placeWords(room, planOf(room), patch.deepestAt)}`}</Words>
              </View>
            </Pressable>
          ))}
          {fill.patches.length > 0 ? <Needs needs={fill.needs} units={units} volumeL={fill.volumeL} /> : null}
          {certificate ? (
            <Words testID="certificate">{`Checked after filling, ${certificate.directions} directions on ${certificate.cellMm / 10} cm: worst gap left ${formatGap(certificate.worstGapMm, units)}, worst rocking ${formatGap(certificate.worstCrownMm, units)} ${unit}; allowed ${ruleWords(certificate.rule, units)}. ${fill.holds ? 'The rule holds.' : 'The rule does not hold yet.'}`}</Words>
          ) : null}
        </>
      ) : (
        <>
          <PlaneCurve curve={curve} chosen={k} onChoose={setK} units={units} />
          <Words>{`${pour.groundMm > 0 ? `Grind ${formatGap(pour.groundMm, units)} ${unit} off the top first (${formatArea(pour.groundAreaM2, units)}, ${formatVolume(pour.groundVolumeL, units)} of dust), then pour` : 'Pour'} ${formatVolume(pour.volumeL, units)}: mean ${formatGap(pour.meanMm, units)}, deepest ${formatGap(pour.deepestMm, units)} ${unit}. Level and flat: every rule holds.`}</Words>
          <Needs needs={plane.needs} units={units} volumeL={pour.volumeL} deepestMm={pour.deepestMm} thinnestMm={3} />
        </>
      )}
      <Fold title="How this is worked out">
        <Words>
          Smallest fill: raise every cell by what its gap is over the rule, again and again until no edge asks for more.
          No flatter fill uses less. Fill cannot take a high down, so rocking is checked apart.
        </Words>
        <Words>
          Volume: the sum over 5 cm cells of area × depth; 1 m² × 1 mm is 1 litre. Mass: litres × kg per m² and mm from
          the product card, and 5 % for the bucket.
        </Words>
        <Words>Plane: the level is the highest place after grinding plus the product’s least depth of 3 mm.</Words>
        <Words>
          Grinding makes silica dust: shrouded tool, class M or H extractor, fitted mask; never over heating pipes or
          suspect residue. The cheapest mix of grinding and filling is for the levelling planner, still to come.
        </Words>
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: 16, gap: 12 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  patch: { borderWidth: 1, padding: 8, minHeight: 56 },
  grow: { flex: 1 },
  warn: { padding: 12, gap: 4 },
  letter: { width: 32, height: 32, alignItems: 'center', justifyContent: 'center' },
});
